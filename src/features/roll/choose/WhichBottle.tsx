'use client';

import { bottleSigns, type BottleSigns } from '@/core/chemistry/bottleSigns';
import { developerFamilies, developerFamilyIds, type DeveloperFamilyId } from '@/core/chemistry/developerFamilies';
import { classes } from '@/ui/classes';

const uses: Record<BottleSigns['use'], string> = {
  'one-shot': 'used once and thrown away',
  're-used': 'used again',
  either: 'used once, or again',
};

interface WhichBottleProps {
  chosen: DeveloperFamilyId;
  onChoose: (id: DeveloperFamilyId) => void;
}

/** Which class of developer stands on the shelf, by what the bottle looks like. */
export function WhichBottle({ chosen, onChoose }: WhichBottleProps) {
  return (
    <details>
      <summary className="w-fit text-[14px] underline underline-offset-3">Which bottle is it?</summary>
      <div className="mt-2">
        {developerFamilyIds.map((id) => {
          const { drawn, looks, label, use, called } = bottleSigns[id];
          return (
            <button
              key={id}
              type="button"
              aria-pressed={id === chosen}
              className={classes(
                'grid w-full grid-cols-[56px_minmax(0,1fr)] gap-x-3 border-t border-hair px-1 py-2 text-start text-[14px] hover:bg-sheet',
                id === chosen && 'bg-sheet outline-2 -outline-offset-1 outline-ink',
              )}
              onClick={() => onChoose(id)}
            >
              <Bottle drawn={drawn} />
              <span>
                <b>{developerFamilies[id].name}</b>
                <span className="block">{looks}</span>
                <span className="block text-ink2">
                  On the label: {label}; {uses[use]}. Called: {called}.
                </span>
              </span>
            </button>
          );
        })}
      </div>
    </details>
  );
}

/** A bottle or packet, and what pours out of it. */
function Bottle({ drawn }: Pick<BottleSigns, 'drawn'>) {
  const common = { fill: 'none', stroke: 'currentColor', strokeWidth: 2 } as const;
  if (drawn === 'packet')
    return (
      <svg aria-hidden viewBox="0 0 56 72" className="h-[72px] w-14">
        <path d="M10 10H46V64H10Z M10 16H46" {...common} />
        <path d="M12 64 18 56 24 60 30 52 36 58 42 54 44 64Z" fill="currentColor" opacity="0.35" />
      </svg>
    );
  const dark = drawn === 'thin-brown';
  const bottle = 'M20 6H28V16L36 24V66H12V24L20 16Z';
  return (
    <svg aria-hidden viewBox="0 0 56 72" className="h-[72px] w-14">
      {drawn === 'two-bottles' ? (
        <>
          <path d="M8 10H14V18L20 24V64H2V24L8 18Z M34 10H40V18L46 24V64H28V24L34 18Z" {...common} />
          <text x="11" y="48" textAnchor="middle" fontSize="12" fontWeight="700" fill="currentColor">
            A
          </text>
          <text x="37" y="48" textAnchor="middle" fontSize="12" fontWeight="700" fill="currentColor">
            B
          </text>
        </>
      ) : (
        <>
          <path d={bottle} {...common} />
          <path d="M13 34H35V65H13Z" fill="currentColor" opacity={dark ? 0.85 : drawn === 'syrup' ? 0.5 : 0.15} />
          {drawn === 'syrup' ? (
            <path d="M46 8C46 30 42 36 45 46 48 54 44 58 46 66" {...common} strokeWidth={4} />
          ) : (
            <path d="M46 10V20M46 26V36M46 42V52" {...common} strokeWidth={2} />
          )}
        </>
      )}
    </svg>
  );
}
