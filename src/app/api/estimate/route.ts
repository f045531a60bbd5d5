import type { Estimate } from '@/core/estimate/result';
import { evidenceCost, MOST_EVIDENCE_COST } from '@/core/estimate/evidenceCost';
import type { Result } from '@/core/schema/result';
import { estimator, type NotEstimated } from './estimator';

/** Largest request body that is read, bytes. */
const LARGEST_BODY_BYTES = 256 * 1024;

/** Estimates a development time. Keeps nothing. */
export async function POST(request: Request): Promise<Response> {
  const kind = request.headers.get('content-type')?.split(';')[0]?.trim().toLowerCase();
  if (kind !== 'application/json') return refuse(415, '', 'Send the request as application/json.');
  const body = await readLimited(request);
  if (body === null)
    return refuse(413, '', `The request is larger than ${LARGEST_BODY_BYTES / 1024} KiB. Send one estimate at a time.`);
  let json: unknown;
  try {
    json = JSON.parse(body);
  } catch {
    return refuse(400, '', 'The request is not JSON. GET /api/schema describes what belongs in it.');
  }
  const cost = evidenceCost(json);
  if (cost > MOST_EVIDENCE_COST)
    return refuse(
      422,
      'evidence',
      `This evidence takes ${Math.round(cost)} units of work, and a request may take ${MOST_EVIDENCE_COST}. Send the pieces nearest to the roll: its own, and its stock’s.`,
    );
  const result = (await estimator().ask(json)) as Result<Estimate> | NotEstimated;
  if (result === 'busy')
    return refuse(503, '', 'Many estimates are under way here. Ask again in a second.', { 'Retry-After': '1' });
  if (result === 'failed')
    return refuse(
      503,
      '',
      'This estimate took too long or too much memory, and was given up. Send fewer pieces of evidence.',
    );
  if (!result.ok) return Response.json({ problems: result.problems }, { status: 422 });
  return Response.json(result.value);
}

function refuse(status: number, path: string, message: string, headers: Record<string, string> = {}): Response {
  return Response.json({ problems: [{ path, message }] }, { status, headers });
}

/** Reads a body up to the limit without trusting the length that the request claims; null beyond it. */
async function readLimited(request: Request): Promise<string | null> {
  if (request.body === null) return '';
  const reader = request.body.getReader();
  const decoder = new TextDecoder();
  let text = '';
  let bytes = 0;
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return text + decoder.decode();
    bytes += value.byteLength;
    if (bytes > LARGEST_BODY_BYTES) {
      await reader.cancel();
      return null;
    }
    text += decoder.decode(value, { stream: true });
  }
}
