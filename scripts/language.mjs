import { languages, updateCatalogues } from './language/catalogue.mjs';

/*
 * Brings the catalogues in languages/ up to date with the texts of the interface: npm run language
 */
for (const language of languages()) {
  const { texts, missing } = updateCatalogues(language);
  console.log(`${language}: ${texts} texts, ${missing.length} without a translation.`);
  for (const text of missing) console.log(`  ${text}`);
}
