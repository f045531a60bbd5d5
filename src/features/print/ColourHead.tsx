'use client';

import * as z from 'zod';
import { colourHead } from '@/core/printing/colourHead';
import { typed } from '@/core/schema/typed';
import { useSettings } from '@/data/queries';
import { useDraft } from '@/features/drafts/useDraft';
import { Fold } from '@/ui/Fold';
import { Quantity } from '@/ui/Quantity';

const formSchema = z.object({ mostUnits: typed });

/** What a colour head is set to for the grade, once its largest value was told. */
export function ColourHead({ grade }: { grade: string }) {
  const { form, change } = useDraft('colour-head', formSchema, (kept) => kept ?? { mostUnits: '' });
  return form === null ? null : <Units grade={grade} mostUnits={form.mostUnits} change={change} />;
}

function Units({
  grade,
  mostUnits,
  change,
}: {
  grade: string;
  mostUnits: number | string;
  change: (part: { mostUnits: number | string }) => void;
}) {
  const units = useSettings();
  const sound = typeof mostUnits === 'number' && mostUnits >= 10 && mostUnits <= 500;
  const set = sound ? colourHead(grade, mostUnits) : null;
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
          {set === null
            ? 'No filter has this grade: give 00, 0, or 1 to 5.'
            : set.filter === null
              ? 'Grade 2: all filters at nought.'
              : `Grade ${grade.trim()}: ${set.filter} ${set.units}, the others at nought. Heads have it between ${set.low} and ${set.high} (common practice, from memory): a strip says what yours wants.`}
        </p>
      )}
    </Fold>
  );
}
