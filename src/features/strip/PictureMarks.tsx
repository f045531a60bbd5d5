'use client';

import { useRef, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import { cornersOf, patchesOf, slidMiddle, type Patch, type Place } from '@/core/densitometry/patch';
import type { StripForm } from '@/core/evidence/stripForm';
import { useObjectUrl } from '@/ui/useObjectUrl';
import type { StripShot } from './useStripPictures';

interface PictureMarksProps {
  shot: StripShot;
  form: Pick<StripForm, 'light' | 'opaque' | 'clear' | 'row'>;
  count: number;
  /** Takes a tap on the picture itself, where taps place the marks. */
  onTap?: (at: Place) => void;
  onMove: (part: Partial<Pick<StripForm, 'light' | 'opaque' | 'clear' | 'row'>>) => void;
}

/** How far an arrow key moves a mark, and with shift, as shares of the picture's longest edge. */
const KEY_STEP = 0.002;
const KEY_LEAP = 0.02;

const arrows: Record<string, Place> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: -1 },
  ArrowDown: { x: 0, y: 1 },
};

const plus = (place: Place, by: Place): Place => ({ x: place.x + by.x, y: place.y + by.y });

/** The picture with its marks: each is dragged, or moved by the arrow keys. */
export function PictureMarks({ shot, form, count, onTap, onMove }: PictureMarksProps) {
  const url = useObjectUrl(shot.preview);
  const { row, light, opaque, clear } = form;
  const edge = Math.max(shot.widthPx, shot.heightPx);
  const [width, height] = [shot.widthPx / edge, shot.heightPx / edge];
  const patches = patchesOf({ ...row, count });
  const moveRow = (by: Place): void =>
    onMove({ row: { ...row, first: plus(row.first, by), last: plus(row.last, by) } });

  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      className="block max-h-[62vh] w-full touch-none border border-edge select-none"
      role="group"
      onClick={(event) => {
        const matrix = event.currentTarget.getScreenCTM();
        if (onTap === undefined || matrix === null) return;
        const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
        onTap({ x, y });
      }}
      aria-label={`Picture ${shot.name} with its marks`}
    >
      {url !== null && <image href={url} width={width} height={height} preserveAspectRatio="none" />}
      {light.map((patch, index) => (
        <Mark
          key={index}
          name={`Bare light ${index + 1}`}
          move={(by) => onMove({ light: light.map((one, at) => (at === index ? { ...one, ...plus(one, by) } : one)) })}
        >
          <Outline patch={patch} dashed />
        </Mark>
      ))}
      {opaque !== null && (
        <Mark name="Opaque patch" move={(by) => onMove({ opaque: { ...opaque, ...plus(opaque, by) } })}>
          <Outline patch={opaque} dashed />
          <Name at={opaque} text="opaque" />
        </Mark>
      )}
      {clear !== null && (
        <Mark name="Clear film" move={(by) => onMove({ clear: { ...clear, ...plus(clear, by) } })}>
          <Outline patch={clear} dashed />
          <Name at={clear} text="fog" />
        </Mark>
      )}
      {count > 0 && (
        <Mark name="The whole row" move={moveRow}>
          {patches.map((patch, index) => (
            <Outline key={index} patch={patch} />
          ))}
          {patches.map((patch, index) => (
            <Name key={index} at={patch} text={String(index + 1)} />
          ))}
        </Mark>
      )}
      {count > 2 && <MiddleMark row={row} onMove={onMove} />}
      {count > 0 &&
        (['first', 'last'] as const).map((end) => (
          <Mark
            key={end}
            name={end === 'first' ? 'First patch' : 'Last patch'}
            move={(by) => onMove({ row: { ...row, [end]: plus(row[end], by) } })}
          >
            <Handle at={row[end]} />
          </Mark>
        ))}
    </svg>
  );
}

/** Slides the middle of the row along it: a picture taken at an angle has its middle nearer to the far end. */
function MiddleMark({ row, onMove }: Pick<PictureMarksProps, 'onMove'> & { row: StripForm['row'] }) {
  const middle = patchesOf({ ...row, count: 3 })[1];
  if (middle === undefined) return null;
  return (
    <Mark name="Middle of the row" move={(by) => onMove({ row: slidMiddle(row, by) })}>
      <Handle at={middle} />
    </Mark>
  );
}

/** Something on the picture that moves by dragging and by the arrow keys, by shares of the picture's longest edge. */
function Mark({ name, move, children }: { name: string; move: (by: Place) => void; children: ReactNode }) {
  const from = useRef<Place>({ x: 0, y: 0 });
  const press = (event: PointerEvent<SVGGElement>): void => {
    event.preventDefault();
    event.currentTarget.setPointerCapture(event.pointerId);
    event.currentTarget.focus();
    from.current = { x: event.clientX, y: event.clientY };
  };
  const drag = (event: PointerEvent<SVGGElement>): void => {
    const scale = event.currentTarget.ownerSVGElement?.getScreenCTM()?.a;
    if (scale === undefined || !event.currentTarget.hasPointerCapture(event.pointerId)) return;
    const by = { x: (event.clientX - from.current.x) / scale, y: (event.clientY - from.current.y) / scale };
    from.current = { x: event.clientX, y: event.clientY };
    if (by.x !== 0 || by.y !== 0) move(by);
  };
  const step = (event: KeyboardEvent): void => {
    const arrow = arrows[event.key];
    if (arrow === undefined) return;
    event.preventDefault();
    const far = event.shiftKey ? KEY_LEAP : KEY_STEP;
    move({ x: arrow.x * far, y: arrow.y * far });
  };
  return (
    <g
      tabIndex={0}
      role="button"
      aria-label={name}
      aria-keyshortcuts="ArrowLeft ArrowRight ArrowUp ArrowDown"
      className="strip-mark"
      onPointerDown={press}
      onPointerMove={drag}
      onKeyDown={step}
    >
      {children}
    </g>
  );
}

/** Black within white: it shows on bare light and on the densest film. */
function Outline({ patch, dashed = false }: { patch: Patch; dashed?: boolean }) {
  const points = cornersOf(patch)
    .map(({ x, y }) => `${x},${y}`)
    .join(' ');
  return (
    <>
      <polygon points={points} fill="#0000" stroke="#fff" strokeWidth={4} vectorEffect="non-scaling-stroke" />
      <polygon
        points={points}
        fill="none"
        stroke="#000"
        strokeWidth={1.5}
        strokeDasharray={dashed ? '5 4' : undefined}
        vectorEffect="non-scaling-stroke"
      />
    </>
  );
}

function Handle({ at }: { at: Place }) {
  return (
    <>
      <circle cx={at.x} cy={at.y} r={0.022} fill="#0000" />
      <circle
        cx={at.x}
        cy={at.y}
        r={0.009}
        fill="#fff"
        stroke="#000"
        strokeWidth={2}
        vectorEffect="non-scaling-stroke"
      />
    </>
  );
}

function Name({ at, text }: { at: Patch; text: string }) {
  return (
    <text
      x={at.x}
      y={at.y - at.across / 2 - 0.008}
      fontSize={0.018}
      textAnchor="middle"
      fill="#000"
      stroke="#fff"
      strokeWidth={0.005}
      paintOrder="stroke"
    >
      {text}
    </text>
  );
}
