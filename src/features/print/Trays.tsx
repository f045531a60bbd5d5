'use client';

import * as z from 'zod';
import { SHEET_M2, factorialS, trayMinutes } from '@/core/printing/printPlan';
import { typed } from '@/core/schema/typed';
import { formatDuration } from '@/core/units/duration';
import { useSettings } from '@/data/queries';
import { useDraft } from '@/features/drafts/useDraft';
import { Quantity } from '@/ui/Quantity';

const formSchema = z.object({ freshMin: typed, litres: typed, sheets: typed, imageS: typed, factor: typed });
type TrayForm = z.infer<typeof formSchema>;
/** Source: common practice for a coffee tray, no source; a factor belongs to its developer. */
const first: TrayForm = { freshMin: 4.5, litres: 1, sheets: 0, imageS: '', factor: 8 };

const least = (value: number | string, low: number): value is number => typeof value === 'number' && value >= low;

/** How long this sheet stays in the developer: by what was printed in it, or by its first image. */
export function Trays() {
  const units = useSettings();
  const { form, change } = useDraft<TrayForm>('trays', formSchema, (kept) => kept ?? first);
  if (form === null) return null;
  const { freshMin, litres, sheets, imageS, factor } = form;
  const byArea =
    least(freshMin, 0.1) && least(litres, 0.1) && least(sheets, 0)
      ? trayMinutes(freshMin, sheets * SHEET_M2, litres)
      : null;
  const byImage = least(imageS, 1) && least(factor, 1) ? factorialS(imageS, factor) : null;
  const field = (id: keyof TrayForm, label: string, kind: 'minutes' | 'count' | 'seconds' | 'parts', low: number) => (
    <Quantity
      id={`tray-${id}`}
      label={label}
      kind={kind === 'parts' ? 'gradient' : kind}
      units={units}
      optional={id === 'imageS'}
      value={form[id]}
      onChange={(value) => change({ [id]: value })}
      error={form[id] === '' || least(form[id], low) ? undefined : `Give ${low} or more.`}
    />
  );
  return (
    <details className="mt-3 print:hidden">
      <summary className="act-plain">How long in the developer</summary>
      <div className="mt-2 grid max-w-[640px] grid-cols-2 gap-4 sm:grid-cols-3">
        {field('freshMin', 'Fresh, it took', 'minutes', 0.1)}
        {field('litres', 'In the tray, l', 'parts', 0.1)}
        {field('sheets', 'Sheets of 8 × 10 so far', 'parts', 0)}
      </div>
      {byArea !== null && (
        <p className="mt-2" data-testid="tray-time">
          By what was printed in it: <b className="num">{formatDuration(byArea * 60)}</b>{' '}
          <span className="text-ink2">(4½ grow to 6 min over eight sheets a litre, as people find it)</span>
        </p>
      )}
      <div className="mt-3 grid max-w-[640px] grid-cols-2 gap-4 sm:grid-cols-3">
        {field('imageS', 'First image after', 'seconds', 1)}
        {field('factor', 'Factor of the developer', 'parts', 1)}
      </div>
      {byImage !== null && (
        <p className="mt-2">
          By its first image: <b className="num">{formatDuration(byImage)}</b>
        </p>
      )}
    </details>
  );
}
