import { inProject, lookupOf } from './catalogue.mjs';
import { translateSource } from './translate.mjs';

/** Puts the texts of another language into a source file while it is built. */
const lookups = new Map();

export default function translate(code) {
  const { language } = this.getOptions();
  if (!lookups.has(language)) lookups.set(language, lookupOf(language));
  return translateSource(inProject(this.resourcePath), code, lookups.get(language));
}
