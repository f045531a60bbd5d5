'use client';

import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import { keys } from './keys';

/** The list of keys. */
export default function KeysDialog({ onClose }: { onClose: () => void }) {
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
          <button type="button" className="act mt-4" onClick={onClose}>
            Close
          </button>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
