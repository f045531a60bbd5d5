'use client';

import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react';
import Link from 'next/link';
import type { ReactNode } from 'react';
import { terms, type TermId } from '@/core/units/terms';

/** A term of the field that opens to one sentence where it stands. */
export function Term({ id, children }: { id: TermId; children?: ReactNode }) {
  return (
    <Popover as="span" className="relative inline-block">
      <PopoverButton className="inline underline decoration-dotted underline-offset-3">
        {children ?? terms[id].name}
        <span className="sr-only">: what it means</span>
      </PopoverButton>
      <PopoverPanel
        anchor={{ to: 'bottom start', gap: 4, padding: 12 }}
        className="z-30 border border-ink bg-sheet p-3 text-start text-[14px] font-normal text-ink"
      >
        <span className="block max-w-[min(320px,80vw)]">
          <b>{terms[id].name}.</b> {terms[id].words}{' '}
          <Link href={`/handbook#term-${id}`} className="act-plain">
            In the handbook
          </Link>
        </span>
      </PopoverPanel>
    </Popover>
  );
}
