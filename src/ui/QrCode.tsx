'use client';

import { useMemo } from 'react';
import { encode } from 'uqr';

interface QrCodeProps {
  text: string;
  label: string;
  quiet?: number;
  /** Length of a side, px; with `whole`, the most. */
  edgePx?: number;
  /** Whether each square takes a whole number of px: cameras read dense codes no other way. */
  whole?: boolean;
}

/** A text as a square code, with a quiet border of so many squares: cameras want four where nothing else is quiet around it. */
export function QrCode({ text, label, quiet = 1, edgePx = 112, whole = false }: QrCodeProps) {
  const { path, size } = useMemo(() => {
    const code = encode(text, { ecc: 'L', border: quiet });
    const squares = code.data.flatMap((row, y) => row.flatMap((on, x) => (on ? [`M${x} ${y}h1v1h-1z`] : [])));
    return { path: squares.join(''), size: code.size };
  }, [text, quiet]);
  const side = whole ? size * Math.max(1, Math.floor(edgePx / size)) : edgePx;
  return (
    <svg
      role="img"
      aria-label={label}
      width={side}
      height={side}
      viewBox={`0 0 ${size} ${size}`}
      shapeRendering="crispEdges"
      className="h-auto max-w-full shrink-0"
    >
      <path d={path} fill="currentColor" />
    </svg>
  );
}
