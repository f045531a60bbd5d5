'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Sheet } from '@/core/brewing/workbench';
import type { Settings } from '@/core/records/records';
import { startMix } from '@/data/brews';
import type { Bench } from '@/data/queries';
import { Choice } from '@/ui/Choice';
import { classes } from '@/ui/classes';
import { AddIngredient } from './AddIngredient';
import { CostPanel } from './CostPanel';
import { Cupboard } from './Cupboard';
import { KeepRecipe } from './KeepRecipe';
import { Meters } from './Meters';
import { OrderPanel } from './OrderPanel';
import { PrintSheet } from './PrintSheet';
import { ScaleTo } from './ScaleTo';
import { Worksheet } from './Worksheet';
import { WaterPanel } from './WaterPanel';
import { BrewTime } from './BrewTime';
import { useWorkbench, type WorkbenchInHand, type WorkbenchStart } from './useWorkbench';

/** What every part of the workbench is given. */
export interface BenchPart {
  inHand: WorkbenchInHand & { form: NonNullable<WorkbenchInHand['form']> };
  settings: Settings;
}

/** One recipe on the bench: what is weighed, how strong it is, what it does to the time, and in which order it goes in. */
export function Workbench({ start, bench, settings }: { start: WorkbenchStart; bench: Bench; settings: Settings }) {
  const workbench = useWorkbench(start, settings.kit);
  const { form, change, result } = workbench;
  if (form === null || result === null) return <p aria-busy="true">Opening the workbench.</p>;
  const inHand = { ...workbench, form };
  const part = { inHand, settings };
  const dossier = bench.dossiers.find(({ roll }) => roll.id === form.rollId);
  const develops = form.use === 'film-developer';
  const rollOptions = [
    { value: '', name: 'No roll' },
    ...bench.dossiers
      .filter(({ standing, roll }) => (standing.atHand !== null && !standing.forbidden) || roll.id === form.rollId)
      .map(({ roll }) => ({ value: roll.id, name: roll.label })),
  ];
  return (
    <>
      <div className="print:hidden">
        <div className="mb-4 flex flex-wrap items-baseline gap-x-6 gap-y-1">
          <h1>{form.name.trim() || 'A recipe of your own'}</h1>
          {form.note !== '' && <p className="max-w-[88ch] text-[13px] text-ink2">{form.note}</p>}
        </div>
        <div className="grid gap-x-12 gap-y-8 lg:grid-cols-[minmax(0,1fr)_372px]">
          <div className="min-w-0">
            <div className="grid gap-x-6 gap-y-4 sm:grid-cols-[230px_minmax(0,1fr)]">
              <Choice
                id="rollId"
                label="Mixed for"
                value={form.rollId}
                options={rollOptions}
                onChange={(rollId) => change({ rollId })}
              />
              <ScaleTo {...part} dossier={dossier} />
            </div>
            <Worksheet {...part} />
            <AddIngredient inHand={inHand} />
            <Cupboard {...part} />
          </div>
          <aside className="min-w-0 space-y-5 lg:sticky lg:top-4 lg:self-start">
            {develops && <BrewTime inHand={inHand} dossier={dossier} units={settings} />}
            <Meters inHand={inHand} />
            <Acts part={part} rollId={form.rollId === '' ? null : form.rollId} />
          </aside>
        </div>
        <div className="mt-8 grid items-start gap-x-12 gap-y-8 lg:grid-cols-2">
          <div className="min-w-0 space-y-8">
            <WaterPanel {...part} />
            <CostPanel inHand={inHand} />
            <KeepRecipe inHand={inHand} start={start} />
          </div>
          <OrderPanel inHand={inHand} units={settings} />
        </div>
      </div>
      {result.sheet !== null && (
        <PrintSheet sheet={result.sheet} forRoll={dossier?.roll.label ?? null} units={settings} />
      )}
    </>
  );
}

/** Guide me through mixing, or print it. What cannot be mixed cannot be begun. */
function Acts({ part: { inHand }, rollId }: { part: BenchPart; rollId: string | null }) {
  const router = useRouter();
  const [starting, setStarting] = useState(false);
  const sheet = inHand.result?.sheet ?? null;
  const marked = Object.keys(inHand.errors).length;
  const undissolved = sheet?.rows.some((row) => row.undissolved !== null) === true;
  const why = blockedWords(sheet, marked, inHand.asked, undissolved);
  const weigh = (): void => {
    if (sheet === null) return;
    setStarting(true);
    void startMix(sheet.batch, rollId)
      .then((id) => router.push(`/brews/mix/${encodeURIComponent(id)}`))
      .catch(() => setStarting(false));
  };
  return (
    <div>
      <div className="flex flex-wrap items-center gap-3">
        <button
          type="button"
          className="act act-primary"
          data-next-step
          disabled={why !== '' || starting}
          onClick={weigh}
        >
          Guide me through mixing
        </button>
        {sheet?.stopped != null && !undissolved && (
          <button type="button" className="act" disabled={starting} onClick={weigh}>
            Weigh it anyway
          </button>
        )}
        <button type="button" className="act" disabled={sheet === null} onClick={() => window.print()}>
          Print the sheet
        </button>
      </div>
      <p
        role="status"
        className={classes(
          'mt-2 text-[14px]',
          why === '' || (sheet === null && marked === 0) ? 'text-ink2' : 'text-danger',
        )}
      >
        {why === '' ? (
          <>
            One ingredient per screen.{' '}
            <Link href="/brews/kit" className="act-plain">
              Kit and devices
            </Link>
          </>
        ) : (
          why
        )}
      </p>
    </div>
  );
}

/** Why it cannot be weighed out; empty when it can. */
function blockedWords(sheet: Sheet | null, marked: number, asked: string | null, undissolved: boolean): string {
  if (sheet === null && marked === 0) return asked ?? '';
  if (sheet === null)
    return marked === 1
      ? 'Correct the marked field to see the sheet.'
      : `${marked} fields are marked: correct them to see the sheet.`;
  if (sheet.stopped !== null)
    return 'This would barely develop. Fix it first, or weigh it anyway and take a time of your own.';
  return undissolved ? 'Something does not dissolve: see the marked line.' : '';
}
