'use client';

import type { ReactNode } from 'react';
import { stages, type StageId, type StageState } from '@/core/plan/rollStages';
import { classes } from '@/ui/classes';

interface StageProps {
  id: StageId;
  state: StageState;
  /** The stage in one line, for when it is folded. */
  summary: string;
  open: boolean;
  onToggle: () => void;
  children: ReactNode;
}

/** One stage of the work: folded into a line, or open. */
export function Stage({ id, state, summary, open, onToggle, children }: StageProps) {
  return (
    <section
      id={id}
      aria-labelledby={`${id}-name`}
      className={classes('scroll-mt-4 border-b border-hair', open && 'pb-6')}
    >
      <h2 className="text-[15px]">
        <button
          type="button"
          aria-expanded={open}
          aria-controls={`${id}-body`}
          className="group flex w-full items-baseline gap-x-4 py-2 text-left font-sans text-[15px] tracking-normal"
          onClick={onToggle}
        >
          <span
            id={`${id}-name`}
            className={classes('num w-[76px] shrink-0 text-[16px]', state === 'forbidden' && 'text-danger')}
          >
            {stages[id]}
          </span>
          <span className={classes('min-w-0 flex-1 font-normal', state === 'waiting' && 'text-ink2')}>{summary}</span>
          <span className="shrink-0 text-[13px] font-normal text-ink2 group-hover:underline">
            {open ? 'fold' : 'open'}
          </span>
        </button>
      </h2>
      {open && <div id={`${id}-body`}>{children}</div>}
    </section>
  );
}
