'use client';

import Link from 'next/link';
import { useBoxes } from '@/data/boxes';
import { useSearchParams } from 'next/navigation';
import { useDeferredValue, useMemo, useState } from 'react';
import type { RollLine } from '@/data/lines';
import { followFinishedRolls, useOpenRollLines } from '@/data/queries';
import { matching, useLines } from '@/data/useLines';
import { rollLine } from '@/features/words/rollWords';
import { OtherBench } from '@/features/shell/OtherBench';
import { Empty } from '@/ui/Empty';
import { RollsPicture } from '@/ui/emptyPictures';
import { SmallRibbon } from '@/ui/Ribbon';
import { Segments } from '@/ui/Segments';
import { VirtualRows } from '@/ui/VirtualRows';

type Group = 'all' | 'open' | 'finished';
type Order = 'latest' | 'name';
const orders: readonly { value: Order; name: string }[] = [
  { value: 'latest', name: 'Latest' },
  { value: 'name', name: 'Name' },
];
const groups: readonly { value: Group; name: string }[] = [
  { value: 'all', name: 'All' },
  { value: 'open', name: 'In hand' },
  { value: 'finished', name: 'Finished' },
];

/** Boxes that rolls came in, by what is searched for. */
function Boxes({ wanted }: { wanted: string }) {
  const found = useBoxes();
  const boxes = found?.filter(({ name }) => name.toLowerCase().includes(wanted.trim().toLowerCase()));
  if (boxes === undefined || boxes.length === 0) return null;
  return (
    <p className="mt-2 flex flex-wrap items-baseline gap-x-5 gap-y-1">
      <span className="font-[620]">Boxes</span>
      {boxes.slice(0, MOST_BOXES).map(({ id, name }) => (
        <Link key={id} href={`/boxes/${encodeURIComponent(id)}`} className="act-plain">
          {name}
        </Link>
      ))}
      {boxes.length > MOST_BOXES && <span className="text-ink2">and {boxes.length - MOST_BOXES} more</span>}
    </p>
  );
}

/** Boxes that are named above the rolls; a roll leads to its own. */
const MOST_BOXES = 12;

/** Every roll: those in hand first, the finished ones in a group of their own, with a search over both. */
export function RollList() {
  const open = useOpenRollLines();
  const finished = useLines(followFinishedRolls);
  const searching = useSearchParams().has('search');
  const [wanted, setWanted] = useState('');
  const [group, setGroup] = useState<Group>('all');
  const [order, setOrder] = useState<Order>('latest');
  const searched = useDeferredValue(wanted);
  const openFound = useMemo(
    () => (open === undefined ? [] : inOrder(matching(open, searched), order)),
    [open, searched, order],
  );
  const finishedFound = useMemo(
    () => (finished === undefined ? [] : inOrder(matching(finished.lines, searched), order)),
    [finished, searched, order],
  );
  if (open === undefined || finished === undefined) return <p aria-busy="true">Opening the rolls.</p>;
  const total = open.length + finished.lines.length;
  const count = (group === 'finished' ? 0 : openFound.length) + (group === 'open' ? 0 : finishedFound.length);
  return (
    <div className="measure">
      <div className="flex flex-wrap items-end justify-between gap-4">
        <h1>Rolls</h1>
        <Link href="/rolls/new" className="act">
          Add a roll
        </Link>
      </div>
      {total === 0 ? (
        <Empty
          picture={<RollsPicture />}
          beside={<OtherBench />}
          sentence="No rolls yet. Add the first one with whatever its label still says."
          action={
            <Link href="/ask" className="act act-primary" data-next-step>
              Ask about a film
            </Link>
          }
        />
      ) : (
        <>
          <div className="mt-4 flex flex-wrap items-end gap-x-6 gap-y-3">
            <div className="w-full max-w-md">
              <label htmlFor="search" className="font-[620]">
                Search
              </label>
              <input
                id="search"
                type="search"
                className="box mt-1"
                autoFocus={searching}
                value={wanted}
                onChange={(event) => setWanted(event.target.value)}
                placeholder="name, film, place, people, note"
              />
            </div>
            <Segments id="group" label="Show" value={group} options={groups} onChange={setGroup} />
            <Segments id="order" label="Sort by" value={order} options={orders} onChange={setOrder} />
          </div>
          <p role="status" className="mt-2 text-[13px] text-ink2">
            {count === 0 ? 'No roll has these words. Try fewer of them.' : `${count} of ${total}`}
          </p>
          <Boxes wanted={searched} />
          {group !== 'finished' && openFound.length > 0 && (
            <section aria-labelledby="open-rolls" className="mt-3">
              <h2 id="open-rolls">In hand</h2>
              <VirtualRows
                rows={openFound}
                rowPx={62}
                height="min(60vh, 620px)"
                keyOf={({ id }) => id}
                label="Rolls in hand"
              >
                {(line) => <RollRow line={line} />}
              </VirtualRows>
            </section>
          )}
          {group !== 'open' && finishedFound.length > 0 && (
            <section aria-labelledby="finished-rolls" className="mt-6">
              <h2 id="finished-rolls">Finished</h2>
              <VirtualRows
                rows={finishedFound}
                rowPx={62}
                height="min(60vh, 620px)"
                keyOf={({ id }) => id}
                label="Finished rolls"
              >
                {(line) => <RollRow line={line} />}
              </VirtualRows>
            </section>
          )}
        </>
      )}
    </div>
  );
}

/** Lists come with the latest first. */
function inOrder(lines: readonly RollLine[], order: Order): readonly RollLine[] {
  return order === 'latest' ? lines : [...lines].sort((a, b) => a.roll.label.localeCompare(b.roll.label));
}

function RollRow({ line: { id, roll, stock, standing } }: { line: RollLine }) {
  return (
    <div className="rule-row grid items-center gap-x-6 gap-y-2 sm:grid-cols-[182px_1fr]">
      <SmallRibbon standing={standing} />
      <div className="min-w-0 wrap-anywhere">
        <Link
          prefetch={false}
          href={`/rolls/${encodeURIComponent(id)}`}
          className="num text-[17px] text-ink no-underline hover:underline"
        >
          {roll.label}
        </Link>
        <div className="text-[13px] text-ink2">{rollLine(roll, stock, new Date().getFullYear())}</div>
      </div>
    </div>
  );
}
