'use client';

import {
  emptyTray,
  emptyWet,
  fixerLeft,
  isEnough,
  trayFields,
  trayFormSchema,
  trayTimes,
  wetFormSchema,
  type TrayField,
  type TrayForm,
  type WetForm,
} from '@/core/printing/trayForm';
import type { PaperDeveloper } from '@/core/printing/paperRange';
import { fixWays, paperBases, printBaths, type FixWay, type PaperBase } from '@/core/printing/wetPrint';
import { coffeeWarmth } from '@/core/printing/coffeeWarmth';
import { isPourable } from '@/core/brewing/bottle';
import type { Brew } from '@/core/records/records';
import { formatDuration } from '@/core/units/duration';
import { formatNumber, formatQuantity } from '@/core/units/quantity';
import { countFilms } from '@/data/brews';
import { useBrews, useSettings } from '@/data/queries';
import { useDraft } from '@/features/drafts/useDraft';
import { Choice } from '@/ui/Choice';
import { Quantity } from '@/ui/Quantity';
import { Segments } from '@/ui/Segments';

const baseOptions = (Object.keys(paperBases) as PaperBase[]).map((value) => ({ value, name: paperBases[value] }));
const wayOptions = (Object.keys(fixWays) as FixWay[]).map((value) => ({ value, name: fixWays[value] }));

/** What comes after the developer, by the paper, and how many sheets the fixer still takes. */
function WetPrint({ coffeeMin, jugs }: { coffeeMin: number | null; jugs: readonly Brew[] }) {
  const units = useSettings();
  const { form, change } = useDraft<WetForm>('wet-print', wetFormSchema, (kept) => kept ?? emptyWet);
  if (form === null) return null;
  const { base, way, aid, litres, sheets } = form;
  const fixer = fixerLeft(form, jugs);
  return (
    <div className="mt-5 max-w-[640px] space-y-3">
      <h3 className="font-[650]">After the developer</h3>
      <Segments
        id="paper-base"
        label="Base of the paper"
        value={base}
        options={baseOptions}
        onChange={(next) => change({ base: next })}
      />
      <Segments
        id="fix-way"
        label="Fixed in"
        value={way}
        options={wayOptions}
        onChange={(next) => change({ way: next })}
      />
      {coffeeMin !== null && <Warmth base={base} minutes={coffeeMin} />}
      {base === 'fibre' && (
        <label className="flex min-h-11 items-center gap-2">
          <input type="checkbox" checked={aid} onChange={(event) => change({ aid: event.target.checked })} />
          With a washing aid
        </label>
      )}
      <ol aria-label="Baths after the developer" className="border-b border-hair">
        {printBaths(base, way, aid).map(({ name, minutes, say }) => (
          <li key={name} className="rule-row flex items-baseline justify-between gap-4">
            <span>
              {name} <span className="block text-[13px] text-ink2">{say}</span>
            </span>
            <span className="num text-[19px]">{minutes === null ? '' : formatDuration(minutes * 60)}</span>
          </li>
        ))}
      </ol>
      <TrayJug id="fix-jug" use="fixer" jugs={jugs} jugId={form.jugId} onChange={(jugId) => change({ jugId })} />
      <div className={form.jugId === '' ? 'grid grid-cols-2 gap-4' : 'hidden'}>
        <Quantity
          id="fix-litres"
          label="Fixer in the tray, l"
          kind="gradient"
          units={units}
          value={litres}
          onChange={(value) => change({ litres: value })}
          error={isEnough('litres', litres) ? undefined : 'Give 0.1 or more.'}
        />
        <Quantity
          id="fix-sheets"
          label="Sheets of 8 × 10 through it"
          kind="gradient"
          units={units}
          value={sheets}
          onChange={(value) => change({ sheets: value })}
          error={isEnough('sheets', sheets) ? undefined : 'Give 0 or more.'}
        />
      </div>
      {fixer !== null && (
        <p role="status">
          {fixer.spent
            ? `It has done its ${fixer.takes} sheets: mix another, or prints brown in years.`
            : `It takes ${fixer.left} more of ${fixer.takes} (common practice). A drop test on a clear edge goes before any tally.`}
        </p>
      )}
      <p className="text-[14px] text-ink2">
        To tone, wash first. Selenium and sulfide toners are poisonous or give off gas: outdoors or by an open window,
        gloves, their own trays, and the label goes before anything here.
      </p>
    </div>
  );
}

