'use client';

import * as z from 'zod';
import { colourHead } from '@/core/printing/colourHead';
import { headStripsOf, ownHead } from '@/core/printing/headCalibration';
import type { StripOfPaper } from '@/core/printing/paperRange';
import { typed } from '@/core/schema/typed';
import { useSettings } from '@/data/queries';
import { useDraft } from '@/features/drafts/useDraft';
import { Fold } from '@/ui/Fold';
import { Quantity } from '@/ui/Quantity';

const formSchema = z.object({ mostUnits: typed });

/** What a colour head is set to for the grade, once its largest value was told: by its own strips, else by the table. */
export function ColourHead({ grade, strips }: { grade: string; strips: readonly StripOfPaper[] }) {
  const { form, change } = useDraft('colour-head', formSchema, (kept) => kept ?? { mostUnits: '' });
  return form === null ? null : <Units grade={grade} strips={strips} mostUnits={form.mostUnits} change={change} />;
}

/** A setting of the head: which filter, and how much of it. */
function dialWords(units: number): string {
  return units === 0 ? 'all at nought' : units > 0 ? `magenta ${units}` : `yellow ${-units}`;
}

function Units({
  grade,
  strips,
  mostUnits,
  change,
}: {
  grade: string;
  strips: readonly StripOfPaper[];
  mostUnits: number | string;
  change: (part: { mostUnits: number | string }) => void;
}) {
  const units = useSettings();
  const sound = typeof mostUnits === 'number' && mostUnits >= 10 && mostUnits <= 500;
  const set = sound ? colourHead(grade, mostUnits) : null;
  const own = sound ? ownHead(grade, mostUnits, headStripsOf(strips)) : null;
  return (
    <Fold className="mt-2 print:hidden" filled={sound}>
      <summary className="act-plain">A colour head for the filters</summary>
      <div className="mt-1 max-w-[260px]">
        <Quantity
          id="mostUnits"
          label="Its scale goes to"
          hint="magenta, units"
          kind="count"
          units={units}
          optional
          value={mostUnits}
          onChange={(value) => change({ mostUnits: value })}
          error={mostUnits === '' || sound ? undefined : 'Give 10 to 500, as its dial has it.'}
        />
      </div>
      {sound && (
        <p className="mt-1 max-w-[62ch]" role="status">
          {own !== null
            ? `Grade ${grade.trim()}: ${dialWords(own.units)}, likely ${dialWords(own.low)} to ${dialWords(own.high)}, by ${own.strips === 1 ? 'one strip' : `${own.strips} strips`} of this paper on your head.`
            : set === null
              ? 'No filter has this grade: give 00, 0, or 1 to 5.'
              : set.filter === null
                ? 'Grade 2: all filters at nought.'
                : `Grade ${grade.trim()}: ${set.filter} ${set.units}, the others at nought. Heads have it between ${set.low} and ${set.high} (common practice, from memory). A strip of the paper by itself, with the setting as its grade, as 60 M, makes it your own.`}
        </p>
      )}
    </Fold>
  );
}
