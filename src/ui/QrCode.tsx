'use client';

import { useMemo } from 'react';
import { encode } from 'uqr';

/** A text as a square code. */
export function QrCode({ text, label }: { text: string; label: string }) {
  const { path, size } = useMemo(() => {
    const code = encode(text, { ecc: 'L', border: 1 });
    const squares = code.data.flatMap((row, y) => row.flatMap((on, x) => (on ? [`M${x} ${y}h1v1h-1z`] : [])));
    return { path: squares.join(''), size: code.size };
  }, [text]);
  return (
    <svg
      role="img"
      aria-label={label}
      width="112"
      height="112"
      viewBox={`0 0 ${size} ${size}`}
      shapeRendering="crispEdges"
      className="shrink-0"
    >
      <path d={path} fill="currentColor" />
    </svg>
  );
}
