import type { ReactNode } from 'react';
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

interface RibbonProps {
  standing: RollStanding;
  /** Where each stage is; without it the ribbon leads nowhere. */
  hrefOf?: (stage: StageId) => string;
  /** The stage that is open. */
  current?: StageId | null;
  /** Each stage in one line, where there is room for it. */
  summaryOf?: (stage: StageId) => string;
}

/** The seven notches of a roll with their names; each leads to its stage. */
export function Ribbon({ standing, hrefOf, current = null, summaryOf }: RibbonProps) {
  const list = (
    <ol className="flex w-full" aria-label="Stages of this roll">
      {stageIds.map((id) => {
        const state = standing.states[id];
        const isOpen = id === current;
        const label = (
          <span
            className={classes(
              'block truncate text-center text-[11px] sm:text-[14px]',
              (state === 'at-hand' || isOpen) && 'font-bold text-ink',
              isOpen && 'underline decoration-2 underline-offset-4',
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
            <Link
              href={hrefOf?.(id)}
              isOpen={isOpen}
              className={classes('block min-h-11 text-inherit no-underline', hrefOf && 'hover:underline')}
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
              <span className="mt-1 block">{label}</span>
              {summaryOf && (
                <span
                  title={summaryOf(id)}
                  className="mx-1.5 mt-0.5 hidden truncate text-center text-[12px] font-normal text-ink2 lg:block"
                >
                  {summaryOf(id)}
                </span>
              )}
            </Link>
          </li>
        );
      })}
    </ol>
  );
  return hrefOf === undefined ? list : <nav aria-label="Stages">{list}</nav>;
}

function Link({
  href,
  isOpen,
  className,
  children,
}: {
  href: string | undefined;
  isOpen: boolean;
  className: string;
  children: ReactNode;
}) {
  return href === undefined ? (
    <span className={className}>{children}</span>
  ) : (
    <a href={href} aria-current={isOpen ? 'step' : undefined} className={className}>
      {children}
    </a>
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
