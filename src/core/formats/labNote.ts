import { verdictWords } from '../outcome/verdictWords';
import { developSeconds } from '../plan/developSeconds';
import type { Brew, Print, Roll, Run, Stock, Verdict } from '../records/records';
import { liquids } from '../schedule/baths';
import { runProgress, type TemperatureReading } from '../run/runProgress';
import { formatDuration, formatMinutes } from '../units/duration';
import { formatNumber } from '../units/quantity';

/** What a lab note is written from. */
export interface LabNoteOf {
  run: Run;
  roll: Roll;
  stock: Stock;
  brew: Brew | undefined;
  verdict: Verdict | undefined;
  /** Prints that were made of the roll. */
  prints?: readonly Pick<Print, 'name' | 'paper' | 'grade' | 'baseS' | 'final'>[];
  /** Names of the pictures that lie beside it. */
  pictures: readonly string[];
}

/**
 * A run as a lab note: plain Markdown that any editor reads.
 * @param of the run with its roll, and names of the pictures beside it
 * @param when writes an instant, ms since the epoch, in the time zone of the reader
 * @returns the text. What users typed is escaped, so that it stays text. Source: CommonMark 0.31.
 */
export function labNote(
  { run, roll, stock, brew, verdict, prints = [], pictures }: LabNoteOf,
  when: (atMs: number) => string,
): string {
  const progress = runProgress(run.steps, run.events);
  const { pinned } = run;
  const facts = [
    `Film: ${plain(stock.name)}`,
    `Developer: ${plain(run.developerName)}`,
    `Temperature: ${formatNumber(run.temperatureC, 1)} °C`,
    ...(run.movementName === undefined ? [] : [`Movement: ${plain(run.movementName)}`]),
    ...(run.volumeMl === undefined ? [] : [`Volume: ${Math.round(run.volumeMl)} ml`]),
    ...(brew === undefined ? [] : [`Jug: ${plain(brew.name)} ${brew.code}, mixed ${when(brew.mixedMs)}`]),
    `Time: ${formatDuration(developSeconds(pinned))}; 80 % likely between ${formatMinutes(pinned.lowMin)} and ${formatMinutes(pinned.highMin)}`,
  ];
  const baths = run.steps.map(({ name, liquid, durationS }, index) => {
    const took = progress.tookS[index] ?? null;
    return `| ${plain(name)} | ${liquid === undefined ? '' : liquids[liquid]} | ${formatDuration(durationS)} | ${took === null ? '' : formatDuration(took)} |`;
  });
  return [
    `# ${plain(roll.label)}`,
    progress.startedMs === null ? '' : `Begun ${when(progress.startedMs)}.`,
    facts.map((fact) => `- ${fact}`).join('\n'),
    ['| Bath | Liquid | Planned | Took |', '|---|---|---|---|', ...baths].join('\n'),
    section(
      'Thermometer',
      progress.readings.map((reading) => `- ${readingWords(reading, run)}`),
    ),
    section(
      'Notes',
      progress.notes.map(({ text, atMs }) => `- ${when(atMs)}: ${plain(text)}`),
    ),
    verdict === undefined ? '' : `## Verdict\n\n${verdictLine(verdict)}`,
    section(
      'Prints',
      prints.map(
        ({ name, paper, grade, baseS, final }) =>
          `- ${plain(name)}: ${formatNumber(baseS, 1)} s${paper === '' ? '' : ` on ${plain(paper)}`}${grade === '' ? '' : `, grade ${plain(grade)}`}${final ? '; the one that hangs' : ''}`,
      ),
    ),
    section(
      'Pictures',
      pictures.map((name) => `![${plain(name)}](<photos/${encodeURI(name)}>)`),
    ),
  ]
    .filter((part) => part !== '')
    .join('\n\n')
    .concat('\n');
}

function section(title: string, lines: readonly string[]): string {
  return lines.length === 0 ? '' : `## ${title}\n\n${lines.join('\n')}`;
}

/** A thermometer reading in words. */
export function readingWords({ stepIndex, celsius, elapsedS }: TemperatureReading, run: Pick<Run, 'steps'>): string {
  const of = stepIndex === null ? 'room' : (run.steps[stepIndex]?.name.toLowerCase() ?? 'bath');
  return `${formatNumber(celsius, 1)} °C, ${of}${elapsedS === null ? '' : ` at ${formatDuration(Math.round(elapsedS))}`}`;
}

function verdictLine(verdict: Verdict): string {
  return [`${verdictWords(verdict)}.`, ...(verdict.note === '' ? [] : [plain(verdict.note)])].join(' ');
}

/** Text that a user typed, as text: no mark of it becomes markup, a link, a table or a line of its own. */
function plain(text: string): string {
  return text
    .replace(/\s+/g, ' ')
    .replace(/[\\`*_[\]<>|~&]/g, '\\$&')
    .replace(/^(\d+)([.)])/, '$1\\$2')
    .replace(/^[#+\-=]/, '\\$&');
}
