'use client';

import Link from 'next/link';
import * as z from 'zod';
import { useState } from 'react';
import { safeMinutes, safelightTest, sheetFromBox, testedMinutes } from '@/core/printing/paperDark';
import { DarkRun } from '@/features/dark/DarkRun';
import { DarkSteps, DarkWarnings } from '@/features/dark/DarkSteps';
import { useDraft } from '@/features/drafts/useDraft';
import { Segments } from '@/ui/Segments';

const cards = { sheet: sheetFromBox, lamp: safelightTest } as const;
type CardId = keyof typeof cards;
const cardOptions = (Object.keys(cards) as CardId[]).map((value) => ({ value, name: cards[value].title }));

const shownSchema = z.object({ shown: z.enum(['open', 'none', '2', '4', '8']) });
type Shown = z.infer<typeof shownSchema>;
const shownOptions = [
  { value: 'open', name: 'Not yet' },
  { value: 'none', name: 'None' },
  ...testedMinutes.toReversed().map((minutes) => ({ value: String(minutes) as '2', name: `${minutes} min` })),
] as const;

/** Paper boxes and the light that they are opened in: to read, to rehearse, to be read aloud. */
export function PaperDark() {
  const [id, setId] = useState<CardId>('sheet');
  const [mode, setMode] = useState<'card' | 'practice' | 'dark'>('card');
  const card = cards[id];
  if (mode !== 'card') return <DarkRun card={card} dark={mode === 'dark'} onEnd={() => setMode('card')} />;
  return (
    <div className="measure">
      <p className="no-print text-[13px] text-ink2">
        <Link href="/prints">Prints</Link>
      </p>
      <h1>{card.title}</h1>
      <div className="no-print mt-3 max-w-md">
        <Segments id="card" label="What is done in the dark" value={id} options={cardOptions} onChange={setId} />
      </div>
      <DarkWarnings card={card} />
      <DarkSteps card={card} />
      {id === 'lamp' && <TestedLight />}
      <div className="no-print mt-4 flex flex-wrap gap-3">
        <button type="button" className="act act-primary" onClick={() => setMode('dark')}>
          Read it to me in the dark
        </button>
        <button type="button" className="act" onClick={() => setMode('practice')}>
          Rehearse with a spoiled sheet
        </button>
        <button type="button" className="act" onClick={() => window.print()}>
          Print the card
        </button>
      </div>
    </div>
  );
}

/** What the coins say of the light. */
function TestedLight() {
  const { form, change } = useDraft<Shown>('safelight', shownSchema, (kept) => kept ?? { shown: 'open' });
  if (form === null) return null;
  const { shown } = form;
  const minutes = shown === 'open' ? null : safeMinutes(shown === 'none' ? null : (Number(shown) as 2 | 4 | 8));
  return (
    <div className="mt-4 max-w-[560px]">
      <Segments
        id="shown"
        label="Shortest strip on which a coin shows"
        value={shown}
        options={shownOptions}
        onChange={(next) => change({ shown: next })}
      />
      {minutes !== null && (
        <p role="status" className="mt-2 border-s-4 border-chem ps-3">
          {minutes === 0
            ? 'Not safe. Move the lamp farther off, dim it, or change its filter, and test again.'
            : `A sheet may lie in this light for ${minutes} ${minutes === 1 ? 'minute' : 'minutes'}: half of what left no trace, since paper with an image on it fogs sooner (common practice).`}
        </p>
      )}
    </div>
  );
}
