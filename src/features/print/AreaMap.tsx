'use client';

import { useRef, useState, type PointerEvent } from 'react';
import { drawnAreas, overlapsOf, placeBetween, type AreaPlace } from '@/core/printing/printMap';
import type { PrintForm } from '@/core/printing/print';
import { formatNumber } from '@/core/units/quantity';

/** The map's size, of a frame of 3 : 2. */
const WIDTH = 480;
const HEIGHT = 320;

const signed = (stops: number): string =>
  `${stops > 0 ? '+' : stops < 0 ? '−' : ''}${formatNumber(Math.abs(stops), 1)}`;

/** The picture as a sketch, with what is held back dashed and what is burnt in drawn full; a stroke from corner to corner places an area. */
export function AreaMap({
  areas,
  placing,
  onPlace,
}: {
  areas: PrintForm['areas'];
  /** The area that the next stroke places; null for none. */
  placing: number | null;
  onPlace: (index: number, at: AreaPlace) => void;
}) {
  const svgRef = useRef<SVGSVGElement>(null);
  const [from, setFrom] = useState<{ x: number; y: number } | null>(null);
  const [now, setNow] = useState<{ x: number; y: number } | null>(null);
  const drawn = drawnAreas(areas);
  const overlaps = overlapsOf(drawn);
  const pointOf = (event: PointerEvent): { x: number; y: number } => {
    const box = svgRef.current?.getBoundingClientRect();
    return box === undefined
      ? { x: 0, y: 0 }
      : { x: (event.clientX - box.left) / box.width, y: (event.clientY - box.top) / box.height };
  };
  const going = from !== null && now !== null ? placeBetween(from, now) : null;
  return (
    <figure className="mt-3 max-w-[480px]">
      <svg
        ref={svgRef}
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        role="img"
        aria-label={`The picture with ${drawn.length} ${drawn.length === 1 ? 'area' : 'areas'}`}
        data-testid="area-map"
        className="w-full touch-none border border-edge"
        style={placing === null ? undefined : { cursor: 'crosshair' }}
        onPointerDown={(event) => {
          if (placing === null) return;
          event.currentTarget.setPointerCapture(event.pointerId);
          setFrom(pointOf(event));
          setNow(pointOf(event));
        }}
        onPointerMove={(event) => {
          if (from !== null) setNow(pointOf(event));
        }}
        onPointerUp={(event) => {
          if (placing !== null && from !== null) onPlace(placing, placeBetween(from, pointOf(event)));
          setFrom(null);
          setNow(null);
        }}
      >
        <path
          d={`M${WIDTH / 3} 0V${HEIGHT}M${(2 * WIDTH) / 3} 0V${HEIGHT}M0 ${HEIGHT / 3}H${WIDTH}M0 ${(2 * HEIGHT) / 3}H${WIDTH}`}
          stroke="var(--hair)"
          fill="none"
        />
        {drawn.map(({ where, stops, at }, index) => (
          <g key={index}>
            <ellipse
              cx={at.x * WIDTH}
              cy={at.y * HEIGHT}
              rx={at.rx * WIDTH}
              ry={at.ry * HEIGHT}
              fill="var(--ink)"
              fillOpacity={stops > 0 ? Math.min(0.3, 0.12 * stops + 0.04) : 0}
              stroke="var(--ink)"
              strokeWidth="1.5"
              strokeDasharray={stops < 0 ? '5 4' : undefined}
            />
            <text
              x={at.x * WIDTH}
              y={at.y * HEIGHT}
              textAnchor="middle"
              dominantBaseline="central"
              fontSize="16"
              fill="var(--ink)"
            >
              {where} {signed(stops)}
            </text>
          </g>
        ))}
        {going !== null && (
          <ellipse
            cx={going.x * WIDTH}
            cy={going.y * HEIGHT}
            rx={going.rx * WIDTH}
            ry={going.ry * HEIGHT}
            fill="none"
            stroke="var(--ink)"
            strokeDasharray="2 3"
          />
        )}
      </svg>
      <figcaption className="mt-1 text-[14px] text-ink2">
        {placing !== null ? 'Draw it from corner to corner.' : 'Full: burnt in. Dashed: held back.'}
        {overlaps.map(({ where, stops }) => (
          <span key={where.join()} className="block">
            Where {where.join(' and ')} meet:{' '}
            {stops === null
              ? 'more is held back than the base gives. Hold back less.'
              : `${signed(stops)} stops, since exposures add and stops do not.`}
          </span>
        ))}
      </figcaption>
    </figure>
  );
}
