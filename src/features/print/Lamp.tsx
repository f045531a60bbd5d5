'use client';

import * as z from 'zod';
import { lampLag } from '@/core/printing/lampLag';
import { typed } from '@/core/schema/typed';
import { formatNumber } from '@/core/units/quantity';
import { useSettings } from '@/data/queries';
import { useDraft } from '@/features/drafts/useDraft';
import { Quantity } from '@/ui/Quantity';

const formSchema = z.object({ alikeS: typed });
type Form = z.infer<typeof formSchema>;

/** The trial of a lamp: so many exposures of so long. Source: our choice. */
const SHORT = { times: 10, seconds: 1 } as const;

/** The lamp as it was tried. */
export interface LampForm {
  form: Form | null;
  change: (part: Partial<Form>) => void;
  /** What it loses each time that it goes on, s; 0 while nobody tried. */
  lagS: number;
}

/** The lamp of this enlarger, kept for every print. */
export function useLamp(): LampForm {
  const { form, change } = useDraft<Form>('lamp', formSchema, (kept) => kept ?? { alikeS: '' });
  const alikeS = form?.alikeS;
  const tried = typeof alikeS === 'number' && alikeS > 0;
  return { form, change, lagS: tried ? lampLag(SHORT.times, SHORT.seconds, alikeS) : 0 };
}

/** How late the lamp comes up, by a trial on paper; the timer adds it to each exposure. */
export function Lamp({ lamp: { form, change, lagS } }: { lamp: LampForm }) {
  const units = useSettings();
  if (form === null) return null;
  return (
    <details className="mt-3 print:hidden">
      <summary className="act-plain">
        The lamp{lagS > 0 && `: ${formatNumber(lagS, 2)} s late, added each time`}
      </summary>
      <p className="mt-2 max-w-[58ch] text-ink2">
        Bulbs come up slowly, so many short exposures give less light than one long one. Give one piece of paper{' '}
        {SHORT.times} exposures of {SHORT.seconds} s, and others 7, 8, 9 and 10 s at once. Which of those is as grey?
      </p>
      <div className="mt-2 max-w-[280px]">
        <Quantity
          id="lampAlikeS"
          label={`${SHORT.times} of ${SHORT.seconds} s look like one of`}
          kind="shutter"
          units={units}
          optional
          value={form.alikeS}
          onChange={(alikeS) => change({ alikeS })}
        />
      </div>
    </details>
  );
}
