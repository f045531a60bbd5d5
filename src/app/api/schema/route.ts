import * as z from 'zod';
import { estimateRequestSchema } from '@/core/estimate/request';
import { estimateSchema } from '@/core/estimate/result';

/** JSON Schema of the estimate's request and response. */
export function GET(): Response {
  return Response.json({
    request: z.toJSONSchema(estimateRequestSchema, { io: 'input' }),
    response: z.toJSONSchema(estimateSchema, { io: 'output' }),
  });
}
