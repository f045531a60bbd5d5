import { messagesIn } from './messages.mjs';

/** Space at both ends of a text, which no catalogue holds. */
export function ends(text) {
  const before = /^\s*/.exec(text)[0];
  const after = before.length === text.length ? '' : /\s*$/.exec(text)[0];
  return { before, core: text.slice(before.length, text.length - after.length), after };
}

const escaped = (text) => text.replace(/[\\`]|\$(?=\{)/g, '\\$&');

/** A translation as pieces of text and numbers of places, in the order of the other language. */
function pieces(text) {
  return text.split(/\{(\d+)\}/).map((piece, index) => (index % 2 === 0 ? piece : Number(piece)));
}

function written(message, text, place) {
  if (message.kind === 'attribute') return `{${JSON.stringify(text)}}`;
  if (message.kind === 'literal') return JSON.stringify(text);
  const parts = pieces(text);
  if (message.kind === 'template')
    return `\`${parts.map((part) => (typeof part === 'number' ? `\${${place(part)}}` : escaped(part))).join('')}\``;
  return parts
    .map((part) => (typeof part === 'number' ? place(part) : part === '' ? '' : `{${JSON.stringify(part)}}`))
    .join('');
}

/**
 * A source file in another language: the same code, with the texts that a catalogue has put in place of its own.
 * @param path of the file from the project's folder
 * @param code the file
 * @param lookup gives the translation of a text in a file, or undefined: then it stays
 */
export function translateSource(path, code, lookup) {
  const messages = messagesIn(path, code);
  const within = (start, end) => {
    let out = '';
    let at = start;
    for (const message of messages) {
      if (message.start < at || message.end > end) continue;
      const { before, core, after } = ends(message.text);
      const found = lookup(core, path);
      if (found === undefined) continue;
      const place = (index) => {
        const { start: from, end: to } = message.places[index];
        return within(from, to);
      };
      out += code.slice(at, message.start) + written(message, before + found + after, place);
      at = message.end;
    }
    return out + code.slice(at, end);
  };
  return within(0, code.length);
}
