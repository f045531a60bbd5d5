import type { StripRecord } from '@/core/records/records';
import { safeCsv } from '@/core/formats/csv';

/**
 * Strips as a table, one patch a line.
 * @param readings strips that were read
 * @param roll what their roll is called
 * @returns CSV; see `safeCsv`
 */
export function readingsCsv(readings: readonly StripRecord[], roll: string): string {
  return safeCsv(
    readings.flatMap((reading) => {
      const line = (
        patch: string,
        logH: number | null,
        { densityD, seD, fault }: Pick<StripRecord['steps'][number], 'densityD' | 'seD' | 'fault'>,
      ) => ({
        roll,
        strip: reading.name,
        read: new Date(reading.createdMs).toISOString(),
        developed_s: Math.round(reading.timeMin * 60),
        source: reading.source,
        channel: reading.channel,
        metered_iso: reading.meteredIso ?? '',
        patch,
        log_exposure: logH ?? '',
        density: densityD ?? '',
        standard_error: seD ?? '',
        fault: fault ?? '',
      });
      return [
        ...(reading.clear === null ? [] : [line('clear film', null, reading.clear)]),
        ...reading.steps.map((step, at) => line(String(at + 1), step.logH, step)),
      ];
    }),
  );
}
