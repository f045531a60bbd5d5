import { describe, expect, test } from 'vitest';
import { workOut } from '@/core/estimate/estimate';
import { sampleRequest } from '@/core/testing/sampleRequest';
import { rowWords } from './ledgerWords';

const units = { temperature: 'C', volume: 'ml' } as const;

function words(part: Parameters<typeof sampleRequest>[0]): Map<string, string> {
  const { request, estimate } = workOut(sampleRequest(part));
  return new Map(
    estimate.ledger.map((row) => {
      const { label, note, explanation } = rowWords(row, request, estimate, units);
      return [row.id, [label, note, explanation].join(' | ')];
    }),
  );
}

describe('the ledger of a one-bath', () => {
  const wear = { ageH: 30, films: 2, volumeMl: 500 };
  const oneBath = words({ developer: { kind: 'one-bath' }, temperatureC: 24, agitationId: 'continuous', wear });

  test('speaks of a one-bath in every row that it has of its own', () => {
    expect(oneBath.get('base')).toContain('6:00 at 22.0 °C, whatever the film');
    expect(oneBath.get('wear')).toMatch(/^2 films through this bath \| 15 s more for each film in a litre/);
    expect(oneBath.get('temperature')).toMatch(/^24.0 °C \| against 6:00 at 22.0 °C, 4:00 at 23.9 °C, 3:00 at 27.0 °C/);
    const { estimate } = workOut(sampleRequest({ developer: { kind: 'one-bath' }, temperatureC: 24 }));
    expect(estimate.ledger.find(({ id }) => id === 'temperature')?.source).toBe('practice');
    expect(oneBath.get('agitation')).toContain('the time stays');
    expect(oneBath.get('strategy')).toContain('It runs to its own end');
    expect(oneBath.get('target')).toContain('Neither a push nor another purpose changes the time');
  });

  test('says nothing that holds for other developers only', () => {
    const all = [...oneBath.values()].join('\n');
    for (const foreign of [
      'Extend',
      'coffee',
      'halves in about',
      'Arrhenius',
      'stand time',
      'chart times',
      'once a minute',
    ])
      expect(all).not.toContain(foreign);
  });

  test('other developers keep their own words', () => {
    const improvised = words({ wear });
    expect(improvised.get('wear')).toContain('halves in about 4 h');
    expect(improvised.get('temperature')).toContain('Arrhenius');
  });
});
