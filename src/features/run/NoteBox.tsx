'use client';

import { dropDraft } from '@/data/drafts';
import { useDraftText } from '@/features/drafts/useDraft';

interface NoteBoxProps {
  runId: string;
  /** Writes the note into the run; whether it is in. */
  onKeep: (text: string) => Promise<boolean>;
  onClose: () => void;
}

/** A note during the run. It is kept as typed, and stays open, until it is written. */
export function NoteBox({ runId, onKeep, onClose }: NoteBoxProps) {
  const key = `note:${runId}`;
  const [text, change] = useDraftText(key);
  return (
    <form
      className="min-h-0 shrink overflow-y-auto border-t border-hair px-4 py-3 sm:px-10 short:py-1"
      onKeyDown={(event) => {
        if (event.key === 'Escape') onClose();
      }}
      onSubmit={(event) => {
        event.preventDefault();
        if (text.trim() === '') return;
        void onKeep(text.trim()).then((kept) => {
          if (!kept) return;
          void dropDraft(key);
          onClose();
        });
      }}
    >
      <label htmlFor="run-note" className="font-[620]">
        Note
      </label>
      <textarea
        id="run-note"
        rows={2}
        maxLength={2000}
        autoFocus
        className="box mt-1"
        value={text}
        onChange={(event) => change(event.target.value)}
      />
      <div className="mt-2 flex gap-3">
        <button type="submit" className="act act-primary min-h-16 flex-1 short:min-h-11" disabled={text.trim() === ''}>
          Save the note
        </button>
        <button type="button" className="act min-h-16 short:min-h-11" onClick={onClose}>
          Not now
        </button>
      </div>
    </form>
  );
}
