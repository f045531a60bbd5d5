'use client';

import { useEffect, type RefObject } from 'react';

/** Keeps the focus out of everything that lies behind a layer that covers the page. */
export function useInertBehind(layerRef: RefObject<HTMLElement | null>): void {
  useEffect(() => (layerRef.current === null ? undefined : makeInertBehind(layerRef.current)), [layerRef]);
}

/**
 * Makes everything inert that does not hold an element.
 * @returns how to wake it again
 */
function makeInertBehind(layer: HTMLElement): () => void {
  const behind: HTMLElement[] = [];
  for (let at = layer; at.parentElement !== null && at !== document.body; at = at.parentElement) {
    for (const other of at.parentElement.children) {
      if (other === at || !(other instanceof HTMLElement) || other.inert || other.tagName === 'SCRIPT') continue;
      other.inert = true;
      behind.push(other);
    }
  }
  return () => {
    for (const element of behind) element.inert = false;
  };
}
