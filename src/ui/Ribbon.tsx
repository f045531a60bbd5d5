import { stageIds, stages, type RollStanding, type StageId, type StageState } from '@/core/plan/rollStages';
import { classes } from './classes';

const stateWords: Record<StageState, string> = {
  done: 'done',
  skipped: 'skipped',
  'at-hand': 'at hand',
  waiting: 'waiting',
  forbidden: 'do not process',
};

/** One notch: filled is done, open was passed by, square is at hand, dotted waits, crossed is forbidden. */
function Notch({ state, transform }: { state: StageState; transform?: string }) {
  switch (state) {
    case 'done':
      return (
        <path
          transform={transform}
          d="M1 1 L13 13 L25 1 Z"
          fill="currentColor"
          stroke="currentColor"
          strokeWidth="1.5"
        />
      );
    case 'skipped':
      return (
        <path transform={transform} d="M0 1 H1 L13 13 L25 1 H26" fill="none" stroke="currentColor" strokeWidth="1.5" />
      );
    case 'at-hand':
      return <rect transform={transform} x="1" y="0" width="24" height="13" fill="currentColor" />;
    case 'forbidden':
      return (
        <path
          transform={transform}
          d="M1 1 V13 H25 V1 M4 3 L22 12 M22 3 L4 12"
          fill="none"
          stroke="currentColor"
          strokeWidth="1.8"
        />
      );
    case 'waiting':
      return (
        <path
          transform={transform}
          d="M0 1 Q13 18 26 1"
          fill="none"
          stroke="currentColor"
          strokeWidth="1.5"
          strokeDasharray="2.5 3.5"
        />
      );
  }
}

/** The seven notches of a roll with their names; each leads to its stage. */
export function Ribbon({ standing, hrefOf }: { standing: RollStanding; hrefOf?: (stage: StageId) => string }) {
  return (
    <ol className="flex w-full" aria-label="Stages of this roll">
      {stageIds.map((id) => {
        const state = standing.states[id];
        const label = (
          <span
            className={classes(
              'block text-center text-[11px] sm:text-[13px]',
              state === 'at-hand' && 'font-bold text-ink',
              state === 'forbidden' && 'font-bold text-danger',
            )}
          >
            {stages[id]}
            <span className="sr-only">, {stateWords[state]}</span>
          </span>
        );
        return (
          <li
            key={id}
            className={classes(
              'min-w-0 flex-1',
              state === 'waiting' ? 'text-ink2' : state === 'forbidden' ? 'text-danger' : 'text-ink',
            )}
          >
            <span aria-hidden className="flex">
              <span
                className={classes(
                  'mt-px h-0 flex-1 border-t-[1.5px] border-current',
                  state === 'waiting' && 'border-dashed',
                )}
              />
              <svg width="26" height="15" viewBox="0 0 26 15" className="shrink-0 overflow-visible">
                <Notch state={state} />
              </svg>
              <span
                className={classes(
                  'mt-px h-0 flex-1 border-t-[1.5px] border-current',
                  (state === 'waiting' || state === 'at-hand') && 'border-dashed',
                )}
              />
            </span>
            {hrefOf ? (
              <a href={hrefOf(id)} className="mt-1 block min-h-6 text-inherit underline-offset-4 hover:underline">
                {label}
              </a>
            ) : (
              <span className="mt-1 block">{label}</span>
            )}
          </li>
        );
      })}
    </ol>
  );
}

/** The ribbon without names, as it stands for a roll in a list. */
export function SmallRibbon({ standing }: { standing: RollStanding }) {
  const done = stageIds.filter((id) => standing.states[id] === 'done').length;
  const words = standing.forbidden
    ? 'Do not process'
    : standing.atHand === null
      ? 'All stages done'
      : `${done} of 7 stages done, at hand: ${stages[standing.atHand]}`;
  const notches = stageIds.map((id, index) => ({ id, state: standing.states[id], x: index * 26 }));
  const rule = (drawn: (notch: (typeof notches)[number]) => boolean): string =>
    notches
      .filter(drawn)
      .map(({ x }) => `M${x} 1 H${x + 6} M${x + 20} 1 H${x + 26}`)
      .join(' ');
  const solid = rule(({ state }) => state !== 'waiting');
  const dashed = rule(({ state }) => state === 'waiting');
  return (
    <svg
      role="img"
      aria-label={words}
      width="182"
      height="15"
      viewBox="0 0 182 15"
      className={classes('overflow-visible', standing.forbidden ? 'text-danger' : 'text-ink')}
    >
      {/* Few elements: a list draws it in every row. */}
      {solid !== '' && <path d={solid} stroke="currentColor" strokeWidth="1.5" />}
      {dashed !== '' && <path d={dashed} stroke="currentColor" strokeWidth="1.5" strokeDasharray="2.5 3.5" />}
      {notches.map(({ id, state, x }) => (
        <Notch key={id} state={state} transform={`translate(${x + 6} 0.4) scale(0.54 0.8)`} />
      ))}
    </svg>
  );
}
