/** Which locale a language's dates and large numbers follow. Spanish is that of Mexico and Central America, whose decimal sign is the point. */
const locales: Record<string, { tag: string; dates: string }> = {
  en: { tag: 'en', dates: 'en-GB' },
  es: { tag: 'es-419', dates: 'es-419' },
};

/** The language of the texts, as it was chosen when they were built. */
export const language = process.env.AETAS_LANGUAGE ?? 'en';

const locale = locales[language] ?? { tag: language, dates: language };

/** The language as pages and voices name it (BCP 47). */
export const languageTag = locale.tag;

/** The locale of dates. */
export const dateLocale = locale.dates;

/**
 * A whole number with its thousands apart.
 * @param value any whole number
 * @example countText(10000) // '10,000'
 */
export function countText(value: number): string {
  return value.toLocaleString(languageTag);
}
