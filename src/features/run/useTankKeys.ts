'use client';

import { useEffect, useRef } from 'react';
import { lights, setLight } from '@/ui/light';
import type { Hold } from '@/ui/useHold';

/** At the tank the light moves between Dim and Safe; Day is left once and not come back to by a slip. */
export function tankLight(light: keyof typeof lights): keyof typeof lights {
  return light === 'dim' ? 'safe' : 'dim';
}

interface TankKeys {
  advance: () => void;
  hold: Hold;
  early: boolean;
  light: keyof typeof lights;
}

/** Space is always the primary act, except in a text; every other key of the bench rests, but for the light. */
export function useTankKeys(keys: TankKeys): void {
  const latest = useRef(keys);
  useEffect(() => {
    latest.current = keys;
  });
  useEffect(() => {
    const inText = (target: EventTarget | null): boolean =>
      target instanceof HTMLElement && target.closest('input, textarea, select, [contenteditable]') !== null;
    const onDown = (event: KeyboardEvent): void => {
      if (inText(event.target) || event.ctrlKey || event.metaKey || event.altKey) return;
      const { advance, hold, early, light } = latest.current;
      if (event.key === ' ') {
        event.preventDefault();
        event.stopPropagation();
        if (event.repeat) return;
        if (early) hold.start();
        else advance();
        return;
      }
      if (event.key.length === 1) event.stopPropagation();
      if (event.key === 'l' && !event.repeat) setLight(tankLight(light));
    };
    const onUp = (event: KeyboardEvent): void => {
      if (event.key !== ' ' || inText(event.target)) return;
      // A button under the focus would take the space for itself.
      event.preventDefault();
      latest.current.hold.stop();
    };
    window.addEventListener('keydown', onDown, true);
    window.addEventListener('keyup', onUp, true);
    return () => {
      window.removeEventListener('keydown', onDown, true);
      window.removeEventListener('keyup', onUp, true);
    };
  }, []);
}
