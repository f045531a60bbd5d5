import { developerFamilyIds } from '../chemistry/developerFamilies';
import { organicAgentIds } from '../chemistry/organicAgents';
import { piecesOf } from '../estimate/pieces';
import { completeRequest, workOut } from '../estimate/estimate';
import type { EvidenceInput } from '../estimate/evidenceSchema';
import { LN_GRADIENT_PER_GRADE } from '../outcome/grades';
import type { EvidenceItem } from '../estimate/observations';
import type { EstimateRequestInput } from '../estimate/request';
import { BASE_GRADIENT } from '../kinetics/targets';
import { stockFamilyIds } from '../films/stockFamilies';
import { chance } from './chance';
import { roomYears, sampleRequest } from './sampleRequest';

/** Formulas: the bought classes, and kitchen brews of one agent or two. */
const formulas: EstimateRequestInput['developer'][] = [
  ...developerFamilyIds.map((familyId) => ({
    kind: 'concentrate' as const,
    familyId,
    parts: { concentrate: 1, water: 30 },
  })),
  ...organicAgentIds.flatMap((first, index) =>
    organicAgentIds.slice(index).map((second) => ({
      kind: 'improvised' as const,
      agents: [...new Set([first, second])].map((agentId) => ({ agentId, amountPerL: 50 })),
      ascorbicGPerL: 16,
      sodaGPerL: 80,
    })),
  ),
];

/**
 * Verdicts of a long log, for benchmarks.
 * @param runs number of runs
 * @param stocks number of stocks
 * @param formulaCount number of formulas, 43 at the most
 */
export function bigLog(runs: number, stocks: number, formulaCount: number): EvidenceItem[] {
  const luck = chance(77);
  return Array.from({ length: runs }, (_, index) => {
    const stock = index % stocks;
    const request = sampleRequest({
      film: { familyId: stockFamilyIds[stock % stockFamilyIds.length] ?? 'pan-cubic-fast', iso: 200 },
      age: roomYears(5 + (stock % 30)),
      developer: formulas[(index * 7) % formulaCount],
      temperatureC: luck.uniform(18, 23),
      agitationId: luck.pick(['ten-each-minute', 'continuous', 'five-each-half-minute'] as const),
      stockId: `stock ${stock}`,
      rollId: `roll ${index}`,
      brewId: `brew ${Math.floor(index / 2)}`,
    });
    // A verdict as somebody would give it who poured roughly what the model says.
    const { prediction } = workOut(request);
    const timeMin = Math.min(300, prediction.timeMin * Math.exp(0.15 * luck.normal()));
    const grade =
      Math.log(Math.max(0.02, prediction.film.netGradientAt(timeMin)) / BASE_GRADIENT) / LN_GRADIENT_PER_GRADE +
      0.6 * luck.normal();
    const verdict: EvidenceInput = {
      kind: 'verdict',
      id: `run ${index}`,
      timeMin,
      contrast: Math.max(-2, Math.min(2, Math.round(grade))),
      fogD: Math.max(0, prediction.film.fogAt(timeMin) + 0.08 * luck.normal()),
    };
    return piecesOf(completeRequest({ ...request, evidence: [verdict] }))[0] as EvidenceItem;
  });
}
