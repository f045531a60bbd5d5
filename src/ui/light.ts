'use client';

import { useSyncExternalStore } from 'react';

/** The three lights of the bench. */
export const lights = { day: 'Day', dim: 'Dim', safe: 'Safe' } as const;
export type Light = keyof typeof lights;

const KEY = 'aetas.light';
const order = Object.keys(lights) as Light[];
const listeners = new Set<() => void>();

/** Runs before the first paint, so that a page opened in the dark never flashes. Until a light was chosen it follows the system: Day or Dim. */
export const lightScript = `try{var l=localStorage.getItem('${KEY}');if(l!=='day'&&l!=='dim'&&l!=='safe'&&matchMedia('(prefers-color-scheme: dark)').matches)l='dim';if(l==='dim'||l==='safe')document.documentElement.dataset.light=l}catch(e){}`;

function currentLight(): Light {
  const value = document.documentElement.dataset.light;
  return order.find((light) => light === value) ?? 'day';
}

/** Changes the light, here and in other tabs of this browser. */
export function setLight(light: Light): void {
  document.documentElement.dataset.light = light;
  try {
    localStorage.setItem(KEY, light);
  } catch {
    // Where the browser refuses, the light lasts as long as the page.
  }
  for (const listener of listeners) listener();
}

/** Gives the choice back to the system: Day or Dim. */
export function followSystemLight(): void {
  try {
    localStorage.removeItem(KEY);
  } catch {
    // There is nothing to forget then.
  }
  document.documentElement.dataset.light = matchMedia('(prefers-color-scheme: dark)').matches ? 'dim' : 'day';
  for (const listener of listeners) listener();
}

function isChosen(): boolean {
  try {
    return localStorage.getItem(KEY) !== null;
  } catch {
    return false;
  }
}

/** Whether somebody chose the light, so that it does not follow the system. */
export function useLightIsChosen(): boolean {
  return useSyncExternalStore(subscribe, isChosen, () => false);
}

/** The light after this one. */
export function nextLight(light: Light): Light {
  return order[(order.indexOf(light) + 1) % order.length] ?? 'day';
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  const fromOtherTab = (event: StorageEvent): void => {
    if (event.key !== KEY) return;
    document.documentElement.dataset.light = event.newValue ?? 'day';
    listener();
  };
  window.addEventListener('storage', fromOtherTab);
  return () => {
    listeners.delete(listener);
    window.removeEventListener('storage', fromOtherTab);
  };
}

/** The light at hand. */
export function useLight(): Light {
  return useSyncExternalStore(subscribe, currentLight, () => 'day');
}
