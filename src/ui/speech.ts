import { languageTag } from '@/core/units/language';

/** Says a text aloud where the browser can, in place of what is being said. */
export function say(text: string): void {
  if (!('speechSynthesis' in window)) return;
  window.speechSynthesis.cancel();
  const said = new SpeechSynthesisUtterance(text);
  said.lang = languageTag;
  window.speechSynthesis.speak(said);
}

/** Stops what is being said. */
export function stopSaying(): void {
  if ('speechSynthesis' in window) window.speechSynthesis.cancel();
}
