'use client';

import { setLight, useLight } from '@/ui/light';

/** Greys are compared in Day light: what a red or a dim screen shows of them is false. Nothing in Day itself. */
export function AskForDay() {
  const light = useLight();
  if (light === 'day') return null;
  return (
    <p className="text-[14px] text-ink2">
      {light === 'safe' ? 'A red screen cannot show greys' : 'A dim screen shows greys darker than they are'}: compare
      in Day light.{' '}
      <button type="button" className="act-plain" onClick={() => setLight('day')}>
        Day light
      </button>
    </p>
  );
}
