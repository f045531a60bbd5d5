'use client';

import { useCallback, useEffect, useState } from 'react';
import { askFromFragment, askToFragment, changeAsk, firstAsk, type Ask, type KnownElsewhere } from '@/core/plan/ask';
import type { AskAnswer } from '@/core/plan/askAnswer';
import type { Brew } from '@/core/records/records';
import { learnedNow } from '@/features/learning/learnedStore';
import { useLearned } from '@/features/learning/useLearned';
import { coreWorker } from '@/workers/core';
import { unreadWords } from './askWords';

/** The question as it stands in the address, and the way to change it. */
export interface Asked {
  ask: Ask;
  change: (part: Partial<Ask>) => void;
  /** Known times that wait for their film and developer. */
  elsewhere: KnownElsewhere;
  /** What of the address could not be read; null for all of it. */
  unread: string | null;
}

/** Keeps the question in the address: a reload, a bookmark and somebody else have the same one. Browser only. */
export function useAsk(): Asked {
  const [state, setState] = useState<Omit<Asked, 'change'>>(readAddress);
  useEffect(() => {
    const follow = (): void => setState(readAddress());
    window.addEventListener('hashchange', follow);
    return () => window.removeEventListener('hashchange', follow);
  }, []);
  const change = useCallback(
    (part: Partial<Ask>) =>
      setState((before) => {
        const { ask, elsewhere } = changeAsk(before.ask, part, before.elsewhere);
        history.replaceState(history.state, '', `#${askToFragment(ask)}`);
        return { ask, elsewhere, unread: before.unread };
      }),
    [],
  );
  return { ...state, change };
}

function readAddress(): Omit<Asked, 'change'> {
  const read = askFromFragment(location.hash);
  return read === null
    ? { ask: firstAsk, elsewhere: {}, unread: null }
    : { ask: read.ask, elsewhere: {}, unread: unreadWords(read.unread, read.newer) };
}

/** The answer, and whether it belongs to the question as it stands. */
export interface Answered {
  answer: AskAnswer | null;
  /** Whether it is for the question as it stands, with all that the log has taught. */
  current: boolean;
  /** Whether the answer is without the log, or a part of it, since that is still being read. */
  reading: boolean;
  failed: string | null;
}

/** How long a question waits for a long log before it is answered without it, ms. Source: our choice. */
const PATIENCE_MS = 30;

/**
 * Asks for the answer beside the page. While a long log is being fitted, which takes seconds, the page answers by itself,
 * without the log.
 * @param first the answer to the first question, as the server knew it
 */
export function useAskAnswer(ask: Ask, jugs: readonly Brew[], nowMs: number, first: AskAnswer | null): Answered {
  const learned = useLearned();
  const isFirst = askToFragment(ask) === askToFragment(firstAsk);
  const [found, setFound] = useState<{ key: string; answer: AskAnswer | null; withoutLog: boolean } | null>(
    isFirst && first !== null ? { key: '', answer: first, withoutLog: false } : null,
  );
  const [failed, setFailed] = useState<string | null>(null);
  const key = JSON.stringify([ask, learned?.revision ?? null]);
  useEffect(() => {
    let stale = false;
    const [asked] = JSON.parse(key) as [Ask];
    const impatient = setTimeout(() => {
      if (learnedNow()?.long !== true) return;
      void import('@/core/plan/askAnswer').then((core) => {
        if (!stale) setFound({ key, answer: core.askAnswer(asked, jugs, nowMs), withoutLog: true });
      });
    }, PATIENCE_MS);
    coreWorker()
      .ask(asked, jugs, nowMs)
      .then((answer) => {
        if (stale) return;
        stale = true;
        setFound({ key, answer, withoutLog: false });
        setFailed(null);
      })
      .catch((error: unknown) => {
        if (!stale) setFailed(error instanceof Error ? error.message : 'The estimate stopped for an unknown reason.');
      })
      .finally(() => clearTimeout(impatient));
    return () => {
      stale = true;
      clearTimeout(impatient);
    };
  }, [key, jugs, nowMs]);
  return {
    answer: found?.answer ?? null,
    current: found !== null && (found.key === key || (isFirst && found.key === '')),
    reading: learned?.all !== true || found?.withoutLog === true,
    failed,
  };
}
