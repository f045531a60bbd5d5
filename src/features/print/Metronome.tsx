'use client';

import { useEffect, useState } from 'react';
import { soundIn, wakeSound } from '@/features/run/tankSound';

/** It beats this long and stops by itself, s: a phone that was put away is silent again. Source: our choice. */
const BEATS_S = 600;

/** A beat each second, for a lamp that is switched by hand: all beats lie on the sound card's clock from the first. */
export function Metronome() {
  const [on, setOn] = useState(false);
  useEffect(() => {
    if (!on) return;
    const taken = Array.from({ length: BEATS_S }, (_, second) => soundIn('ready', second * 1000));
    const stop = setTimeout(() => setOn(false), BEATS_S * 1000);
    return () => {
      clearTimeout(stop);
      taken.forEach((takeBack) => takeBack());
    };
  }, [on]);
  return (
    <button
      type="button"
      className="act-plain ms-5"
      aria-pressed={on}
      onClick={() => {
        wakeSound();
        setOn(!on);
      }}
    >
      {on ? 'Stop the beats' : 'Only beats, one a second'}
    </button>
  );
}
