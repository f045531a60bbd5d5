/** What a place will hold, drawn before it holds anything. */

const FRAME = {
  width: 260,
  height: 120,
  viewBox: '0 0 260 120',
  fill: 'none',
  stroke: 'currentColor',
  strokeWidth: 1.6,
};

/** Rolls as rows: a ribbon of seven notches, and a time. */
export function RollsPicture() {
  return (
    <svg {...FRAME}>
      {[18, 54, 90].map((y, row) => (
        <g key={y} opacity={1 - row * 0.3}>
          {Array.from({ length: 7 }, (_, notch) => (
            <rect
              key={notch}
              x={10 + notch * 14}
              y={y}
              width="9"
              height="9"
              fill={notch < 4 - row ? 'currentColor' : 'none'}
              strokeDasharray={notch > 4 - row ? '2 2' : undefined}
            />
          ))}
          <path d={`M126 ${y + 5} H206 M222 ${y + 5} H250`} />
          <path d={`M4 ${y + 22} H256`} strokeWidth="0.7" />
        </g>
      ))}
    </svg>
  );
}

/** Runs, each with its band and where the negative fell in it. */
export function LogPicture() {
  return (
    <svg {...FRAME}>
      {[20, 48, 76, 104].map((y, row) => (
        <g key={y}>
          <path d={`M10 ${y} H70`} />
          <rect x={96 + row * 8} y={y - 7} width={120 - row * 24} height="14" strokeWidth="1" />
          <path d={`M${150 + (row % 2 === 0 ? 8 : -10)} ${y - 10} V${y + 10}`} strokeWidth="3" />
        </g>
      ))}
    </svg>
  );
}

/** Bands that grow narrower, run by run. */
export function LearnedPicture() {
  return (
    <svg {...FRAME}>
      <path d="M20 8 V108 H250" />
      {[0, 1, 2, 3, 4, 5].map((run) => {
        const half = 40 / (1 + run * 0.6);
        return (
          <path key={run} d={`M${44 + run * 36} ${58 - half} V${58 + half} M${38 + run * 36} 58 H${50 + run * 36}`} />
        );
      })}
    </svg>
  );
}

/** Tanks beside each other on one clock. */
export function EveningPicture() {
  return (
    <svg {...FRAME}>
      {[
        [30, 8, 46],
        [92, 26, 40],
        [154, 48, 52],
      ].map(([x = 0, y = 0, height = 0]) => (
        <g key={x}>
          <rect x={x} y={y} width="44" height={height} />
          <path d={`M${x} ${y + height * 0.6} H${x + 44}`} strokeDasharray="3 3" />
        </g>
      ))}
      <path d="M14 6 V112 M10 30 H18 M10 60 H18 M10 90 H18" />
      <path d="M14 66 H240" strokeWidth="2.4" />
    </svg>
  );
}

/** Jugs with what is left in them. */
export function JugsPicture() {
  return (
    <svg {...FRAME}>
      {[30, 110, 190].map((x, jug) => (
        <g key={x}>
          <path d={`M${x} 26 H${x + 44} L${x + 40} 108 H${x + 4} Z`} />
          <path d={`M${x + 42} 42 H${x + 58} V78 H${x + 41}`} />
          <path d={`M${x + 2} ${60 + jug * 18} H${x + 42}`} strokeWidth="3" />
        </g>
      ))}
    </svg>
  );
}
