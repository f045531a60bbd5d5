import { expect, test } from 'vitest';
import { calendarOf } from './calendar';

test('the hours ahead as iCalendar (RFC 5545): one event each, with its local time and an alarm', () => {
  const zeroMs = new Date(2026, 10, 26).getTime();
  const item = { lane: 'kitchen' as const, kind: 'kitchen' as const, pours: false, ahead: true };
  const text = calendarOf(
    [
      { ...item, id: 'water', what: 'Set water out, to come to the room', startMin: 990, endMin: 1110 },
      { ...item, id: 'temper', what: 'Bring baths to temperature', startMin: 1080, endMin: 1110 },
    ],
    zeroMs,
  );
  const lines = text.replaceAll('\r\n ', '').split('\r\n');
  expect(lines[0]).toBe('BEGIN:VCALENDAR');
  expect(lines.filter((line) => line === 'BEGIN:VEVENT')).toHaveLength(2);
  expect(lines).toContain('DTSTART:20261126T163000');
  expect(lines).toContain('DTEND:20261126T183000');
  // A comma in a text is escaped (RFC 5545, 3.3.11).
  expect(lines).toContain('SUMMARY:Set water out\\, to come to the room');
  expect(lines.filter((line) => line === 'BEGIN:VALARM')).toHaveLength(2);
});
