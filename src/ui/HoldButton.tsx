'use client';

import { classes } from './classes';
import type { Hold } from './useHold';

interface HoldButtonProps {
  hold: Hold;
  /** For a press without a hand on it, as a screen reader or a voice makes it. */
  onPress: () => void;
  disabled: boolean;
  className?: string;
  children: React.ReactNode;
}

/** A button that wants to be held for a second; it fills while it is. */
export function HoldButton({ hold, onPress, disabled, className, children }: HoldButtonProps) {
  const { holding, start, stop } = hold;
  return (
    <button
      type="button"
      className={classes('act relative touch-none overflow-hidden border-4 border-double select-none', className)}
      disabled={disabled}
      onPointerDown={(event) => {
        if (event.button === 0) start();
      }}
      onPointerUp={stop}
      onPointerLeave={stop}
      onPointerCancel={stop}
      onContextMenu={(event) => event.preventDefault()}
      onKeyDown={(event) => {
        if (event.key !== 'Enter') return;
        event.preventDefault();
        if (!event.repeat) start();
      }}
      onKeyUp={stop}
      onBlur={stop}
      onClick={(event) => {
        if (event.detail === 0) onPress();
      }}
    >
      <span
        aria-hidden
        className={classes(
          'absolute inset-y-0 start-0 w-full origin-left bg-band',
          holding ? 'scale-x-100 transition-transform duration-1000 ease-linear' : 'scale-x-0',
        )}
      />
      <span className="relative">{children}</span>
    </button>
  );
}
