'use client';

import type { Study } from '@/core/estimate/study';
import type { UnitChoice } from '@/core/units/quantity';
import { rowWords } from './ledgerWords';

/** What the band is made of, and what a user can already do about it. */
export function TestStage({ study, units }: { study: Study | null; units: UnitChoice }) {
  if (study === null) return <p className="pt-2 text-ink2">Choose a developer first.</p>;
  const widest = [...study.estimate.ledger].sort((a, b) => b.varianceShare - a.varianceShare)[0];
  if (widest === undefined) return null;
  return (
    <div className="max-w-[70ch] space-y-2 pt-2">
      <p>
        Most of the doubt, {Math.round(widest.varianceShare * 100)} %, lies in <b>{rowWords(widest, study.request, study.estimate, units).label}</b>.
      </p>
      <p>
        A few centimetres of the roll, developed first and judged dry, or a trusted time for this film in this developer, would narrow the band. Give such a time under Choose, with “I know a time”; it replaces the family value.
      </p>
    </div>
  );
}
