/** Work that the evidence of one request may take over HTTP, units. Source: our choice, about a tenth of a second. */
export const MOST_EVIDENCE_COST = 150;

/** Units of work by kind of evidence: how many films each piece develops. Source: measured, as ratios. */
const costs: Record<string, number> = { chart: 1, fog: 1, clip: 1.5, verdict: 1.5, drop: 2 };

/** What a setting of its own adds, and each year of a window of ages. */
const OWN_SETTING = 1;
const PER_YEAR = 0.01;

/**
 * How much work the evidence of a request makes, before it is read: what is no evidence costs nothing.
 * @param request anything that was sent
 * @example evidenceCost({ evidence: [{ kind: 'fog' }] }) // 1
 */
export function evidenceCost(request: unknown): number {
  const evidence = field(request, 'evidence');
  if (!Array.isArray(evidence)) return 0;
  return evidence.reduce<number>((sum, piece) => {
    const kind = field(piece, 'kind');
    const own = typeof kind === 'string' && Object.hasOwn(costs, kind) ? (costs[kind] ?? 1) : 1;
    const setting = field(piece, 'setting');
    if (typeof setting !== 'object' || setting === null || Object.keys(setting).length === 0) return sum + own;
    const made = field(field(field(setting, 'age'), 'dated'), 'made');
    return sum + own + OWN_SETTING + (Array.isArray(made) ? PER_YEAR * made.length : 0);
  }, 0);
}

function field(value: unknown, name: string): unknown {
  return typeof value === 'object' && value !== null && Object.hasOwn(value, name)
    ? (value as Record<string, unknown>)[name]
    : undefined;
}
