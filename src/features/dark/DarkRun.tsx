'use client';

import { useEffect, useRef, useState } from 'react';
import { useInertBehind } from '@/ui/useInertBehind';
import type { LightsOutCard } from '@/core/loading/lightsOut';

/** Says a text aloud where the browser can. */
function say(text: string): void {
  if (!('speechSynthesis' in window)) return;
  window.speechSynthesis.cancel();
  window.speechSynthesis.speak(new SpeechSynthesisUtterance(text));
}

/**
 * The steps one by one, advanced by any key or a tap anywhere, so that hands in a bag can do it.
 * For practice the words are on the screen; in the dark the screen is black and the words are only spoken.
 */
export function DarkRun({ card, dark, onEnd }: { card: LightsOutCard; dark: boolean; onEnd: () => void }) {
  const [index, setIndex] = useState(0);
  const layer = useRef<HTMLDivElement>(null);
  useInertBehind(layer);
  const speaks = 'speechSynthesis' in window;
  const black = dark && speaks;
  const step = card.steps[index];

  useEffect(() => {
    if (step !== undefined && (dark || speaks)) say(`${step.act} ${step.feel}`);
  }, [step, dark, speaks]);
  useEffect(() => () => window.speechSynthesis?.cancel(), []);
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.repeat || event.ctrlKey || event.metaKey || event.altKey) return;
      event.preventDefault();
      event.stopImmediatePropagation();
      if (event.key === 'Escape' || index + 1 >= card.steps.length) onEnd();
      else setIndex(index + 1);
    };
    window.addEventListener('keydown', onKey, { capture: true });
    return () => window.removeEventListener('keydown', onKey, { capture: true });
  }, [index, card.steps.length, onEnd]);

  if (step === undefined) return null;
  return (
    <div
      ref={layer}
      className={
        black
          ? 'fixed inset-0 z-40 cursor-none bg-[#000] text-[#000]'
          : 'fixed inset-0 z-40 flex flex-col bg-ground p-6 sm:p-12'
      }
    >
      {dark && !speaks && (
        <p className="text-danger">
          This browser cannot speak, so the words stay on the screen: use them for practice, not beside open film.
        </p>
      )}
      <button
        type="button"
        className={black ? 'absolute inset-0 text-[#000]' : 'flex flex-1 flex-col justify-center gap-5 text-left'}
        onClick={() => (index + 1 >= card.steps.length ? onEnd() : setIndex(index + 1))}
      >
        <span className={black ? 'sr-only' : 'text-ink2'} data-testid="dark-count">
          {index + 1} of {card.steps.length}
        </span>
        <span className={black ? 'sr-only' : 'num text-[clamp(28px,6vw,64px)] leading-tight'}>{step.act}</span>
        {!black && <span className="text-[clamp(18px,3vw,28px)]">{step.feel}</span>}
        {!black && step.snag !== '' && <span className="text-[17px] text-ink2">{step.snag}</span>}
      </button>
      {!black && <p className="text-ink2">Any key or a tap goes on; Escape ends.</p>}
    </div>
  );
}
