'use client';

import Link from 'next/link';
import type { Estimate } from '@/core/estimate/result';
import { formatNumber } from '@/core/units/quantity';
import type { RollDossier } from '@/data/queries';
import { changeRoll } from '@/data/rolls';
import { FrameTable } from './FrameTable';
import { Term } from '@/ui/Term';
import { rangeWords } from '@/features/words/ledgerWords';

/** How the roll was or should be exposed. */
export function ExposeStage({ dossier: { roll }, estimate }: { dossier: RollDossier; estimate: Estimate | null }) {
  if (roll.exposure.state !== 'unexposed') {
    return (
      <div className="space-y-4 pt-2">
        <p className="max-w-[70ch]">
          {roll.exposure.state === 'known'
            ? 'The exposures are known, so the time can aim at the contrast you want.'
            : 'The exposures are unknown or mixed. There will be thin and dense frames whatever the time; a time that favours the middle loses least.'}{' '}
          The exposure itself is entered under Identify. The <Term id="latent-image">latent image</Term> has faded
          since; the predicted curves count that.
        </p>
        <FrameTable rollId={roll.id} frames={roll.frames} />
      </div>
    );
  }
  return (
    <div className="space-y-4 pt-2">
      {estimate !== null && (
        <p className="max-w-[70ch]">
          The film has lost speed with age. Shoot it at{' '}
          <b className="num">ISO {rangeWords(estimate.exposureIndex, 0)}</b>. On the first frames bracket the same scene
          at ISO {formatNumber(estimate.exposureIndex.high, 0)}, {formatNumber(estimate.exposureIndex.value, 0)} and{' '}
          {formatNumber(estimate.exposureIndex.low, 0)}: the best one tells how much was lost. For long exposures and
          filters, see <Link href="/exposure">Exposure</Link>.
        </p>
      )}
      <button
        type="button"
        className="act act-primary"
        data-next-step
        onClick={() =>
          void changeRoll(roll.id, {
            exposureState: 'known',
            exposedYear: new Date().getFullYear(),
            exposureIndex: estimate === null ? null : Math.round(estimate.exposureIndex.value),
          })
        }
      >
        It is exposed now
      </button>
    </div>
  );
}
