'use client';

import Link from 'next/link';
import { useSearchParams } from 'next/navigation';
import { useRecipes, useSettings, useSettledBench } from '@/data/queries';
import { usePlanDraft } from '@/features/drafts/usePlanDraft';
import { Workbench } from './Workbench';
import { workbenchStart } from './useWorkbench';

/** The workbench for the recipe and the roll that the address names. */
export function WorkbenchPage() {
  const search = useSearchParams();
  const settled = useSettledBench();
  const rollId = search.get('roll');
  const draft = usePlanDraft(rollId ?? '');
  const recipes = useRecipes();
  const settings = useSettings();
  if (settled === undefined || recipes === undefined || draft === null)
    return <p aria-busy="true">Opening the workbench.</p>;
  const bench = {
    ...settled,
    dossiers: settled.dossiers.map((dossier) =>
      dossier.roll.id === rollId ? { ...dossier, planDraft: draft.values } : dossier,
    ),
  };
  const start = workbenchStart(search.get('recipe'), rollId, bench, recipes);
  if (start === null) {
    return (
      <>
        <h1>There is no such recipe.</h1>
        <p className="mt-2">
          It may have been taken out, or it lies on another bench. <Link href="/brews">All recipes</Link>
        </p>
      </>
    );
  }
  return <Workbench key={start.key} start={start} bench={bench} settings={settings} />;
}
