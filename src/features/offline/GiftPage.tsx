'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState, useSyncExternalStore } from 'react';
import { choicesOfGift, giftFromFragment, type Gift } from '@/core/formats/gift';
import { developerName } from '@/core/plan/developerName';
import { movementOf } from '@/core/plan/runSteps';
import { formatMinutes } from '@/core/units/duration';
import { formatQuantity } from '@/core/units/quantity';
import { takePlanInto } from '@/data/plans';
import { Choice } from '@/ui/Choice';
import { recipeUses } from '@/core/brewing/recipe';
import type { Result } from '@/core/schema/result';
import { keepBaths, useHabits } from '@/data/habits';
import { addRecipes } from '@/data/recipes';
import { useLatestRolls, useRecipes, useSettings } from '@/data/queries';
import { download } from '@/ui/download';
import { MarkdownText } from '@/features/handbook/MarkdownText';
import { Refused } from '@/features/files/Refused';
import { strategyWords } from '@/features/words/strategyWords';
import { recipeContents } from '@/features/words/recipeContents';

const onHash = (tell: () => void): (() => void) => {
  window.addEventListener('hashchange', tell);
  return () => window.removeEventListener('hashchange', tell);
};

/** What somebody gave in the address of this page; null where nothing is in it. */
export function useGift(): Result<Gift> | null {
  const fragment = useSyncExternalStore(
    onHash,
    () => location.hash,
    () => '',
  );
  return giftFromFragment(fragment);
}

/** A recipe or baths of somebody else: looked at first, kept on a word. */
export function GiftPage({ given }: { given: Result<Gift> }) {
  if (!given.ok)
    return (
      <div className="measure">
        <h1>This address does not read.</h1>
        <Refused name="the address" problems={given.problems} />
        <p className="mt-3">
          <Link href="/">Go to the bench</Link>
        </p>
      </div>
    );
  const gift = given.value;
  if (gift.kind === 'recipe') return <GivenRecipe gift={gift} />;
  if (gift.kind === 'plan') return <GivenPlan gift={gift} />;
  return gift.kind === 'baths' ? <GivenBaths gift={gift} /> : <GivenNote gift={gift} />;
}

function useKeep(): { fault: string | null; keep: (act: Promise<unknown>, path: string) => void } {
  const router = useRouter();
  const [fault, setFault] = useState<string | null>(null);
  return {
    fault,
    keep: (act, path) =>
      void act.then(
        () => router.push(path),
        (error: unknown) => setFault(error instanceof Error ? error.message : 'It was not stored. Try once more.'),
      ),
  };
}

function GivenRecipe({ gift: { recipe } }: { gift: Extract<Gift, { kind: 'recipe' }> }) {
  const { fault, keep } = useKeep();
  const own = useRecipes();
  const twin = own?.some(({ name }) => name === recipe.name) === true;
  return (
    <div className="measure">
      <h1>{recipe.name}</h1>
      <p className="mt-1 text-ink2">A recipe from somebody else: {recipeUses[recipe.use].name.toLowerCase()}.</p>
      <p className="num mt-3 text-[19px]">{recipeContents(recipe)}</p>
      {recipe.note.trim() !== '' && <p className="mt-3 max-w-[62ch] whitespace-pre-line">{recipe.note}</p>}
      <p className="mt-3 max-w-[62ch] text-ink2">
        Nothing has been changed yet. {twin && 'You have one of that name; both stay. '}Its cautions are worked out
        here, from what is in it. Only its giver knows whether it works.
      </p>
      <Ways fault={fault} words="Keep it among my recipes" onKeep={() => keep(addRecipes([recipe]), '/brews')} />
    </div>
  );
}

function GivenBaths({ gift }: { gift: Extract<Gift, { kind: 'baths' }> }) {
  const { fault, keep } = useKeep();
  const twin = useHabits()?.some((habit) => habit.kind === 'baths' && habit.name === gift.name) === true;
  const name = twin ? `${gift.name.slice(0, 100)}, given` : gift.name;
  return (
    <div className="measure">
      <h1>{gift.name}</h1>
      <p className="mt-1 text-ink2">Baths as somebody else does them.</p>
      <ol className="mt-3 max-w-[560px] border-b border-hair" aria-label="Baths">
        {gift.baths.map((bath, index) => (
          <li key={index} className="rule-row">
            {bath.name}
            {bath.note !== '' && <span className="block text-[14px] text-ink2">{bath.note}</span>}
          </li>
        ))}
      </ol>
      <p className="mt-3 text-ink2">
        Nothing has been changed yet. {twin && `You have baths of that name; these are kept as “${name}”.`}
      </p>
      <Ways
        fault={fault}
        words="Keep them among my presets"
        onKeep={() => keep(keepBaths({ name, baths: gift.baths, pourIn: gift.pourIn, usual: false }), '/rolls')}
      />
    </div>
  );
}

