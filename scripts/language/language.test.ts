import { describe, expect, test } from 'vitest';
import { entriesOf, interfaceMessages, languages, lookupOf } from './catalogue.mjs';
import { messagesIn } from './messages.mjs';
import { translateSource } from './translate.mjs';

const texts = (code: string): string[] => messagesIn('src/a.tsx', code).map(({ text }) => text.trim());

describe('texts of a source file', () => {
  test.each<[string, string, string[]]>([
    ['a sentence', "say('Pour it out.')", ['Pour it out.']],
    ['a word with a capital', "const name = 'Fixer';", ['Fixer']],
    ['a template, with places for its values', 'const a = `${n} of ${all} frames`;', ['{0} of {1} frames']],
    ['what stands between tags, as one text', '<p>\n  Log of {name}: <b>{n}</b> runs\n</p>', ['Log of {0}: {1} runs']],
    [
      'both words of a count',
      "const a = `${n} ${n === 1 ? 'film' : 'films'} left`;",
      ['{0} {1} left', 'film', 'films'],
    ],
    ['words under the keys of the code', "const w: Record<Id, string> = { fix: 'fixer' };", ['fixer']],
    ['an attribute that is read', '<input placeholder="people, place" />', ['people, place']],
    ['a word with a colon before a value', 'const a = `Ready: ${name}`;', ['Ready: {0}']],
    ['hours in words', "const hours: readonly string[] = ['twelve'];", ['twelve']],
    ['no key of the code', "if (kind === 'Paper Strip') go(map['a b']);", []],
    ['no class of the style sheet', '<p className="mt-1 text-ink2">{x}</p>', []],
    ['no type and no import', "import a from 'Some Thing';\ntype B = 'One Two';", []],
    ['no word that names something in the code', "save({ id: 'fixer', state: 'open' })", []],
  ])('%s', (_what, code, found) => {
    expect(texts(code)).toEqual(found);
  });
});

describe('a source file in another language', () => {
  const known: Record<string, string> = {
    '{0} of {1} frames': 'de {1} fotogramas, {0}',
    'Log of {0}: {1} runs': '{1} en el registro de {0}',
    'Open a file': 'Abrir un archivo',
    'File with “records”': 'Archivo con "datos" y `{}`',
    film: 'película',
  };
  const lookup = (text: string): string | undefined => known[text];
  test.each<[string, string, string]>([
    ['places go where the other language has them', 'go(`${n} of ${all} frames`)', 'go(`de ${all} fotogramas, ${n}`)'],
    [
      'between tags too, with what they hold',
      '<p>Log of {name}: <b>{n}</b> runs</p>',
      '<p><b>{n}</b>{" en el registro de "}{name}</p>',
    ],
    [
      'attributes before and what stands inside',
      '<A label="File with “records”">Open a file</A>',
      '<A label={"Archivo con \\"datos\\" y `{}`"}>{"Abrir un archivo"}</A>',
    ],
    [
      'texts within a text that has no translation',
      "go(`${n} ${n === 1 ? 'film' : ''} left`)",
      'go(`${n} ${n === 1 ? "película" : \'\'} left`)',
    ],
    ['what is unknown stays', "say('Pour it out.')", "say('Pour it out.')"],
  ])('%s', (_what, code, translated) => {
    expect(translateSource('src/a.tsx', code, lookup)).toBe(translated);
  });
});

describe.each(languages())('the texts in %s', (language) => {
  const entries = entriesOf(language);
  const places = (text: string): string[] => (text.match(/\{\d+\}/g) ?? []).sort();

  test('are all there: npm run language adds those that came, for somebody to translate', () => {
    const translated = new Set(entries.filter(({ translation }) => translation !== '').map(({ text }) => text));
    const all = [...interfaceMessages().keys()];
    expect(all.length).toBeGreaterThan(4000);
    expect(all.filter((text) => !translated.has(text))).toEqual([]);
  });

  test('have a place for every value', () => {
    expect(entries.filter(({ text, translation }) => places(text).join() !== places(translation).join())).toEqual([]);
  });

  test('leave the handbook in English', () => {
    const [first] = entries.filter(({ file, text, translation }) => file === '' && text !== translation);
    expect(
      first === undefined ? '' : lookupOf(language)(first.text, 'src/features/handbook/subjects.tsx'),
    ).toBeUndefined();
  });
});
