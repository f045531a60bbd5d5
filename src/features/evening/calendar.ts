import { createEvents, type DateArray, type EventAttributes } from 'ics';
import type { EveningItem } from '@/core/evening/evening';

/** Where an item's instant lies in a calendar: year, month, day, hour, minute of the local clock. */
function local(instantMs: number): DateArray {
  const date = new Date(instantMs);
  return [date.getFullYear(), date.getMonth() + 1, date.getDate(), date.getHours(), date.getMinutes()];
}

/**
 * The hours ahead of an evening as iCalendar.
 * @param items what belongs into a calendar
 * @param zeroMs instant at which the evening's clock stands at 0, ms since the epoch
 * @returns the file's text
 * @throws Error when the package cannot write it. Source: iCalendar, RFC 5545, by the package.
 */
export function calendarOf(items: readonly EveningItem[], zeroMs: number): string {
  const events = items.map(({ id, what, startMin, endMin }): EventAttributes => ({
    uid: `${id.replaceAll(' ', '-')}-${zeroMs}@aetas`,
    title: what,
    start: local(zeroMs + startMin * 60_000),
    startOutputType: 'local',
    end: local(zeroMs + Math.max(endMin, startMin + 1) * 60_000),
    endOutputType: 'local',
    productId: 'aetas',
    alarms: [{ action: 'display', description: what, trigger: { before: true, minutes: 0 } }],
  }));
  const { error, value } = createEvents(events);
  if (error != null || value == null) throw new Error(error?.message ?? 'The calendar cannot be written.');
  return value;
}
