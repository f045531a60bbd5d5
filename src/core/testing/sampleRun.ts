import { bathsOf, usualWetChoice } from '../plan/wetProcess';
import type { Run } from '../records/records';
import { agitationSchools } from '../schedule/agitationSchools';
import { wetSteps } from '../schedule/wetSteps';

/** Gradient by time of a film that reaches 0.58 after 12 min. */
const curve = [0, 3, 6, 9, 12, 15, 18, 24].map((timeMin) => ({
  timeMin,
  net: 0.9 * (1 - Math.exp(-0.0862 * timeMin)),
}));

/** A run of twelve minutes at 20 °C, ten seconds a minute, with an acid stop. */
export function sampleRun(part: Partial<Run> = {}): Run {
  const baths = bathsOf(usualWetChoice({ remJet: false, longSoak: false, fixMin: 4, carbonateBrew: false }));
  return {
    id: 'run',
    createdMs: 0,
    updatedMs: 0,
    rollId: 'roll',
    planId: 'plan',
    brewId: null,
    developerName: 'Hut coffee',
    temperatureC: 20,
    pinned: {
      atMs: 0,
      timeMin: 12,
      lowMin: 9,
      highMin: 16,
      ledger: [],
      evidenceIds: [],
      outlook: { targetGradient: 0.58, curve, q10: 2.2 },
    },
    setup: {
      developer: { kind: 'concentrate', familyId: 'mq-borax', parts: { concentrate: 1, water: 1 } },
      bromideGPerL: 0,
      wear: { ageH: 0, films: 0, volumeMl: 500 },
      temperatureC: 20,
      ambientC: null,
      agitationId: 'ten-each-minute',
      brewId: null,
      mixingLnSd: null,
      target: { purpose: 'scan', pushStops: 0 },
    },
    movementName: 'Ten seconds a minute',
    volumeMl: 500,
    steps: wetSteps(720, agitationSchools['ten-each-minute'].movement, baths),
    events: [],
    ...part,
  };
}
