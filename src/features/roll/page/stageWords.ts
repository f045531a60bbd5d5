import { format } from 'date-fns';
import type { Estimate } from '@/core/estimate/result';
import { exposureStates } from '@/core/records/records';
import { contrastGrades, fogWords } from '@/core/outcome/grades';
import { type StageId } from '@/core/plan/rollStages';
import { runProgress } from '@/core/run/runProgress';
import { developSeconds } from '@/core/plan/developSeconds';
import { formatDuration, formatMinutes } from '@/core/units/duration';
import { formatQuantity, type UnitChoice } from '@/core/units/quantity';
import { developerName } from '@/core/plan/developerName';
import type { RollDossier } from '@/data/queries';
import { rangeWords } from '@/features/words/ledgerWords';
import { ageWords, storageWords } from '@/features/words/rollWords';

/** Each stage in one line. */
export function stageSummary(
  id: StageId,
  dossier: RollDossier,
  estimate: Estimate | null,
  units: UnitChoice,
  thisYear: number,
): string {
  const { roll, plan, brew, run, verdict, standing } = dossier;
  if (standing.forbidden)
    return id === 'identify' ? 'Likely on nitrate base: do not process here' : 'Blocked: do not process this roll';
  switch (id) {
    case 'identify':
      return [
        ageWords(roll, dossier.stock, thisYear),
        storageWords(roll),
        ...(estimate === null
          ? []
          : [
              `${rangeWords(estimate.effectiveAge, 0)} years at room temperature`,
              `base + fog expected ${rangeWords(estimate.baseFogD, 2)}`,
              `${rangeWords(estimate.imageLossStops, 1)} stops lost`,
            ]),
      ].join(' · ');
    case 'expose':
      return roll.exposure.state === 'unexposed' && estimate !== null
        ? `Not exposed yet: shoot it at ISO ${rangeWords(estimate.exposureIndex, 0)}`
        : [
            exposureStates[roll.exposure.state],
            roll.exposure.year,
            roll.exposure.index && `metered at ISO ${roll.exposure.index}`,
          ]
            .filter(Boolean)
            .join(' · ');
    case 'choose':
      return plan?.pinned
        ? `${formatDuration(developSeconds(plan.pinned))}${plan.pinned.own === true ? ', my own time' : ''} (${formatMinutes(plan.pinned.lowMin)}–${formatMinutes(plan.pinned.highMin)}) in ${developerName(plan.developer)} at ${formatQuantity(plan.temperatureC, 'temperature', units)}`
        : 'No time set yet';
    case 'test':
      return dossier.evidence.length > 0 ? evidenceCount(dossier.evidence) : plan?.pinned ? 'Not tested' : 'Optional';
    case 'mix':
      if (brew !== undefined) return `${brew.name}, mixed ${format(brew.mixedMs, 'd MMM HH:mm')}`;
      return plan?.pinned ? `${formatQuantity(plan.volumeMl, 'volume', units)} to mix` : 'Waits for a time';
    case 'run': {
      if (run === undefined || run.events.length === 0) return plan?.pinned ? 'Ready to run' : 'Waits for a time';
      const progress = runProgress(run.steps, run.events);
      if (progress.phase === 'finished') return `Hung to dry ${format(progress.finishedMs ?? 0, 'd MMM yyyy HH:mm')}`;
      return `At the tank: ${run.steps[progress.stepIndex]?.name ?? ''}`;
    }
    case 'judge':
      if (verdict !== undefined)
        return `Contrast ${contrastGrades[String(verdict.contrast) as keyof typeof contrastGrades].toLowerCase()} · ${fogWords[verdict.fog]}`;
      return standing.states.run === 'done' ? 'Judge the dry negatives' : 'Waits for dry film';
  }
}

const findingWords: Record<RollDossier['evidence'][number]['finding']['kind'], [one: string, more: string]> = {
  drop: ['drop test', 'drop tests'],
  clip: ['clip test', 'clip tests'],
  chart: ['leaflet’s time', 'leaflets’ times'],
  fog: ['measured base + fog', 'measurements of base + fog'],
};

/** What was tested on a roll, counted. */
function evidenceCount(evidence: RollDossier['evidence']): string {
  const kinds = (Object.keys(findingWords) as (keyof typeof findingWords)[]).filter((kind) =>
    evidence.some(({ finding }) => finding.kind === kind),
  );
  return kinds
    .map((kind) => {
      const count = evidence.filter(({ finding }) => finding.kind === kind).length;
      return `${count} ${findingWords[kind][count === 1 ? 0 : 1]}`;
    })
    .join(', ');
}

/** Development time of a run as it really was, or null before it ended. */
export function developedFor(run: NonNullable<RollDossier['run']>): string | null {
  const index = run.steps.findIndex((step) => step.kind === 'develop');
  const tookS = runProgress(run.steps, run.events).tookS[index];
  return tookS == null ? null : formatDuration(tookS);
}
