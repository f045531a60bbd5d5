import { agitationSchoolIds, agitationSchools } from '@/core/schedule/agitationSchools';
import {
  conditionsOf,
  variedIds,
  type LevelConditions,
  type TrialConditions,
  type Varied,
} from '@/core/trial/levelConditions';
import { useSettings } from '@/data/queries';
import { Choice, type Option } from '@/ui/Choice';
import { Quantity } from '@/ui/Quantity';

const variedNames: Readonly<Record<Varied, string>> = {
  brew: 'nothing else',
  temperature: 'the temperature',
  agitation: 'the agitation',
  film: 'the film',
};

export const movements = agitationSchoolIds.map((value) => ({ value, name: agitationSchools[value].name }));

/** Rolls to choose from; none of them too. */
export function rollOptions(rolls: readonly { id: string; label: string }[]): Option<string>[] {
  return [{ value: '', name: 'no roll on the bench' }, ...rolls.map(({ id, label }) => ({ value: id, name: label }))];
}

interface VariedProps {
  id: string;
  value: Varied;
  onChange: (varied: Varied) => void;
}

/** What differs from strip to strip beside brew and time. */
export function VariedChoice({ id, value, onChange }: VariedProps) {
  return (
    <Choice
      id={id}
      label="Beside brew and time, what differs is"
      value={value}
      options={variedIds.map((one) => ({ value: one, name: variedNames[one] }))}
      onChange={onChange}
      inline
    />
  );
}

interface LevelFieldProps {
  form: TrialConditions;
  level: number;
  name: string;
  rolls: readonly { id: string; label: string }[];
  onChange: (part: LevelConditions) => void;
  error?: string;
}

/** The one condition of a level that differs; nothing where none does. */
export function LevelField({ form, level, name, rolls, onChange, error }: LevelFieldProps) {
  const units = useSettings();
  const own = conditionsOf(form, level);
  if (form.varied === 'temperature')
    return (
      <Quantity
        id={`levels.${level}.temperatureC`}
        label={`Temperature of “${name}”`}
        kind="temperature"
        units={units}
        value={own.temperatureC}
        onChange={(temperatureC) => onChange({ temperatureC })}
        error={error}
      />
    );
  if (form.varied === 'agitation')
    return (
      <Choice
        id={`levels.${level}.agitationId`}
        label={`Agitation of “${name}”`}
        value={own.agitationId}
        options={movements}
        onChange={(agitationId) => onChange({ agitationId })}
      />
    );
  if (form.varied === 'film')
    return (
      <Choice
        id={`levels.${level}.rollId`}
        label={`Roll of “${name}”`}
        value={own.rollId}
        options={rollOptions(rolls)}
        onChange={(rollId) => onChange({ rollId })}
      />
    );
  return null;
}
