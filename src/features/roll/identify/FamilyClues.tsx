'use client';

import { useState } from 'react';
import {
  clueGroups,
  familiesByClues,
  familyClues,
  unknownOf,
  type ClueGroup,
  type ClueId,
} from '@/core/films/familyClues';
import { stockFamilies, type StockFamilyId } from '@/core/films/stockFamilies';
import { classes } from '@/ui/classes';

const groups = Object.keys(clueGroups) as ClueGroup[];
const clueIds = Object.keys(familyClues) as ClueId[];

/** More than these are not worth listing: the answer is still open. */
const MOST_LISTED = 6;

/** A family found by what the eye sees: back, base, edge and box, drawn to be tapped. */
export function FamilyClues({ onFamily }: { onFamily: (id: StockFamilyId) => void }) {
  const [seen, setSeen] = useState<readonly ClueId[]>([]);
  const fitting = familiesByClues(seen);
  const unknown = unknownOf(fitting);
  const toggle = (id: ClueId): void =>
    setSeen((before) => (before.includes(id) ? before.filter((one) => one !== id) : [...before, id]));
  return (
    <details className="sm:col-span-2">
      <summary className="w-fit underline underline-offset-3">Identify it by looking</summary>
      <div className="mt-3 space-y-3">
        {groups.map((group) => (
          <fieldset key={group}>
            <legend className="text-[14px] font-[620]">{clueGroups[group]}</legend>
            <div className="mt-1 flex flex-wrap gap-2">
              {clueIds
                .filter((id) => familyClues[id].group === group)
                .map((id) => (
                  <button
                    key={id}
                    type="button"
                    aria-pressed={seen.includes(id)}
                    className={classes(
                      'flex min-h-11 w-[132px] flex-col items-start border bg-sheet p-1.5 text-start text-[13px] leading-tight',
                      seen.includes(id) ? 'border-2 border-ink font-bold' : 'border-edge',
                    )}
                    onClick={() => toggle(id)}
                  >
                    <Clue id={id} />
                    <span className="mt-1">{familyClues[id].name}</span>
                  </button>
                ))}
            </div>
          </fieldset>
        ))}
        {seen.length > 0 && (
          <p role="status" className="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-t border-hair pt-2">
            <span className="text-ink2">
              {fitting.length === 0
                ? 'No family shows all of that: leave one clue out.'
                : fitting.length > MOST_LISTED
                  ? `${fitting.length} families fit. Tap another clue${unknown === null ? '.' : ', or take:'}`
                  : 'It can be:'}
            </span>
            {(fitting.length > MOST_LISTED ? [] : fitting).map((id) => (
              <button key={id} type="button" className="act-plain" onClick={() => onFamily(id)}>
                {stockFamilies[id].name}
              </button>
            ))}
            {fitting.length > 1 && unknown !== null && (
              <button type="button" className="act-plain" onClick={() => onFamily(unknown)}>
                {stockFamilies[unknown].name}
              </button>
            )}
          </p>
        )}
      </div>
    </details>
  );
}

/** Colours of film held against the light, and of the back. The words beneath say the same. */
const fills: Partial<Record<ClueId, string>> = {
  'back-black': '#101010',
  'back-plain': '#8c938d',
  'base-clear': '#f4f4ee',
  'base-grey': '#9aa09b',
  'base-orange': '#d9762f',
  'base-brown': '#a9765a',
  'base-blue': '#6f95c9',
};

/** Words printed on edge or box, as they stand there. */
const prints: Partial<Record<ClueId, string>> = {
  'edge-numbers': '12   12A   13',
  'edge-keys': 'KX 04 8812 3370',
  'edge-none': '',
  'box-c': 'C-41',
  'box-e': 'E-6',
  'box-k': 'K-14',
  'box-ecn': 'ECN-2',
  'box-prints': 'COLOUR PRINTS',
  'box-slides': 'SLIDES',
  'box-pan': 'PAN',
  'box-ortho': 'ORTHO',
  'box-line': 'LITH',
  'box-print': 'PRINT',
  'box-x': 'X-RAY',
};

const HOLES = [4, 18, 32, 46, 60, 74, 88, 102];

/** One clue, drawn: a length of film, or the end of a box. */
function Clue({ id }: { id: ClueId }) {
  const { group } = familyClues[id];
  if (group === 'box')
    return (
      <svg aria-hidden viewBox="0 0 116 40" className="h-10 w-full">
        <path d="M6 10 16 3H112L104 10Z M104 10 112 3V31L104 38Z" fill="none" stroke="currentColor" />
        <rect x="6" y="10" width="98" height="28" fill="none" stroke="currentColor" />
        <text
          x="55"
          y="28"
          textAnchor="middle"
          fontSize={id === 'box-prints' ? 10 : 12}
          fontWeight="700"
          fill="currentColor"
        >
          {prints[id]}
        </text>
      </svg>
    );
  const fill = fills[id] ?? '#9aa09b';
  const dark = id === 'back-black';
  return (
    <svg aria-hidden viewBox="0 0 116 40" className="h-10 w-full">
      <rect x="0.5" y="0.5" width="115" height="39" fill={fill} stroke="currentColor" />
      {id !== 'base-blue' &&
        id !== 'edge-none' &&
        HOLES.map((x) => <rect key={x} x={x} y="3" width="8" height="5" rx="1" fill="#ffffff" stroke="#40403c" />)}
      {id === 'edge-none' && <path d="M88 0.5 94 7 100 0.5Z M102 0.5 108 7 114 0.5Z" fill="#ffffff" stroke="#40403c" />}
      {dark && <path d="M62 16C74 13 88 17 96 26 86 34 70 34 60 28Z" fill="#8c938d" />}
      {group === 'edge' && (
        <text x="58" y="35" textAnchor="middle" fontSize="10" fontWeight="700" fill="#101010">
          {prints[id]}
        </text>
      )}
    </svg>
  );
}
