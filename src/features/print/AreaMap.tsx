'use client';

import { useRef, useState, type PointerEvent } from 'react';
import { drawnAreas, overlapsOf, placeBetween, type AreaPlace } from '@/core/printing/printMap';
import type { PrintForm } from '@/core/printing/print';
import type { Photo } from '@/core/records/records';
import { formatNumber } from '@/core/units/quantity';
import { useObjectUrl } from '@/ui/useObjectUrl';

/** The map's width, and its height over a plain frame of 3 : 2. */
const WIDTH = 480;
const PLAIN_HEIGHT = 320;

const signed = (stops: number): string =>
  `${stops > 0 ? '+' : stops < 0 ? '−' : ''}${formatNumber(Math.abs(stops), 1)}`;

/** The picture as a sketch, with what is held back dashed and what is burnt in drawn full; a stroke from corner to corner places an area. */
export function AreaMap({
  areas,
  picture,
  placing,
  onPlace,
}: {
  areas: PrintForm['areas'];
  /** What lies under the areas; null for a plain frame. */
  picture: Photo | null;
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
  const height = picture === null ? PLAIN_HEIGHT : Math.round((WIDTH * picture.heightPx) / picture.widthPx);
  const going = from !== null && now !== null ? placeBetween(from, now) : null;
  return (
    <figure className="mt-3 max-w-[480px]">
      <svg
        ref={svgRef}
        viewBox={`0 0 ${WIDTH} ${height}`}
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
        {picture === null ? (
          <path
            d={`M${WIDTH / 3} 0V${height}M${(2 * WIDTH) / 3} 0V${height}M0 ${height / 3}H${WIDTH}M0 ${(2 * height) / 3}H${WIDTH}`}
            stroke="var(--hair)"
            fill="none"
          />
        ) : (
          <Underneath photo={picture} height={height} />
        )}
        {drawn.map(({ where, stops, at }, index) => (
          <g key={index}>
            <ellipse
              cx={at.x * WIDTH}
              cy={at.y * height}
              rx={at.rx * WIDTH}
              ry={at.ry * height}
              fill="var(--ink)"
              fillOpacity={stops > 0 ? Math.min(0.3, 0.12 * stops + 0.04) : 0}
              stroke="var(--ink)"
              strokeWidth="1.5"
              strokeDasharray={stops < 0 ? '5 4' : undefined}
            />
            <text
              x={at.x * WIDTH}
              y={at.y * height}
              textAnchor="middle"
              dominantBaseline="central"
              fontSize="16"
              fill="var(--ink)"
              stroke="var(--ground)"
              strokeWidth={picture === null ? 0 : 4}
              paintOrder="stroke"
            >
              {where} {signed(stops)}
            </text>
          </g>
        ))}
        {going !== null && (
          <ellipse
            cx={going.x * WIDTH}
            cy={going.y * height}
            rx={going.rx * WIDTH}
            ry={going.ry * height}
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

function Underneath({ photo, height }: { photo: Photo; height: number }) {
  const url = useObjectUrl(photo.jpeg);
  return url === null ? null : <image href={url} width={WIDTH} height={height} pointerEvents="none" />;
}
