import { imageOf } from '../outcome/grades';
import type { VerdictValues } from '../outcome/verdict';
import { causeIds, causes, type Cause, type CauseId } from './causes';
import { questionIds, questions, usual, type Answers, type QuestionId } from './questions';

/** How likely a cause is. */
export interface Suspect {
  id: CauseId;
  probability: number;
}

/** Likelihood of an answer under a cause. */
function likelihood(id: CauseId, question: QuestionId, answer: string): number {
  const { says }: Cause = causes[id];
  const table: Record<string, number> = says[question] ?? usual[question];
  return table[answer] as number;
}

/**
 * How likely each cause is after what was seen.
 * @param answers what was seen so far
 * @returns every cause, the likeliest first; the shares add up to one
 * Source: Bayes’ rule with answers taken as independent given the cause.
 */
export function diagnose(answers: Answers): Suspect[] {
  const weights = causeIds.map((id) => ({
    id,
    weight: (Object.entries(answers) as [QuestionId, string][]).reduce(
      (product: number, [question, answer]) => product * likelihood(id, question, answer),
      causes[id].prior,
    ),
  }));
  const sum = weights.reduce((total, { weight }) => total + weight, 0);
  return weights
    .map(({ id, weight }) => ({ id, probability: sum === 0 ? 0 : weight / sum }))
    .sort((a, b) => b.probability - a.probability);
}

/** Information below which a question is not worth asking, nats. Source: our choice. */
const WORTH_ASKING = 0.02;

/**
 * The question that would tell most.
 * @param answers what was seen so far
 * @returns null where nothing that is left would tell much. Source: expected fall of the entropy of the causes.
 */
export function nextQuestion(answers: Answers): QuestionId | null {
  const now = diagnose(answers);
  const before = entropy(now);
  const worth = questionIds
    .filter((question) => answers[question] === undefined)
    .map((question) => {
      const after = Object.keys(questions[question].options).reduce((sum, answer) => {
        const chance = now.reduce(
          (total, { id, probability }) => total + probability * likelihood(id, question, answer),
          0,
        );
        return chance === 0 ? sum : sum + chance * entropy(diagnose({ ...answers, [question]: answer }));
      }, 0);
      return { question, gain: before - after };
    })
    .sort((a, b) => b.gain - a.gain)[0];
  return worth === undefined || worth.gain < WORTH_ASKING ? null : worth.question;
}

function entropy(suspects: readonly Suspect[]): number {
  return suspects.reduce((sum, { probability: p }) => (p > 0 ? sum - p * Math.log(p) : sum), 0);
}

/**
 * What a verdict has said already.
 * @param verdict the grades of the dry negatives
 * @returns answers that follow from them
 */
export function answersOf(
  verdict: Pick<VerdictValues, 'contrast' | 'fog' | 'shadows' | 'evenness' | 'defects'>,
): Answers {
  const has = (id: VerdictValues['defects'][number]): boolean => verdict.defects.includes(id);
  const without = imageOf(verdict.defects);
  const image =
    without === 'black'
      ? 'black'
      : without === 'clear'
        ? 'none'
        : verdict.contrast <= -1
          ? 'thin'
          : verdict.contrast >= 2
            ? 'dense'
            : 'good';
  const marks = has('air-bells')
    ? 'rings'
    : has('reticulation')
      ? 'net'
      : has('drying-marks')
        ? 'crust'
        : verdict.evenness === 'streaked'
          ? 'streaks'
          : verdict.evenness === 'uneven'
            ? 'broad'
            : undefined;
  const base = has('rem-jet-smear') ? 'smears' : has('stain') ? 'coloured' : undefined;
  return {
    image,
    // Without an image nobody has seen the shadows.
    ...(without === 'there' ? { shadows: verdict.shadows === 'open' ? ('there' as const) : ('missing' as const) } : {}),
    ...(without === 'there' && (verdict.fog === 'clear' || verdict.fog === 'slight') ? { fog: 'clear' as const } : {}),
    ...(marks === undefined ? {} : { marks }),
    ...(base === undefined ? {} : { base }),
  };
}

/**
 * Whether a verdict gives cause to ask what went wrong.
 * @param verdict the grades of the dry negatives
 */
export function wentWrong(
  verdict: Pick<VerdictValues, 'contrast' | 'fog' | 'shadows' | 'evenness' | 'defects'>,
): boolean {
  const { contrast, fog, shadows, evenness, defects } = verdict;
  const harmless = ['dust', 'scratches'];
  return (
    Math.abs(contrast) >= 1 ||
    fog === 'strong' ||
    fog === 'heavy' ||
    shadows !== 'open' ||
    evenness !== 'even' ||
    defects.some((id) => !harmless.includes(id))
  );
}
