'use client';

import { useSyncExternalStore, type ReactNode } from 'react';

const KEY = 'aetas.open-facts';
const CHANGED = 'aetas:open-facts';

/** Cards that are open stay open over a reload: somebody is typing in them. */
function useOpenFacts(): readonly string[] {
  const text = useSyncExternalStore(
    (changed) => {
      window.addEventListener(CHANGED, changed);
      return () => window.removeEventListener(CHANGED, changed);
    },
    () => sessionStorage.getItem(KEY) ?? '',
    () => '',
  );
  return text.split(' ');
}

function setOpen(open: readonly string[], id: string, isOpen: boolean): void {
  const others = open.filter((one) => one !== id && one !== '');
  sessionStorage.setItem(KEY, [...others, ...(isOpen ? [id] : [])].join(' '));
  window.dispatchEvent(new Event(CHANGED));
}

interface FactCardProps {
  id: string;
  title: string;
  /** What is known of it so far, in one line. */
  known: string;
  /** How far knowing it would narrow the time; empty where it would not. */
  gain?: string;
  children: ReactNode;
}

/** Something that can be known about a roll: a line that says what is, and opens to its fields. */
export function FactCard({ id, title, known, gain = '', children }: FactCardProps) {
  const open = useOpenFacts();
  const isOpen = open.includes(id);
  return (
    <section aria-labelledby={id} className="border-t border-hair">
      <h3 className="m-0 text-[16px]">
        <button
          type="button"
          aria-expanded={isOpen}
          className="flex min-h-12 w-full flex-wrap items-baseline gap-x-4 gap-y-0.5 py-2.5 text-start font-sans"
          onClick={() => setOpen(open, id, !isOpen)}
        >
          <span id={id} className="num w-[194px] shrink-0 text-[17px]">
            {title}
          </span>
          <span className="min-w-[180px] flex-1 text-[15px] font-normal">{known}</span>
          {gain !== '' && <span className="text-[14px] font-normal text-chem">{gain}</span>}
          <span className="ms-auto text-[13px] font-normal text-ink2 underline underline-offset-3">
            {isOpen ? 'close' : 'open'}
            <span className="sr-only"> {title}</span>
          </span>
        </button>
      </h3>
      {isOpen && <div className="pb-5">{children}</div>}
    </section>
  );
}
