import { describe, expect, test } from 'vitest';
import { takeAdvice } from './takeAdvice';

describe('advice in the next plan', () => {
  const form = { pushStops: 0.5, bromideGPerL: 0.2 };
  test('a push adds to what is there, up to two stops', () => {
    expect(takeAdvice(form, { kind: 'push', stops: 0.5 })).toEqual({ pushStops: 1 });
    expect(takeAdvice({ ...form, pushStops: 2 }, { kind: 'push', stops: 0.5 })).toEqual({ pushStops: 2 });
    expect(takeAdvice({ ...form, pushStops: 'half' }, { kind: 'push', stops: -0.5 })).toEqual({ pushStops: -0.5 });
  });
  test('bromide never goes down', () => {
    expect(takeAdvice(form, { kind: 'bromide', gPerL: 0.5 })).toEqual({ bromideGPerL: 0.5 });
    expect(takeAdvice({ ...form, bromideGPerL: 1 }, { kind: 'bromide', gPerL: 0.5 })).toEqual({ bromideGPerL: 1 });
  });
  test('a movement takes the place of one’s own; a strategy is chosen', () => {
    expect(takeAdvice(form, { kind: 'movement', agitationId: 'gentle' })).toEqual({
      agitationId: 'gentle',
      movement: null,
    });
    expect(takeAdvice(form, { kind: 'strategy', id: 'stand' })).toEqual({ strategyId: 'stand' });
  });
});
