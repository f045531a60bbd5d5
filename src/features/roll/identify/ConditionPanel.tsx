'use client';

import type { Condition } from '@/core/films/condition';
import { backings, conditionSigns, expectsRemJet, type Backing, type ConditionSign } from '@/core/films/conditionFacts';
import { familyRecognition } from '@/core/films/familyRecognition';
import { filmFormats, fitsUsualReel } from '@/core/films/filmFormats';
import { stockFamilies } from '@/core/films/stockFamilies';
import type { RollDossier } from '@/data/queries';
import { conditionPart } from '@/data/typedParts';
import { useTypedPart } from '@/features/drafts/useTypedPart';
import { Choice } from '@/ui/Choice';
import { Term } from '@/ui/Term';

const backingOptions = (Object.keys(backings) as Backing[]).map((value) => ({ value, name: backings[value] }));

/** How the film lies there, what it is by its family, and what that asks of the work. */
export function ConditionPanel({ dossier: { roll, stock } }: { dossier: RollDossier }) {
  const { form: condition, change: set } = useTypedPart(conditionPart, roll.id, roll.condition);
  const change = (part: Partial<Condition>): void => set({ ...condition, ...part });
  const family = stockFamilies[stock.familyId];
  const known = familyRecognition[stock.familyId];
  const format = filmFormats[roll.formatId];
  const tick = (sign: ConditionSign, on: boolean): void =>
    change({ signs: on ? [...condition.signs, sign] : condition.signs.filter((other) => other !== sign) });
  const facts = [
    ['How to tell the family', known.recognise],
    ['Its process', known.process],
    ['Chance of an image', known.image],
    [
      'Size',
      `${format.widthMm} mm wide, ${format.frames}; ${format.coverVolumeMl} ml cover it. ${fitsUsualReel(roll.formatId) ? 'A usual adjustable reel takes it.' : format.coping}`,
    ],
  ] as const;
  return (
    <div>
      <dl className="mt-2 measure">
        {facts.map(([term, words]) => (
          <div key={term} className="grid gap-x-6 border-t border-hair py-1.5 sm:grid-cols-[190px_1fr]">
            <dt className="text-ink2">{term}</dt>
            <dd>{words}</dd>
          </div>
        ))}
      </dl>
      <div className="mt-4 grid gap-x-6 gap-y-4 sm:grid-cols-2">
        <div>
          <Choice
            id="backing"
            label="Back of the film"
            value={condition.backing}
            options={backingOptions}
            onChange={(backing) => change({ backing })}
          />
          <p className="mt-1 text-[13px] text-ink2">
            {expectsRemJet(condition, family.remJet) ? (
              <>
                Counts as <Term id="rem-jet">rem-jet</Term>: an alkaline pre-bath with hard shaking, rinsing until
                clear, and a last wipe. To tell: a drop of washing-soda water on the leader, then rub; black comes off.
              </>
            ) : (
              'No black backing is expected.'
            )}
          </p>
        </div>
        <fieldset>
          <legend className="font-[620]">Signs of age</legend>
          {(Object.keys(conditionSigns) as ConditionSign[]).map((sign) => (
            <label key={sign} className="flex min-h-8 cursor-pointer items-start gap-2 py-1">
              <input
                type="checkbox"
                className="mt-0.5 size-5 shrink-0"
                checked={condition.signs.includes(sign)}
                onChange={(event) => tick(sign, event.target.checked)}
              />
              <span>
                {conditionSigns[sign].name}
                {condition.signs.includes(sign) && (
                  <span className="block text-[13px] text-ink2">{conditionSigns[sign].advice}</span>
                )}
              </span>
            </label>
          ))}
        </fieldset>
      </div>
    </div>
  );
}
