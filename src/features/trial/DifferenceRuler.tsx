import type { Trial } from '@/core/records/records';
import { measures } from '@/core/trial/measures';
import type { TrialAnswer } from '@/core/trial/trialAnswer';
import { measureWords } from '@/core/trial/trialWords';

const WIDTH = 600;
const ROW = 30;
/** Room for the names, and at the right edge. */
const NAMES = 170;
const EDGE = 20;

/** Each level's difference from the control on one ruler: its range, its middle, and what does not matter shaded. */
export function DifferenceRuler({ trial, answer }: { trial: Trial; answer: TrialAnswer }) {
  const { measureId, comparisons } = answer;
  const margin = trial.margins[measureId] ?? measures[measureId].margin;
  const reach = 1.08 * Math.max(margin, ...comparisons.flatMap(({ low, high }) => [Math.abs(low), Math.abs(high)]));
  const middle = (NAMES + WIDTH - EDGE) / 2;
  const x = (value: number): number => middle + (value / reach) * (WIDTH - EDGE - middle);
  const height = comparisons.length * ROW + 24;
  return (
    <svg
      role="img"
      aria-label={`${measures[measureId].name}: differences from the control, ${comparisons
        .map(
          ({ level, low, high }) =>
            `${trial.levels[level]} ${measureWords(measureId, low, true)} to ${measureWords(measureId, high, true)}`,
        )
        .join('; ')}`}
      viewBox={`0 0 ${WIDTH} ${height}`}
      className="my-2 w-full max-w-[640px]"
    >
      <rect x={x(-margin)} y="0" width={x(margin) - x(-margin)} height={height - 20} fill="var(--band)" />
      <path d={`M${x(0)} 0V${height - 20}`} stroke="var(--ink)" strokeWidth="1" />
      {comparisons.map(({ level, low, high, difference }, row) => {
        const y = row * ROW + 18;
        return (
          <g key={level}>
            <text x="0" y={y + 4} fontSize="12" fill="var(--ink2)">
              {short(trial.levels[level] ?? '')}
            </text>
            <path d={`M${x(low)} ${y}H${x(high)}`} stroke="var(--ink)" strokeWidth="3" />
            <path d={`M${x(low)} ${y - 4}v8M${x(high)} ${y - 4}v8`} stroke="var(--ink)" strokeWidth="1.5" />
            <circle cx={x(difference)} cy={y} r="5" fill="var(--ground)" stroke="var(--ink)" strokeWidth="2" />
          </g>
        );
      })}
      {(
        [
          [-margin, 'end'],
          [margin, 'start'],
        ] as const
      ).map(([value, anchor]) => (
        <text key={value} x={x(value)} y={height - 6} fontSize="12" textAnchor={anchor} fill="var(--ink)">
          {measureWords(measureId, value, true)}
        </text>
      ))}
    </svg>
  );
}

/** Letters of a name that fit beside the ruler. */
const FIT = 26;
const short = (name: string): string => (name.length > FIT ? `${name.slice(0, FIT - 1)}…` : name);
