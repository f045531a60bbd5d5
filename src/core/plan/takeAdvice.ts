import type { PlanChange } from '../diagnosis/causes';
import type { Brew } from '../records/records';
import type { PlanForm } from './planForm';
import { withStrategy } from './withStrategy';

/** Most that advice pushes or pulls a plan, stops. Source: our choice. */
const MOST_PUSH_STOPS = 2;

/**
 * The fields of a plan that a piece of advice changes.
 * @param form the plan as it stands
 * @param change what follows from a cause
 * @param jugs brews on the bench
 * @returns the fields with their new values
 * @example takeAdvice({ ...form, pushStops: 0 }, { kind: 'push', stops: 0.5 }, []) // { pushStops: 0.5 }
 */
export function takeAdvice(form: PlanForm, change: PlanChange, jugs: readonly Brew[]): Partial<PlanForm> {
  switch (change.kind) {
    case 'push': {
      const now = typeof form.pushStops === 'number' ? form.pushStops : 0;
      return { pushStops: Math.max(-MOST_PUSH_STOPS, Math.min(MOST_PUSH_STOPS, now + change.stops)) };
    }
    case 'bromide': {
      const now = typeof form.bromideGPerL === 'number' ? form.bromideGPerL : 0;
      return { bromideGPerL: Math.max(now, change.gPerL) };
    }
    case 'movement':
      // A movement of one's own would go before the school's.
      return { agitationId: change.agitationId, movement: null };
    case 'strategy':
      return withStrategy(form, change.id, jugs);
  }
}
