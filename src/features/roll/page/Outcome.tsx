import Link from 'next/link';
import { imageOf } from '@/core/outcome/grades';
import { verdictWords } from '@/core/outcome/verdictWords';
import { formatDuration } from '@/core/units/duration';
import { developSeconds } from '@/core/plan/developSeconds';
import type { RollDossier } from '@/data/queries';
import { VerdictTaught } from '@/features/learning/VerdictTaught';
import { developedFor } from './stageWords';

/** How a finished roll came out: what it opens on. */
export function Outcome({ dossier: { roll, run, verdict } }: { dossier: RollDossier }) {
  if (run === undefined || verdict === undefined) return null;
  return (
    <section aria-label="Outcome" className="mt-5 mb-2 max-w-[78ch]">
      <p className="text-[19px] leading-snug">{verdictWords(verdict)}.</p>
      {verdict.note !== '' && <p className="mt-1">{verdict.note}</p>}
      <p className="mt-2 text-ink2">
        {developedFor(run) ?? 'Not timed'} in {run.developerName}, planned {formatDuration(developSeconds(run.pinned))}.{' '}
        <Link href={`/log/${encodeURIComponent(run.id)}`} className="act-plain">
          The whole run, bath by bath
        </Link>{' '}
        <Link href={`/rolls/${encodeURIComponent(roll.id)}/strip`} className="act-plain">
          Read a strip
        </Link>
      </p>
      <VerdictTaught verdictId={verdict.id} mayTeach={run.setup !== null && imageOf(verdict.defects) !== 'clear'} />
    </section>
  );
}
