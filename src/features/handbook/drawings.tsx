import { patchGrey } from '@/core/densitometry/patchGrey';
import { fogStrips } from '@/features/scene/gradeStrips';
import { ScenePicture } from '@/features/scene/ScenePicture';
import { Band } from '@/ui/Band';

/** Line drawings of the handbook, in the colour of the text around them. */
const line = { fill: 'none', stroke: 'currentColor', strokeWidth: 2 } as const;

function Words({
  at,
  children,
  anchor = 'start',
}: {
  at: [number, number];
  children: string;
  anchor?: 'start' | 'end';
}) {
  return (
    <text x={at[0]} y={at[1]} fontSize="13" fill="currentColor" textAnchor={anchor}>
      {children}
    </text>
  );
}

/** A tank cut in half: why light stays out and liquid gets in. */
export function TankSection() {
  return (
    <svg viewBox="40 0 540 260" role="img" aria-label="A daylight tank cut in half" className="w-full max-w-[540px]">
      <path d="M70 60V236Q70 246 80 246H220Q230 246 230 236V60" {...line} />
      <path d="M56 78V56Q56 46 66 46H122L132 66H168L178 46H234Q244 46 244 56V78" {...line} strokeWidth={3} />
      <path d="M104 46V30Q104 22 112 22H188Q196 22 196 30V46" {...line} />
      <path d="M138 72V232M162 72V232" {...line} />
      <path d="M84 118H216M84 172H216M84 180H216M84 228H216" {...line} />
      <path
        d="M88 124V166M100 124V166M112 124V166M124 124V166M176 124V166M188 124V166M200 124V166M212 124V166"
        {...line}
        strokeWidth={1}
      />
      <path d="M72 106H136M164 106H228" {...line} strokeDasharray="5 4" />
      <Words at={[260, 34]}>cap: on before you turn the tank</Words>
      <Words at={[260, 66]}>lid: the bend keeps light out</Words>
      <Words at={[260, 110]}>liquid covers the reel</Words>
      <Words at={[260, 150]}>the film’s reel; a spare one fills the space</Words>
      <Words at={[260, 206]}>column: without it, light comes in</Words>
    </svg>
  );
}

/** Level, rounded, heaped: the same spoon three times. */
export function SpoonFills() {
  const bowl = 'M0 20H74Q70 46 37 48 4 46 0 20Z M74 22H132';
  const fills = [
    ['level', 'M2 20H72'],
    ['rounded', 'M2 20Q37 2 72 20'],
    ['heaped', 'M2 20 28 -10Q37 -16 46 -10L72 20'],
  ] as const;
  return (
    <svg
      viewBox="0 0 480 110"
      role="img"
      aria-label="A level, a rounded and a heaped spoon"
      className="w-full max-w-[480px]"
    >
      {fills.map(([name, path], at) => (
        <g key={name} transform={`translate(${10 + at * 160} 36)`}>
          <path d={path} fill="currentColor" opacity="0.3" stroke="currentColor" strokeWidth="1.5" />
          <path d={bowl} {...line} />
          <Words at={[8, 70]}>{name}</Words>
        </g>
      ))}
    </svg>
  );
}

const WEDGE_D = [0.1, 0.3, 0.5, 0.7, 0.9, 1.1, 1.3, 1.5, 1.7, 1.9] as const;

/** A wedge in greys of known density. */
export function WedgeDrawing() {
  return (
    <div className="max-w-[560px]">
      <div className="grid grid-cols-10" role="img" aria-label="A wedge from density 0.1 to 1.9">
        {WEDGE_D.map((densityD) => {
          const grey = patchGrey(densityD);
          return <div key={densityD} className="h-20" style={{ background: `rgb(${grey} ${grey} ${grey})` }} />;
        })}
      </div>
      <div aria-hidden className="num grid grid-cols-10 text-center text-[13px]">
        {WEDGE_D.map((densityD) => (
          <span key={densityD}>{densityD.toFixed(1)}</span>
        ))}
      </div>
    </div>
  );
}

/** Two ranges of the same time: one that knows much, and one that does not. */
export function TwoRanges() {
  return (
    <div className="max-w-[520px] space-y-5">
      <div>
        <p className="text-[14px]">After a clip test: 12:30, likely 11:20 to 13:50</p>
        <Band timeMin={12.5} lowMin={11.33} highMin={13.83} />
      </div>
      <div>
        <p className="text-[14px]">Nothing known but its age: 12:30, likely 8:00 to 19:30</p>
        <Band timeMin={12.5} lowMin={8} highMin={19.5} />
      </div>
    </div>
  );
}

/** One scene on a light table under more and more fog. */
export function FogRow() {
  return (
    <div className="grid measure grid-cols-2 gap-3 sm:grid-cols-4">
      {fogStrips.map(({ value, name, greys, rim }) => (
        <figure key={value}>
          <ScenePicture greys={greys} rim={rim} />
          <figcaption className="mt-1 text-[14px]">{name}</figcaption>
        </figure>
      ))}
    </div>
  );
}

