'use client';

import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import { useSettings } from '@/data/queries';
import { keys } from './keys';

/** The list of keys. */
export default function KeysDialog({ onClose }: { onClose: () => void }) {
  const { keys: on } = useSettings();
  return (
    <Dialog open onClose={onClose} className="relative z-40">
      <div aria-hidden className="fixed inset-0 bg-ground opacity-80" />
      <div className="fixed inset-0 flex items-center justify-center p-4">
        <DialogPanel className="w-full max-w-md border-2 border-ink bg-sheet p-6 text-ink">
          <DialogTitle>Keys</DialogTitle>
          <dl className="mt-3">
            {keys.map(({ key, does }) => (
              <div key={key} className="flex justify-between gap-6 border-t border-hair py-2">
                <dt>
                  <kbd className="num border border-edge px-2 py-0.5">{key}</kbd>
                </dt>
                <dd>{does}</dd>
              </div>
            ))}
          </dl>
          <label className="mt-4 flex min-h-9 cursor-pointer items-center gap-2.5 border-t border-hair pt-3">
            <input
              type="checkbox"
              className="size-5"
              checked={on}
              onChange={(event) =>
                void import('@/data/settings').then(({ changeSettings }) =>
                  changeSettings({ keys: event.target.checked }),
                )
              }
            />
            Single-letter keys are on
          </label>
          <button type="button" className="act mt-4" onClick={onClose}>
            Close
          </button>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