/** The jug that a tray is poured from, and one more sheet through it. */
function TrayJug({
  id,
  use,
  jugs,
  jugId,
  onChange,
}: {
  id: string;
  use: Brew['use'];
  jugs: readonly Brew[];
  jugId: string;
  onChange: (jugId: string) => void;
}) {
  const units = useSettings();
  const offered = jugs.filter((jug) => jug.use === use && isPourable(jug) && jug.spentMs === undefined);
  const jug = offered.find((one) => one.id === jugId);
  if (offered.length === 0) return null;
  return (
    <div className="mt-3 flex max-w-[640px] flex-wrap items-end gap-x-5 gap-y-2">
      <Choice
        id={id}
        label="Poured from"
        value={jug === undefined ? '' : jugId}
        options={[
          { value: '', name: 'no jug on the shelf' },
          ...offered.map((one) => ({ value: one.id, name: `${one.name} · ${one.code}` })),
        ]}
        onChange={onChange}
      />
      {jug !== undefined && (
        <>
          <p className="pb-2" role="status">
            {formatQuantity(jug.volumeMl, 'volume', units)}, <b className="num">{formatNumber(jug.films, 1)}</b> sheets
            of 8 × 10 through it
          </p>
          <button type="button" className="act" onClick={() => void countFilms(jug.id, 1)}>
            One more sheet
          </button>
          <button
            type="button"
            className="act-plain pb-2"
            disabled={jug.films < 1}
            onClick={() => void countFilms(jug.id, -1)}
          >
            One less
          </button>
        </>
      )}
    </div>
  );
}

/** How warm coffee leaves the white of a print: the least and the most, side by side with bare paper. */
function Warmth({ base, minutes }: { base: PaperBase; minutes: number }) {
  const { least, most } = coffeeWarmth(base, minutes);
  const swatches = [
    { name: 'bare', colour: 'rgb(255 255 255)' },
    { name: 'at the least', colour: `rgb(${least.screen.join(' ')})` },
    { name: 'at the most', colour: `rgb(${most.screen.join(' ')})` },
  ];
  return (
    <figure>
      <ul className="flex" aria-label="The white of a coffee print">
        {swatches.map(({ name, colour }) => (
          <li key={name} className="w-28 text-[13px]">
            <span aria-hidden className="block h-9 border border-edge" style={{ background: colour }} />
            {name}
          </li>
        ))}
      </ul>
      <figcaption className="mt-1 max-w-[62ch] text-[13px] text-ink2">
        In coffee, white comes out between these after {formatDuration(minutes * 60)} (our estimate; daylight screen).
      </figcaption>
    </figure>
  );
}

/** How long this sheet stays in the developer: by what was printed in it, or by its first image. */
export function Trays({ developer }: { developer: PaperDeveloper | undefined }) {
  const units = useSettings();
  const { form, change } = useDraft<TrayForm>('trays', trayFormSchema, (kept) => kept ?? emptyTray);
  const jugs = useBrews() ?? [];
  if (form === null) return null;
  const { byAreaMin, byImageS, developMin } = trayTimes(form, jugs);
  const field = (id: TrayField, label: string) => (
    <Quantity
      id={`tray-${id}`}
      label={label}
      kind={trayFields[id].kind}
      units={units}
      optional={id === 'imageS'}
      value={form[id]}
      onChange={(value) => change({ [id]: value })}
      error={form[id] === '' || isEnough(id, form[id]) ? undefined : `Give ${trayFields[id].least} or more.`}
    />
  );
  return (
    <details className="mt-3 print:hidden">
      <summary className="act-plain">How long in each tray</summary>
      <div className="mt-2 grid max-w-[640px] grid-cols-2 gap-4 sm:grid-cols-3">
        {field('freshMin', 'Fresh, it took')}
        {form.jugId === '' && field('litres', 'In the tray, l')}
        {form.jugId === '' && field('sheets', 'Sheets of 8 × 10 so far')}
      </div>
      <TrayJug
        id="tray-jug"
        use="paper-developer"
        jugs={jugs}
        jugId={form.jugId}
        onChange={(jugId) => change({ jugId })}
      />
      {byAreaMin !== null && (
        <p className="mt-2" data-testid="tray-time">
          By what was printed in it: <b className="num">{formatDuration(byAreaMin * 60)}</b>{' '}
          <span className="text-ink2">(4½ grow to 6 min over eight sheets a litre, as people find it)</span>
        </p>
      )}
      <div className="mt-3 grid max-w-[640px] grid-cols-2 gap-4 sm:grid-cols-3">
        {field('imageS', 'First image after')}
        {field('factor', 'Factor of the developer')}
      </div>
      {byImageS !== null && (
        <p className="mt-2">
          By its first image: <b className="num">{formatDuration(byImageS)}</b>
        </p>
      )}
      <WetPrint coffeeMin={developer === 'bought' ? null : developMin} jugs={jugs} />
    </details>
  );
}
