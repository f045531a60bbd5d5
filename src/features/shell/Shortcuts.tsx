'use client';

import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { useSettings } from '@/data/queries';
import { nextLight, setLight, useLight } from '@/ui/light';

const KeysDialog = dynamic(() => import('./KeysDialog'), { ssr: false });

/** The keys of every page. Off while you type. */
export function Shortcuts() {
  const router = useRouter();
  const light = useLight();
  const { keys: on } = useSettings();
  const [showing, setShowing] = useState(false);
  useEffect(() => {
    const acts: Record<string, () => void> = {
      b: () => router.push('/'),
      q: () => router.push('/ask'),
      n: () => router.push('/rolls/new'),
      l: () => setLight(nextLight(light)),
      '/': () => {
        const search = document.querySelector<HTMLElement>('#search');
        if (search === null) router.push('/rolls?search');
        else search.focus();
      },
      s: () => {
        // A letter shows where the next step is; pressed again there, it does it.
        const next = document.querySelector<HTMLElement>('[data-next-step]');
        if (next === document.activeElement) next?.click();
        else next?.focus();
      },
      '?': () => setShowing(true),
    };
    const onKey = (event: KeyboardEvent): void => {
      const act = acts[event.key];
      if (
        act === undefined ||
        (!on && event.key !== '?') ||
        event.repeat ||
        event.ctrlKey ||
        event.metaKey ||
        event.altKey ||
        isTyping(event.target)
      )
        return;
      event.preventDefault();
      act();
    };
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  }, [router, light, on]);
  return showing ? <KeysDialog onClose={() => setShowing(false)} /> : null;
}

/** A list that has just been opened has the focus still on its button: what is typed is meant for the list. */
function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable ||
      target.closest(
        'input, textarea, select, [role="listbox"], [role="radiogroup"], [aria-haspopup="listbox"][aria-expanded="true"]',
      ) !== null)
  );
}
