import { useEffect, useRef } from 'react';

/** How long two fingers must lie to be held, ms. */
const HELD_MS = 3000;

interface TwoFingers {
  /** A finger comes down; true where it is the second. */
  down: (pointerId: number) => boolean;
  up: (pointerId: number) => void;
}

/** Two fingers at once: a tap of both does one thing, both held for three seconds another. */
export function useTwoFingers({ onTap, onHold }: { onTap: () => void; onHold: () => void }): TwoFingers {
  const down = useRef(new Set<number>());
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  const acts = useRef({ onTap, onHold });
  useEffect(() => {
    acts.current = { onTap, onHold };
  });
  useEffect(
    () => () => {
      if (timer.current !== null) clearTimeout(timer.current);
    },
    [],
  );
  return {
    down: (pointerId) => {
      down.current.add(pointerId);
      if (down.current.size !== 2) return down.current.size > 2;
      timer.current = setTimeout(() => {
        timer.current = null;
        acts.current.onHold();
      }, HELD_MS);
      return true;
    },
    up: (pointerId) => {
      if (!down.current.delete(pointerId) || timer.current === null) return;
      clearTimeout(timer.current);
      timer.current = null;
      acts.current.onTap();
    },
  };
}
