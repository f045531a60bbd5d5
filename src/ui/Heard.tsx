'use client';

/** What was typed, as it was understood, and the other thing that it may mean. */
export interface HeardWords {
  /** As it was typed. */
  text: string;
  /** What it is taken as. */
  as: string;
  /** How the other reading is said; null where there is none. */
  other: string | null;
}

/** Says how something was read that was not written as its field writes it, with the other reading one tap away. */
export function Heard({ id, heard, onOther }: { id: string; heard: HeardWords; onOther: () => void }) {
  return (
    <p id={`${id}-heard`} aria-live="polite" className="mt-1 text-[13px] leading-snug text-ink2">
      “{heard.text}” is read as <span className="text-ink">{heard.as}</span>.
      {heard.other !== null && (
        <>
          {' '}
          <button
            type="button"
            className="act-plain"
            // The field keeps what it shows until the tap is through.
            onMouseDown={(event) => event.preventDefault()}
            onClick={onOther}
          >
            Read it as {heard.other}
          </button>
        </>
      )}
    </p>
  );
}
