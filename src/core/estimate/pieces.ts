import type { EvidenceItem } from './observations';
import { KNOWN_TIME_ID, type EstimateRequest } from './request';
import type { SituationInput } from './situationSchema';

/** The setting of a request itself. */
export function settingOf(request: EstimateRequest): SituationInput {
  const {
    film,
    age,
    developer,
    bromideGPerL,
    wear,
    tankMl,
    mixingLnSd,
    temperatureC,
    ambientC,
    agitationId,
    movement,
    stockId,
    rollId,
    brewId,
    lotId,
  } = request;
  return {
    film,
    age,
    developer,
    bromideGPerL,
    wear,
    tankMl,
    mixingLnSd,
    temperatureC,
    ambientC,
    agitationId,
    movement,
    stockId,
    rollId,
    brewId,
    lotId,
  };
}

/**
 * The evidence that a request brings: each piece takes what it leaves out from the request, and a known time counts as a
 * chart time of this film in this developer.
 * @param request a valid request
 */
export function piecesOf(request: EstimateRequest): EvidenceItem[] {
  const setting = settingOf(request);
  const pieces = request.evidence.map((evidence): EvidenceItem => ({
    evidence,
    setting: { ...setting, ...otherBrew(evidence.setting), ...otherRoll(evidence.setting), ...evidence.setting },
  }));
  const { knownTime } = request;
  if (knownTime === undefined) return pieces;
  const developer = knownTime.developer ?? request.developer;
  return [
    {
      evidence: {
        kind: 'chart',
        id: KNOWN_TIME_ID,
        timeMin: knownTime.timeMin,
        source: knownTime.source,
        aged: knownTime.aged,
        setting: {},
      },
      setting: {
        ...setting,
        developer:
          developer.kind === 'concentrate' && knownTime.parts !== undefined
            ? { ...developer, parts: knownTime.parts }
            : developer,
        temperatureC: knownTime.temperatureC,
        ambientC: undefined,
        bromideGPerL: 0,
        mixingLnSd: undefined,
        wear: { ...request.wear, ageH: 0, films: 0 },
        ...chartMovement(request),
      },
    },
    ...pieces,
  ];
}

/** How the tank was moved for a known time: as it says; else as planned for an own time, and once a minute for any other. */
function chartMovement({
  knownTime,
  agitationId,
  movement,
}: EstimateRequest): Pick<SituationInput, 'agitationId' | 'movement'> {
  if (knownTime?.movement !== undefined) return { agitationId, movement: knownTime.movement };
  if (knownTime?.agitationId !== undefined) return { agitationId: knownTime.agitationId, movement: undefined };
  if (knownTime?.source === 'own') return { agitationId, movement };
  return { agitationId: CHART_AGITATION, movement: undefined };
}

/** Evidence of another brew does not take over how this one was measured. */
function otherBrew({ developer, brewId }: EvidenceItem['evidence']['setting']): Pick<SituationInput, 'mixingLnSd'> {
  return developer === undefined && brewId === undefined ? {} : { mixingLnSd: undefined };
}

/** Another roll came with this one only where the evidence says so. */
function otherRoll({ rollId }: EvidenceItem['evidence']['setting']): Pick<SituationInput, 'lotId'> {
  return rollId === undefined ? {} : { lotId: undefined };
}

/** Agitation that chart times are taken to be for: once a minute. Source: common practice. */
export const CHART_AGITATION = 'ten-each-minute';