/** How somebody develops a film: looked at, and put into the plan of a roll of one’s own, where its time is worked out. */
function GivenPlan({ gift }: { gift: Extract<Gift, { kind: 'plan' }> }) {
  const { fault, keep } = useKeep();
  const units = useSettings();
  const rolls = useLatestRolls();
  const [chosen, setChosen] = useState('');
  const { plan, timeMin } = gift;
  const rollId = chosen === '' ? (rolls?.[0]?.id ?? '') : chosen;
  const facts: [string, string][] = [
    ['Developer', developerName(plan.developer)],
    ['At', formatQuantity(plan.temperatureC, 'temperature', units)],
    ['Agitation', movementOf(plan).name],
    ['Strategy', strategyWords[plan.strategy.id].name],
    ['Baths', plan.baths.map(({ name }) => name).join(', ')],
  ];
  return (
    <div className="measure">
      <h1>{gift.name}</h1>
      <p className="mt-1 text-ink2">How somebody else develops it.</p>
      <dl className="mt-3 max-w-[560px] border-b border-hair">
        {facts.map(([term, words]) => (
          <div key={term} className="rule-row grid grid-cols-[110px_minmax(0,1fr)] gap-x-4">
            <dt className="text-ink2">{term}</dt>
            <dd className="wrap-anywhere">{words}</dd>
          </div>
        ))}
      </dl>
      <p className="mt-3 max-w-[62ch] text-ink2">
        Nothing has been changed yet. {timeMin !== null && `Theirs took ${formatMinutes(timeMin)}. `}Yours gets a time
        of its own, from its age, its fog and your log. What is typed in its plan by now is set aside, under Records.
      </p>
      {rolls !== undefined && rolls.length === 0 ? (
        <p className="mt-3">
          There is no roll on the bench that it could be for. <Link href="/rolls/new">Add one</Link>, and open this
          address again.
        </p>
      ) : (
        <>
          <div className="mt-3 max-w-[420px]">
            <Choice
              id="given-roll"
              label="For which roll"
              value={rollId}
              options={(rolls ?? []).map(({ id, label }) => ({ value: id, name: label }))}
              onChange={setChosen}
            />
          </div>
          <Ways
            fault={fault}
            words="Put it into the plan of this roll"
            onKeep={() =>
              keep(takePlanInto(rollId, choicesOfGift(gift)), `/rolls/${encodeURIComponent(rollId)}#choose`)
            }
          />
        </>
      )}
    </div>
  );
}

/** A lab note of somebody else: read here, kept as a file. It changes nothing on the bench. */
function GivenNote({ gift: { name, text } }: { gift: Extract<Gift, { kind: 'note' }> }) {
  return (
    <div className="measure">
      <p className="text-ink2">A lab note of somebody else. Nothing on your bench changes by it.</p>
      <div className="mt-3 wrap-anywhere" data-testid="given-note">
        <MarkdownText markdown={text} />
      </div>
      <p className="mt-4 flex flex-wrap items-center gap-4">
        <button
          type="button"
          className="act act-primary"
          onClick={() => download(new Blob([text], { type: 'text/markdown' }), `${fileName(name)}.md`)}
        >
          Save it as a file
        </button>
        <Link href="/" className="act-plain text-ink2">
          Leave it
        </Link>
      </p>
    </div>
  );
}

/** A name as a file may have it. */
function fileName(name: string): string {
  return name.replaceAll(/[^\p{L}\p{N}]+/gu, '-').slice(0, 60) || 'note';
}

function Ways({ fault, words, onKeep }: { fault: string | null; words: string; onKeep: () => void }) {
  return (
    <>
      <p className="mt-4 flex flex-wrap items-center gap-4">
        <button type="button" className="act act-primary" onClick={onKeep}>
          {words}
        </button>
        <Link href="/" className="act-plain text-ink2">
          Leave it
        </Link>
      </p>
      {fault !== null && (
        <p role="alert" className="mt-2 text-danger">
          {fault}
        </p>
      )}
    </>
  );
}
