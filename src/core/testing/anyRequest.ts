import fc from 'fast-check';
import { developerFamilyIds } from '../chemistry/developerFamilies';
import type { EstimateRequest } from '../estimate/request';
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
    extend: fc.boolean(),
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
        : { kind: 'improvised', agents: [{ agentId: 'instant-coffee', amountPerL: r.coffee }], ascorbicGPerL: r.ascorbic, sodaGPerL: 60 },
      bromideGPerL: r.bromide,
      temperatureC: r.temperatureC,
      agitationId: r.agitationId,
      strategy: { id: r.extend ? 'extend' : 'hold', liftCap: r.liftCap },
      target: { purpose: r.purpose, pushStops: r.pushStops },
      wear: { films: r.films, ageH: r.ageH, volumeMl: 500 },
    }),
  );
