import fc from 'fast-check';
import { developerFamilyIds } from '../chemistry/developerFamilies';
import type { EstimateRequest } from '../estimate/request';
import { evidenceSchema, type Evidence } from '../estimate/evidenceSchema';
import { strategyIds } from '../estimate/strategyIds';
import { stockFamilyIds } from '../films/stockFamilies';
import { purposeIds } from '../kinetics/targets';
import { agitationSchoolIds } from '../schedule/agitationSchools';
import { sampleRequest } from './sampleRequest';

/** Valid requests of every kind. */
export const anyRequest: fc.Arbitrary<EstimateRequest> = fc
  .record({
    familyId: fc.constantFrom(...stockFamilyIds),
    years: fc.double({ min: 0, max: 90, noNaN: true }),
    storageC: fc.double({ min: -18, max: 32, noNaN: true }),
    yearsSd: fc.double({ min: 0, max: 20, noNaN: true }),
    concentrate: fc.boolean(),
    developerId: fc.constantFrom(...developerFamilyIds),
    water: fc.double({ min: 0, max: 100, noNaN: true }),
    coffee: fc.double({ min: 5, max: 90, noNaN: true }),
    ascorbic: fc.double({ min: 0, max: 30, noNaN: true }),
    bromide: fc.double({ min: 0, max: 2, noNaN: true }),
    temperatureC: fc.double({ min: 10, max: 35, noNaN: true }),
    agitationId: fc.constantFrom(...agitationSchoolIds),
    strategyId: fc.constantFrom(...strategyIds),
    ambientC: fc.option(fc.double({ min: 5, max: 35, noNaN: true })),
    liftCap: fc.boolean(),
    purpose: fc.constantFrom(...purposeIds),
    pushStops: fc.double({ min: -2, max: 3, noNaN: true }),
    films: fc.integer({ min: 0, max: 4 }),
    ageH: fc.double({ min: 0, max: 12, noNaN: true }),
  })
  .map((r) =>
    sampleRequest({
      film: { familyId: r.familyId, iso: 100 },
      age: { storage: [{ years: r.years, temperatureC: r.storageC }], yearsSd: r.yearsSd },
      developer: r.concentrate
        ? { kind: 'concentrate', familyId: r.developerId, parts: { concentrate: 1, water: r.water } }
        : {
            kind: 'improvised',
            agents: [{ agentId: 'instant-coffee', amountPerL: r.coffee }],
            ascorbicGPerL: r.ascorbic,
            sodaGPerL: 60,
          },
      bromideGPerL: r.bromide,
      temperatureC: r.temperatureC,
      agitationId: r.agitationId,
      strategy: { id: r.strategyId, liftCap: r.liftCap },
      ...(r.ambientC === null ? {} : { ambientC: r.ambientC }),
      target: { purpose: r.purpose, pushStops: r.pushStops },
      wear: { films: r.films, ageH: r.ageH, volumeMl: 500 },
    }),
  );

const timeMin = fc.double({ min: 1, max: 90, noNaN: true });
const method = fc.constantFrom('densities' as const, 'eye' as const);

/** Valid evidence of every kind, sound or absurd. */
export const anyEvidence: fc.Arbitrary<Evidence> = fc
  .oneof(
    fc.record({
      kind: fc.constant('chart' as const),
      id: fc.constant('x'),
      timeMin: fc.double({ min: 1, max: 60, noNaN: true }),
      source: fc.constantFrom('leaflet' as const, 'somebody' as const, 'own' as const),
    }),
    fc.record({
      kind: fc.constant('drop' as const),
      id: fc.constant('x'),
      rateRatio: fc.double({ min: 0.05, max: 20, noNaN: true }),
      lnSd: fc.double({ min: 0, max: 0.5, noNaN: true }),
      known: fc.constant({
        kind: 'concentrate' as const,
        familyId: 'mq-borax' as const,
        parts: { concentrate: 1, water: 0 },
      }),
    }),
    fc.record({
      kind: fc.constant('clip' as const),
      id: fc.constant('x'),
      timeMin,
      gradient: fc.double({ min: 0, max: 3, noNaN: true }),
      baseFogD: fc.option(fc.double({ min: 0, max: 2, noNaN: true })),
      method,
      speed: fc.option(
        fc.record({ index: fc.double({ min: 0.2, max: 20_000, noNaN: true }), ownFrames: fc.boolean() }),
      ),
    }),
    fc.record({
      kind: fc.constant('fog' as const),
      id: fc.constant('x'),
      timeMin,
      baseFogD: fc.double({ min: 0, max: 2, noNaN: true }),
      method,
    }),
    fc.record({
      kind: fc.constant('verdict' as const),
      id: fc.constant('x'),
      timeMin,
      contrast: fc.integer({ min: -2, max: 2 }),
      fogD: fc.option(fc.double({ min: 0, max: 1, noNaN: true })),
    }),
  )
  .map((piece) => evidenceSchema.parse(piece));
