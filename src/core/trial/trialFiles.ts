import { safeCsv } from '../formats/csv';
import { materials } from './material';
import { measures } from './measures';
import { measuresOf, rowWords, trialAnswers, trialStanding, type TrialValues } from './trial';
import { comparisonWords, stretchWords } from './trialWords';

/**
 * All readings of a trial, one row for each strip and measure.
 * @returns CSV after RFC 4180, with a row of names
 */
export function trialCsv(trial: TrialValues): string {
  return safeCsv(
    trial.strips.flatMap(({ code, level, block, lost, values }) =>
      measuresOf(trial).map((id) => ({
        code,
        roll_or_day: block + 1,
        day: (trial.days?.[block] ?? 0) + 1,
        level: trial.levels[level] ?? '',
        control: level === trial.control ? 'yes' : 'no',
        measure: id,
        value: values[id] ?? '',
        unit: measures[id].unit,
        lost: lost ?? '',
      })),
    ),
  );
}

/** A trial as a note: what was asked, how it was laid out, every reading, and the answer. Markdown. */
export function trialNote(trial: TrialValues): string {
  const { read, lost, all } = trialStanding(trial);
  const ids = measuresOf(trial);
  const head = ['code', 'roll or day', 'level', ...ids.map((id) => measures[id].name.toLowerCase())];
  const rows = trial.strips.map(({ code, block, level, lost: why, values }) => [
    code,
    rowWords(trial, block).replace('roll or day ', ''),
    trial.levels[level] ?? '',
    ...ids.map((id) => (why === undefined ? String(values[id] ?? '') : why)),
  ]);
  const line = (cells: readonly string[]): string =>
    `| ${cells.map((cell) => cell.replaceAll('|', '\\|')).join(' | ')} |`;
  return [
    `# ${trial.name}`,
    '',
    `Varied: ${trial.levels.join(', ')}. Control: ${trial.levels[trial.control] ?? ''}.`,
    ...(trial.held === '' ? [] : [`Held: ${trial.held}`]),
    ...(trial.material === undefined ? [] : [`Each strip is ${stripWords(trial.material)}.`]),
    `${all} strips in ${trial.blocks} ${trial.blocks === 1 ? 'row' : 'rows'}, in an order by lot (${trial.seed}); ${read} read, ${lost} lost.`,
    '',
    '## Answer',
    '',
    ...answerLines(trial),
    '',
    '## Readings',
    '',
    line(head),
    line(head.map(() => '---')),
    ...rows.map(line),
    '',
    'Model: levels fixed, rolls at random, within days where there are several, restricted likelihood. Intervals hold 19 times in 20. Chances after Holm (1979).',
    '',
  ].join('\n');
}

/** What each strip is cut from. */
function stripWords({ kind, frames }: NonNullable<TrialValues['material']>): string {
  return frames === undefined ? materials[kind].name : `${materials[kind].name}, ${frames} frames`;
}

function answerLines(trial: TrialValues): string[] {
  const lines = trialAnswers(trial).flatMap((answer) => {
    const stretch = stretchWords(answer);
    return [
      ...answer.comparisons.map((comparison) => comparisonWords(trial, answer.measureId, comparison)),
      ...(stretch === null ? [] : [stretch]),
    ].map((words) => `- ${measures[answer.measureId].name}: ${words}`);
  });
  return lines.length === 0 ? ['Not enough strips were read to tell anything.'] : lines;
}
