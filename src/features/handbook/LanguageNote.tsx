import { language } from '@/core/units/language';

/** Says that the handbook is in English, where the rest is not. */
export function LanguageNote() {
  if (language === 'en') return null;
  return <p className="mt-2 max-w-[70ch] rule-row">The handbook is not translated yet: it stays in English.</p>;
}
