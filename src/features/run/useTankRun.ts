'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { Run } from '@/core/records/records';
import type { RunEvent } from '@/core/records/runEvents';
import { isSamePress } from '@/core/run/runProgress';
import { dropDraft, keepDraft } from '@/data/drafts';
import { recordEvents } from '@/data/runs';
import { storageTrouble } from '@/data/trouble';
import { lastStamp } from '@/data/draftJournal';
import { partKey, tankPart } from '@/data/typedParts';

/** How often a write that failed is tried again, ms. */
const RETRY_MS = 4000;

/** A run at the tank: what is stored, and what happened here and waits for the storage. */
export interface TankRun {
  /** Everything that happened, stored or not. */
  events: readonly RunEvent[];
  /** Records what happened; whether it was taken. A press felt twice is taken once. */
  record: (event: RunEvent) => Promise<boolean>;
  /** Why the last events are in this tab only; null while all are stored. */
  unstored: string | null;
}

/** Follows a run and records into it. While the storage refuses, the run goes on in memory and is stored when it can be. */
export function useTankRun(run: Run): TankRun {
  const [pending, setPending] = useState<readonly RunEvent[]>([]);
  const [own, setOwn] = useState<readonly RunEvent[]>(run.events);
  const [unstored, setUnstored] = useState<string | null>(null);
  const pendingRef = useRef<readonly RunEvent[]>([]);
  const busyRef = useRef<Promise<boolean> | null>(null);
  const storedRef = useRef(run.events);
  useEffect(() => {
    // Events only grow: what this tab stored itself may be ahead of what the page was told.
    if (run.events.length > storedRef.current.length) storedRef.current = run.events;
  }, [run.events]);
  const aheadKey = partKey(tankPart, run.id);
  const keep = (next: readonly RunEvent[]): void => {
    pendingRef.current = next;
    setPending(next);
  };
  const flush = useCallback((): Promise<boolean> => {
    const write = async (): Promise<boolean> => {
      let taken = true;
      while (pendingRef.current.length > 0 && taken) {
        const batch = pendingRef.current;
        const seen = storedRef.current.length;
        // Written down before anything waits, and as a draft sooner than a run with all that hangs on it: neither a page that goes
        // in this moment nor a power cut takes the press along.
        const kept = keepDraft(aheadKey, { seen, events: batch }).catch(() => undefined);
        const stamp = lastStamp(aheadKey);
        await kept;
        taken = await recordEvents(run.id, seen, batch, { key: aheadKey, stamp });
        // Another tab was faster: what it stored shows in a moment, and this press counts for nothing.
        if (taken) {
          storedRef.current = [...storedRef.current, ...batch];
          setOwn(storedRef.current);
        }
        keep(pendingRef.current.slice(batch.length));
      }
      if (pendingRef.current.length === 0) void dropDraft(aheadKey).catch(() => undefined);
      return taken;
    };
    busyRef.current ??= write()
      .then((taken) => {
        setUnstored(null);
        return taken;
      })
      .catch(() => {
        setUnstored(storageTrouble() ?? 'The browser did not store the last step.');
        return true;
      })
      .finally(() => {
        busyRef.current = null;
      });
    return busyRef.current;
  }, [run.id, aheadKey]);
  // What this tab stored is known before the page is told of it: the clock never steps back for a moment.
  const events = unique(own.length > run.events.length ? own : run.events, pending);
  const record = useCallback(
    async (event: RunEvent): Promise<boolean> => {
      if (isSamePress(unique(storedRef.current, pendingRef.current), event)) return false;
      keep([...pendingRef.current, event]);
      // A press while the one before is being stored is written down at once too: the page may go before its turn comes.
      if (busyRef.current !== null)
        void keepDraft(aheadKey, { seen: storedRef.current.length, events: pendingRef.current }).catch(() => undefined);
      await busyRef.current;
      return flush();
    },
    [flush, aheadKey],
  );
  useEffect(() => {
    if (unstored === null) return;
    const timer = setInterval(() => void flush(), RETRY_MS);
    const warn = (event: BeforeUnloadEvent): void => event.preventDefault();
    window.addEventListener('beforeunload', warn);
    return () => {
      clearInterval(timer);
      window.removeEventListener('beforeunload', warn);
    };
  }, [unstored, flush]);
  return { events, record, unstored };
}

/** Stored events with those that are not among them yet. */
function unique(stored: readonly RunEvent[], pending: readonly RunEvent[]): readonly RunEvent[] {
  const known = new Set(stored.map((event) => `${event.kind} ${event.atMs}`));
  const fresh = pending.filter((event) => !known.has(`${event.kind} ${event.atMs}`));
  return fresh.length === 0 ? stored : [...stored, ...fresh];
}
