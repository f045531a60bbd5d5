'use client';

import type { TankView } from '@/core/run/tankView';
import { useState } from 'react';
import { classes } from '@/ui/classes';
import { HoldButton } from '@/ui/HoldButton';
import { primaryWords } from './tankWords';
import type { TankControl } from './useTank';

/** Seconds by which one press moves the start. */
const SHIFT_S = 5;

interface TankActionsProps {
  tank: TankControl;
  at: TankView;
  /** Whether a note is being written, and how to begin one. */
  noting: boolean;
  onNote: () => void;
  practice: boolean;
}

/** The keys at the bottom: small corrections, and the one that goes on. */
export function TankActions({ tank, at, noting, onNote, practice }: TankActionsProps) {
  const { phase, running, early, mayAct, stopped, hold, advance, shift, undo } = tank;
  const { progress, nextStep } = at;
  // On low screens the lesser keys are folded: the clock goes before them.
  const [more, setMore] = useState(false);
  return (
    <footer
      // A key held down repeats its press; a bath goes in once.
      onKeyDown={(event) => {
        if (event.repeat) event.preventDefault();
      }}
      className={classes(
        'grid shrink-0 grid-cols-4 gap-2 border-t border-hair bg-ground px-4 py-3 sm:gap-3 sm:px-10 md:grid-cols-[1fr_1fr_1fr_1fr_2.4fr] short:max-h-[46vh] short:overflow-y-auto short:py-1',
        !more && 'short:grid-cols-[auto_1fr]',
        noting && 'short:hidden',
      )}
    >
      <button
        type="button"
        aria-expanded={more}
        className={classes('act hidden short:block short:min-h-11', more && 'short:col-span-4')}
        onClick={() => setMore(!more)}
      >
        {more ? 'Less' : 'More'}
      </button>
      <div className={classes('contents', !more && 'short:hidden')}>
        <Small disabled={!mayAct || !running} onPress={() => shift(-SHIFT_S)}>
          Started {SHIFT_S} s earlier
        </Small>
        <Small disabled={!mayAct || !running} onPress={() => shift(SHIFT_S)}>
          Started {SHIFT_S} s later
        </Small>
        <Small disabled={!mayAct || !progress.canUndo} onPress={undo}>
          Undo
        </Small>
        <Small disabled={!mayAct || noting} onPress={onNote}>
          Note
        </Small>
      </div>
      {early ? (
        <HoldButton
          hold={hold}
          onPress={advance}
          disabled={!mayAct || stopped}
          className={classes(
            'col-span-4 min-h-[76px] bg-ground text-[20px] md:col-span-1 short:sticky short:top-0 short:z-10 short:order-first short:min-h-11',
            !more && 'short:col-span-1',
          )}
        >
          {nextStep === undefined ? 'Hold to hang it early' : 'Hold to pour out early'}
        </HoldButton>
      ) : (
        <button
          type="button"
          className={classes(
            'act act-primary col-span-4 min-h-[76px] text-[20px] md:col-span-1 short:sticky short:top-0 short:z-10 short:order-first short:min-h-11',
            !more && 'short:col-span-1',
          )}
          disabled={!mayAct || stopped}
          onClick={advance}
        >
          {primaryWords(phase, nextStep?.name, practice)}
        </button>
      )}
      {running && <Rest tank={tank} at={at} />}
    </footer>
  );
}

/** Whether the clock may rest, and why or why not. */
function Rest({ tank: { mayAct, pause, resume }, at: { paused, pausing } }: Pick<TankActionsProps, 'tank' | 'at'>) {
  return (
    <p
      className={classes(
        'col-span-4 flex flex-wrap gap-x-3 text-[14px] text-ink2 md:col-span-5 short:hidden',
        !pausing.may && 'max-sm:hidden',
      )}
    >
      {paused || pausing.may ? (
        <button type="button" className="act-plain" disabled={!mayAct} onClick={paused ? resume : pause}>
          {paused ? 'Start the clock again' : 'Pause the clock'}
        </button>
      ) : (
        <span>No pause: the developer keeps working.</span>
      )}
      <span>{pausing.why}</span>
    </p>
  );
}

function Small({ disabled, onPress, children }: { disabled: boolean; onPress: () => void; children: React.ReactNode }) {
  return (
    <button
      type="button"
      className="act min-h-16 px-2 leading-tight sm:min-h-[76px] sm:text-[18px] short:min-h-11"
      disabled={disabled}
      onClick={onPress}
    >
      {children}
    </button>
  );
}
