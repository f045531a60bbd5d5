import { existsSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { join, relative, sep } from 'node:path';
import { po } from 'gettext-parser';
import { root } from '../shell.mjs';
import { messagesIn } from './messages.mjs';
import { ends } from './translate.mjs';

/*
 * Catalogues of other languages: PO files in languages/, one for each room of the sources. An entry is an English text with its translation;
 * one that is the same in both stays as it is. An entry for one file alone names it as its context.
 */

const PLACES = ['src/app', 'src/core', 'src/data', 'src/features', 'src/ui', 'src/workers', 'src/refusedMethods.ts'];
const SKIP = /\.(test|long)\.tsx?$|\.d\.ts$|\/testing\/|\/migrations\/|\/demo\//;
/** The handbook is English, and says so. */
const ENGLISH = /^src\/features\/handbook\/(?!LanguageNote)/;

function filesIn(path) {
  if (/\.tsx?$/.test(path)) return [path];
  return readdirSync(join(root, path), { withFileTypes: true })
    .sort((a, b) => (a.name < b.name ? -1 : 1))
    .flatMap((entry) => {
      const inner = `${path}/${entry.name}`;
      return entry.isDirectory() ? filesIn(inner) : /\.tsx?$/.test(entry.name) && !SKIP.test(inner) ? [inner] : [];
    });
}

/**
 * Every text of the interface with the files that it stands in, in their order.
 * @param withHandbook also those of the handbook, which is not translated
 */
export function interfaceMessages(withHandbook = false) {
  const found = new Map();
  for (const path of PLACES.flatMap(filesIn)) {
    if (!withHandbook && ENGLISH.test(path)) continue;
    for (const { text } of messagesIn(path, readFileSync(join(root, path), 'utf8'))) {
      const { core } = ends(text);
      if (core !== '') found.set(core, (found.get(core) ?? new Set()).add(path));
    }
  }
  return found;
}

/** The room of a file: core-brewing, features-roll, ui. */
function roomOf(path) {
  const [, place, room] = path.split('/');
  return (place === 'core' || place === 'features') && !room.includes('.')
    ? `${place}-${room}`
    : place.replace('.ts', '');
}

const folderOf = (language) => join(root, 'languages', language);

/** Languages that there are catalogues of. */
export function languages() {
  return existsSync(join(root, 'languages')) ? readdirSync(join(root, 'languages')).sort() : [];
}

/** All entries of a language: text, translation, and the file that it is for, if for one. */
export function entriesOf(language) {
  return readdirSync(folderOf(language))
    .filter((name) => name.endsWith('.po'))
    .flatMap((name) => {
      const { translations } = po.parse(readFileSync(join(folderOf(language), name)));
      return Object.values(translations).flatMap((texts) =>
        Object.values(texts)
          .filter(({ msgid }) => msgid !== '')
          .map(({ msgid, msgctxt = '', msgstr }) => ({ text: msgid, file: msgctxt, translation: msgstr[0] ?? '' })),
      );
    });
}

/** Looks a text up: `(text, path)` gives its translation, or undefined where it stays. */
export function lookupOf(language) {
  const found = new Map(entriesOf(language).map(({ text, file, translation }) => [`${file}\n${text}`, translation]));
  return (text, path) => {
    if (ENGLISH.test(path)) return undefined;
    const translation = found.get(`${path.split(sep).join('/')}\n${text}`) ?? found.get(`\n${text}`);
    return translation === undefined || translation === '' || translation === text ? undefined : translation;
  };
}

/**
 * Writes a language's catalogues anew: texts that came are added without a translation, those that went are left out.
 * @returns how many texts there are, and which have no translation
 */
export function updateCatalogues(language) {
  const known = new Map(
    existsSync(folderOf(language))
      ? entriesOf(language).map((entry) => [`${entry.file}\n${entry.text}`, entry.translation])
      : [],
  );
  const rooms = new Map();
  const missing = [];
  const add = (room, file, text, translation, paths) => {
    const catalogue = rooms.get(room) ?? {};
    rooms.set(room, catalogue);
    (catalogue[file] ??= {})[text] = {
      msgid: text,
      ...(file === '' ? {} : { msgctxt: file }),
      msgstr: [translation],
      comments: { reference: paths.join('\n') },
    };
    if (translation === '') missing.push(text);
  };
  const messages = interfaceMessages();
  for (const [text, paths] of messages) {
    const files = [...paths];
    add(roomOf(files[0]), '', text, known.get(`\n${text}`) ?? '', files);
    for (const file of files) {
      const own = known.get(`${file}\n${text}`);
      if (own !== undefined) add(roomOf(file), file, text, own, [file]);
    }
  }
  for (const name of readdirSync(folderOf(language)))
    if (name.endsWith('.po') && !rooms.has(name.slice(0, -3))) rmSync(join(folderOf(language), name));
  for (const [room, translations] of rooms)
    writeFileSync(
      join(folderOf(language), `${room}.po`),
      po.compile(
        {
          charset: 'utf-8',
          headers: { Language: language, 'Content-Type': 'text/plain; charset=utf-8' },
          translations,
        },
        { foldLength: 0 },
      ),
    );
  return { texts: messages.size, missing };
}

/** A path of this machine as one of the project. */
export const inProject = (path) => relative(root, path).split(sep).join('/');
