'use client';

import { DARK_ENOUGH_D, UNTOUCHED_D } from '@/core/evidence/dropGreys';
import { patchGrey } from '@/core/densitometry/patchGrey';

interface DropStripsProps {
  /** Whether each strip was stopped: then it is as dark as it was to become. */
  brewDark: boolean;
  knownDark: boolean;
}

const grey = (densityD: number): string => {
  const value = patchGrey(densityD);
  return `rgb(${value} ${value} ${value})`;
};

/** Both strips on a sheet of paper, and between them the grey at which each is stopped. */
export function DropStrips({ brewDark, knownDark }: DropStripsProps) {
  const strip = (x: number, dark: boolean, name: string) => (
    <>
      <rect x={x} y={14} width={120} height={34} fill={grey(UNTOUCHED_D)} stroke="#000" strokeWidth={0.6} />
      {/* The drop, where the leader turns dark. */}
      <ellipse cx={x + 60} cy={31} rx={40} ry={13} fill={grey(dark ? DARK_ENOUGH_D : UNTOUCHED_D + 0.06)} />
      <text x={x + 60} y={62} fontSize={10} textAnchor="middle" fill="#000">
        {name}
      </text>
    </>
  );
  return (
    <svg
      viewBox="0 0 400 72"
      className="w-full max-w-[560px] border border-edge"
      role="img"
      aria-label="Two strips, and the grey at which each is stopped"
      style={{ background: '#fff' }}
    >
      {strip(10, brewDark, 'this brew')}
      {strip(270, knownDark, 'the known developer')}
      <rect x={150} y={14} width={100} height={34} fill={grey(DARK_ENOUGH_D)} />
      <text x={200} y={62} fontSize={10} textAnchor="middle" fill="#000">
        stop at this grey
      </text>
    </svg>
  );
}
