import type { KeyboardEvent } from 'react';

/** Enter on a closed list opens it, as Space does; by itself it would send the form around it. */
export function openByEnter(event: KeyboardEvent<HTMLButtonElement>): void {
  if (event.key !== 'Enter' || event.currentTarget.getAttribute('aria-expanded') === 'true') return;
  event.preventDefault();
  event.currentTarget.click();
}