/** The four sodas by their grains. */
export function SodaGrains() {
  const grains = {
    anhydrous: 'M8 50Q30 20 52 50Z',
    monohydrate: 'M8 50Q30 28 52 50Z M18 44h3 M26 40h3 M36 42h3 M30 34h3 M24 47h3 M42 47h3',
    crystals: 'M8 50 14 34 24 30 28 42 22 50Z M26 50 32 28 44 26 50 40 46 50Z M22 30 28 18 36 20 34 28Z',
    baking: 'M8 50Q30 14 52 50Z',
  } as const;
  const names = {
    anhydrous: 'anhydrous',
    monohydrate: 'monohydrate',
    crystals: 'crystals',
    baking: 'baking soda',
  } as const;
  return (
    <svg
      viewBox="0 0 400 90"
      role="img"
      aria-label="Fine powder, grains, crystals, and a soft heap"
      className="w-full max-w-[480px]"
    >
      {(Object.keys(grains) as (keyof typeof grains)[]).map((id, at) => (
        <g key={id} transform={`translate(${at * 100 + 6} 8)`}>
          <path d={grains[id]} {...line} fill="currentColor" fillOpacity={id === 'crystals' ? 0 : 0.2} />
          <Words at={[4, 72]}>{names[id]}</Words>
        </g>
      ))}
    </svg>
  );
}

/** A bucket of water that cools towards the room while the tank stands in it. */
export function BucketDrift() {
  return (
    <svg
      viewBox="0 0 420 190"
      role="img"
      aria-label="Water in a bucket drifts towards the room, and the tank follows it late"
      className="w-full max-w-[420px]"
    >
      <path d="M40 12V160H400" {...line} />
      <path d="M40 40C120 70 240 104 400 122" {...line} />
      <path d="M40 40C110 48 220 84 400 112" {...line} strokeDasharray="6 5" />
      <path d="M40 138H400" {...line} strokeWidth={1} strokeDasharray="2 4" />
      <Words at={[250, 132]}>room</Words>
      <Words at={[132, 92]}>bucket</Words>
      <Words at={[214, 74]}>tank</Words>
      <Words at={[340, 180]}>minutes</Words>
    </svg>
  );
}

/** Wash water changed three times: each leaves less. Drawn freely: nobody measured these heights. */
export function WashChanges() {
  const heights = [96, 32, 11, 4];
  return (
    <svg
      viewBox="0 0 420 150"
      role="img"
      aria-label="Each change of water leaves less of the fixer; drawn freely, and not to scale"
      className="w-full max-w-[420px]"
    >
      <path d="M30 120H400" {...line} />
      {heights.map((height, at) => (
        <g key={height}>
          <rect x={46 + at * 92} y={120 - height} width="52" height={height} fill="currentColor" opacity="0.5" />
          <Words at={[44 + at * 92, 140]}>{at === 0 ? 'fixer' : `change ${at}`}</Words>
        </g>
      ))}
    </svg>
  );
}

/** Bottles of one developer: full, half full, and filled up with glass beads; what stands over it is air. */
export function BottleAir() {
  const bottles = [
    { x: 20, level: 0.95, beads: false, words: 'full: 6 months' },
    { x: 130, level: 0.5, beads: false, words: 'half: 3 months' },
    { x: 240, level: 0.95, beads: true, words: 'half, with beads' },
  ];
  return (
    <svg
      role="img"
      aria-label="Three bottles of one developer: full it keeps six months, half full three, and half full with glass beads as long as a full one."
      viewBox="0 0 340 180"
      className="w-full max-w-[520px]"
    >
      {bottles.map(({ x, level, beads, words }) => {
        const top = 146 - 96 * level;
        return (
          <g key={x}>
            <path d={`M${x + 2} ${top}H${x + 68}V146H${x + 2}Z`} fill="var(--brew)" opacity="0.75" />
            {beads &&
              Array.from({ length: 28 }, (_, index) => (
                <circle
                  key={index}
                  cx={x + 9 + (index % 7) * 8.7}
                  cy={139 - Math.floor(index / 7) * 9}
                  r="4"
                  fill="var(--ground)"
                  stroke="var(--edge)"
                />
              ))}
            <path
              d={`M${x + 24} 14H${x + 46}V34C${x + 62} 40 ${x + 70} 48 ${x + 70} 60V148H${x}V60C${x} 48 ${x + 8} 40 ${x + 24} 34Z`}
              fill="none"
              stroke="var(--ink)"
              strokeWidth="2"
            />
            <text x={x + 35} y="168" textAnchor="middle" fontSize="12" fill="var(--ink2)">
              {words}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
