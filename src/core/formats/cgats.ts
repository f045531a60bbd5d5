import { failure, success, type Result } from '../schema/result';

/** A patch of a CGATS.17 text: its name and what was measured. */
export interface CgatsPatch {
  name: string;
  densityD: number;
  /** log10 of the exposure, where the file tells it. */
  logH: number | null;
}

/** Density fields in the order in which they are looked for. Source: CGATS.17-2009, data format identifiers. */
const DENSITY_FIELDS = ['D_VIS', 'D_GREEN', 'D_BLUE', 'D_RED', 'STATUS_VIS'] as const;

/** Our own field, declared by KEYWORD as the standard asks. */
const LOG_H = 'LOG_H';

/** Largest text that is read, characters. */
const LARGEST = 2_000_000;

/** Most patches of a text. */
const MOST_PATCHES = 5000;

/**
 * Reads densities from a CGATS.17 text.
 * @param text the file's text
 * @returns its patches in order; a problem that names the line
 * Source: grammar of CGATS.17-2009: an identifier; keywords with values; `BEGIN_DATA_FORMAT … END_DATA_FORMAT` names the fields,
 * `BEGIN_DATA … END_DATA` holds the sets; `#` begins a remark; texts stand in quotation marks, a doubled one is one.
 */
export function readCgats(text: string): Result<CgatsPatch[]> {
  if (text.length > LARGEST) return fault(1, 'The file is larger than a table of densities can be.');
  const lines = text.split(/\r\n?|\n/).map(tokensOf);
  const first = lines.findIndex((tokens) => tokens.length > 0);
  if (first < 0) return fault(1, 'The file is empty.');
  const fields: string[] = [];
  const values: { line: number; value: string }[] = [];
  let [state, formatSeen, dataSeen] = ['head' as 'head' | 'format' | 'data', false, false];
  let sets: number | null = null;
  for (const [index, tokens] of lines.entries()) {
    for (let at = 0; at < tokens.length; at++) {
      const token = tokens[at] ?? '';
      if (token === 'BEGIN_DATA_FORMAT') [state, formatSeen] = ['format', true];
      else if (token === 'END_DATA_FORMAT' || token === 'END_DATA') state = 'head';
      else if (token === 'BEGIN_DATA') [state, dataSeen] = ['data', true];
      else if (state === 'format') fields.push(token.toUpperCase());
      else if (state === 'data') values.push({ line: index + 1, value: token });
      else if (token === 'NUMBER_OF_SETS') sets = Number(tokens[at + 1]);
    }
    if (values.length > MOST_PATCHES * 40)
      return fault(index + 1, 'The file holds more patches than a strip can have.');
  }
  if (!formatSeen || fields.length === 0)
    return fault(first + 1, 'This is no CGATS.17 table: BEGIN_DATA_FORMAT is missing.');
  if (!dataSeen) return fault(first + 1, 'The table has no data: BEGIN_DATA is missing.');
  if (state !== 'head') return fault(lines.length, 'The file ends in the middle of its table: it was cut off.');
  const density = DENSITY_FIELDS.map((name) => fields.indexOf(name)).find((column) => column >= 0);
  if (density === undefined)
    return fault(first + 1, `The table holds no density: one of ${DENSITY_FIELDS.slice(0, 4).join(', ')} is needed.`);
  if (values.length % fields.length !== 0)
    return fault(values.at(-1)?.line ?? 1, `The table has ${fields.length} fields, and its last set is not whole.`);
  const count = values.length / fields.length;
  if (sets !== null && Number.isFinite(sets) && sets !== count)
    return fault(values.at(-1)?.line ?? 1, `The file promises ${sets} sets and holds ${count}.`);
  if (count === 0) return fault(first + 1, 'The table holds no patch.');
  const named = ['SAMPLE_NAME', 'SAMPLE_ID'].map((name) => fields.indexOf(name)).find((column) => column >= 0);
  const logColumn = fields.indexOf(LOG_H);
  const patches: CgatsPatch[] = [];
  for (let set = 0; set < count; set++) {
    const cell = (column: number) => values[set * fields.length + column];
    const densityD = Number(cell(density)?.value);
    if (!Number.isFinite(densityD) || densityD < -1 || densityD > 6)
      return fault(cell(density)?.line ?? 1, `“${cell(density)?.value}” is no density.`);
    const logH = logColumn < 0 ? null : Number(cell(logColumn)?.value);
    if (logH !== null && !Number.isFinite(logH))
      return fault(cell(logColumn)?.line ?? 1, `“${cell(logColumn)?.value}” is no exposure.`);
    patches.push({ name: named === undefined ? String(set + 1) : (cell(named)?.value ?? ''), densityD, logH });
  }
  return success(patches);
}

/**
 * Writes densities as a CGATS.17 text.
 * @param patches name, density and exposure of each
 * @param about what stands at its head
 * @returns the text, lines ended by CR LF. Source: CGATS.17-2009; exposures have a field of our own, declared by KEYWORD.
 */
export function writeCgats(
  patches: readonly CgatsPatch[],
  about: { originator: string; descriptor: string; created: string },
): string {
  const withExposures = patches.length > 0 && patches.every(({ logH }) => logH !== null);
  const fields = ['SAMPLE_ID', 'SAMPLE_NAME', 'D_VIS', ...(withExposures ? [LOG_H] : [])];
  const rows = patches.map(({ name, densityD, logH }, index) =>
    [String(index + 1), quoted(name), densityD.toFixed(3), ...(withExposures ? [(logH ?? 0).toFixed(3)] : [])].join(
      '\t',
    ),
  );
  return [
    'CGATS.17',
    `ORIGINATOR\t${quoted(about.originator)}`,
    `DESCRIPTOR\t${quoted(about.descriptor)}`,
    `CREATED\t${quoted(about.created)}`,
    ...(withExposures ? [`KEYWORD\t"${LOG_H}"`] : []),
    `NUMBER_OF_FIELDS\t${fields.length}`,
    'BEGIN_DATA_FORMAT',
    fields.join('\t'),
    'END_DATA_FORMAT',
    `NUMBER_OF_SETS\t${patches.length}`,
    'BEGIN_DATA',
    ...rows,
    'END_DATA',
    '',
  ].join('\r\n');
}

function quoted(text: string): string {
  return `"${text.replaceAll('"', '""').replaceAll(/[\r\n\t]/g, ' ')}"`;
}

/** Words and quoted texts of a line, without its remark. */
function tokensOf(line: string): string[] {
  const tokens: string[] = [];
  const pattern = /"((?:[^"]|"")*)"|#.*$|([^\s"#]+)/g;
  for (const [, text, word] of line.matchAll(pattern)) {
    if (text !== undefined) tokens.push(text.replaceAll('""', '"'));
    else if (word !== undefined) tokens.push(word);
  }
  return tokens;
}

function fault(line: number, message: string): ReturnType<typeof failure> {
  return failure({ path: `line ${line}`, message: `Line ${line}: ${message}` });
}
