/** Something that is due at an instant. */
export interface Due {
  /** Seconds since the bath went in. */
  atS: number;
}

interface TellerClock {
  /** This instant, ms since the epoch. */
  read: () => number;
  /** How many of its seconds go by in one. */
  pace: number;
}

/**
 * Tells what is due, one after the other, by a single timer: looking again, as a page does that comes back into view, takes the
 * place of the timer and never adds one.
 * @param list in order of time
 * @param startMs instant at which the bath went in, ms since the epoch
 * @param clock the clock at the tank
 * @param tell takes everything that has become due since it was called last, and this instant; never nothing
 * @returns functions that look now, and that stop for good
 */
export function signalTeller<T extends Due>(
  list: readonly T[],
  startMs: number,
  clock: TellerClock,
  tell: (passed: readonly T[], nowMs: number) => void,
): { look: () => void; stop: () => void } {
  const dueMs = ({ atS }: T): number => startMs + atS * 1000;
  let next = list.findIndex((one) => dueMs(one) > clock.read());
  if (next < 0) next = list.length;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let stopped = false;
  const look = (): void => {
    if (stopped) return;
    clearTimeout(timer);
    const now = clock.read();
    const from = next;
    while (next < list.length && dueMs(list[next] as T) <= now) next += 1;
    if (next > from) tell(list.slice(from, next), now);
    const due = list[next];
    if (due !== undefined) timer = setTimeout(look, Math.max(0, (dueMs(due) - clock.read()) / clock.pace));
  };
  look();
  return {
    look,
    stop: () => {
      stopped = true;
      clearTimeout(timer);
    },
  };
}
