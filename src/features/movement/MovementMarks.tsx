import { movementCues } from '@/core/schedule/agitationCues';
import type { Movement } from '@/core/schedule/movement';

/** Minutes that are drawn at the most: a stand of an hour looks the same after its first ones. */
const MOST_ROWS = 16;
const ROW_PX = 14;
const LEFT_PX = 30;

/** When the hands move: one row a minute, drawn to scale. */
export function MovementMarks({ movement, durationS }: { movement: Movement; durationS: number }) {
  const cues = movementCues(movement, durationS);
  const minutes = Math.max(1, Math.ceil(durationS / 60));
  // The last minute says where the movement ends, so it is always among those that are drawn.
  const rows =
    minutes <= MOST_ROWS
      ? Array.from({ length: minutes }, (_, row) => row)
      : [...Array.from({ length: MOST_ROWS - 1 }, (_, row) => row), minutes - 1];
  const starts = cues.map(({ startS }) => clock(startS)).join(', ');
  const words = cues.length === 0 ? 'No agitation.' : `Agitation begins at ${starts}.`;
  return (
    <svg
      role="img"
      aria-label={words}
      viewBox={`0 0 300 ${rows.length * ROW_PX + 4}`}
      className="block w-full max-w-[420px]"
    >
      {rows.map((minute, row) => {
        const y = row * ROW_PX + ROW_PX - 3;
        const endS = Math.min(60, durationS - minute * 60);
        return (
          <g key={minute}>
            <text x={LEFT_PX - 6} y={y} textAnchor="end" fontSize="9" fill="var(--ink2)">
              {minute}:00
            </text>
            <line
              x1={LEFT_PX}
              x2={LEFT_PX + endS * SCALE}
              y1={y}
              y2={y}
              stroke="var(--edge)"
              strokeWidth="1"
              strokeDasharray={row === MOST_ROWS - 1 && minutes > MOST_ROWS ? '2 3' : undefined}
            />
            {cues.map(({ startS, endS: cueEndS }) => {
              const from = Math.max(startS, minute * 60);
              const to = Math.min(cueEndS, minute * 60 + 60);
              return to <= from ? null : (
                <rect
                  key={startS}
                  x={LEFT_PX + (from - minute * 60) * SCALE}
                  y={y - 7}
                  width={Math.max(2, (to - from) * SCALE)}
                  height="7"
                  fill="var(--ink)"
                />
              );
            })}
          </g>
        );
      })}
    </svg>
  );
}

/** Width of a second. */
const SCALE = 4.4;

function clock(s: number): string {
  const whole = Math.round(s);
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}
