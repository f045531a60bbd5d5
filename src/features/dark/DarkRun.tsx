'use client';

import { useEffect, useRef, useState } from 'react';
import type { LightsOutCard } from '@/core/films/lightsOut';
import { useLight } from '@/ui/light';
import { say } from '@/ui/speech';
import { useHold } from '@/ui/useHold';
import { useTwoFingers } from '@/ui/useTwoFingers';
import { useInertBehind } from '@/ui/useInertBehind';

/**
 * The steps one by one, for hands in a bag: a tap repeats, a press that is held goes on, two fingers or backspace go back.
 * For practice the words are on the screen. In the dark the screen is black and the words are spoken; in Safe light they stand on
 * it in red. The page fills the screen, so that no frame of a browser glows.
 */
export function DarkRun({ card, dark, onEnd }: { card: LightsOutCard; dark: boolean; onEnd: () => void }) {
  const [index, setIndex] = useState(0);
  const layer = useRef<HTMLDivElement>(null);
  useInertBehind(layer);
  const light = useLight();
  const speaks = 'speechSynthesis' in window;
  const black = dark && speaks && light !== 'safe';
  const step = card.steps[index];
  const words = step === undefined ? '' : `${step.act} ${step.feel}`;
  const goOn = (): void => {
    navigator.vibrate?.(60);
    if (index + 1 >= card.steps.length) onEnd();
    else setIndex(index + 1);
  };
  const hold = useHold(goOn);
  const fingers = useTwoFingers({
    onTap: () => setIndex((now) => Math.max(0, now - 1)),
    onHold: onEnd,
  });

  useEffect(() => {
    if (words !== '') say(words);
  }, [words]);
  useEffect(() => () => window.speechSynthesis?.cancel(), []);
  useEffect(() => {
    const element = layer.current;
    if (!dark || element?.requestFullscreen === undefined) return;
    void element.requestFullscreen().catch(() => undefined);
    return () => {
      if (document.fullscreenElement !== null) void document.exitFullscreen().catch(() => undefined);
    };
  }, [dark]);
  const keysRef = useRef({ hold, words, index, onEnd });
  useEffect(() => {
    keysRef.current = { hold, words, index, onEnd };
  });
  useEffect(() => {
    const onDown = (event: KeyboardEvent): void => {
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      event.preventDefault();
      event.stopImmediatePropagation();
      if (event.repeat) return;
      const now = keysRef.current;
      if (event.key === 'Escape') now.onEnd();
      else if (event.key === 'Backspace' || event.key === 'ArrowLeft') setIndex(Math.max(0, now.index - 1));
      else {
        say(now.words);
        now.hold.start();
      }
    };
    const onUp = (event: KeyboardEvent): void => {
      event.preventDefault();
      keysRef.current.hold.stop();
    };
    window.addEventListener('keydown', onDown, { capture: true });
    window.addEventListener('keyup', onUp, { capture: true });
    return () => {
      window.removeEventListener('keydown', onDown, { capture: true });
      window.removeEventListener('keyup', onUp, { capture: true });
    };
  }, []);

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
      {dark && !speaks && light !== 'safe' && (
        <p className="text-danger">
          This browser cannot speak, so the words stay on the screen: use them for practice, or in Safe light far from
          the film.
        </p>
      )}
      <button
        type="button"
        className={
          black
            ? 'absolute inset-0 touch-none text-[#000] select-none'
            : 'flex flex-1 touch-none flex-col justify-center gap-5 text-start select-none'
        }
        aria-label={`${words} A tap repeats, a held press goes on.`}
        onPointerDown={({ pointerId }) => {
          if (fingers.down(pointerId)) {
            hold.stop();
            return;
          }
          say(words);
          hold.start();
        }}
        onPointerUp={({ pointerId }) => {
          fingers.up(pointerId);
          hold.stop();
        }}
        onPointerLeave={({ pointerId }) => {
          fingers.up(pointerId);
          hold.stop();
        }}
        onPointerCancel={({ pointerId }) => {
          fingers.up(pointerId);
          hold.stop();
        }}
        onContextMenu={(event) => event.preventDefault()}
        onClick={(event) => {
          // A press without a hand on it, as a screen reader makes it, goes on.
          if (event.detail === 0) goOn();
        }}
      >
        <span className={black ? 'sr-only' : 'text-ink2'} data-testid="dark-count">
          {index + 1} of {card.steps.length}
        </span>
        <span className={black ? 'sr-only' : 'num text-[clamp(28px,6vw,64px)] leading-tight'}>{step.act}</span>
        {!black && <span className="text-[clamp(18px,3vw,28px)]">{step.feel}</span>}
        {!black && step.snag !== '' && <span className="text-[17px] text-ink2">{step.snag}</span>}
      </button>
      {!black && (
        <p className="text-ink2">
          A tap or any key says it again; held for a second it goes on. Two fingers or Backspace go back; two fingers
          held for three seconds, or Escape, end it.
        </p>
      )}
    </div>
  );
}
