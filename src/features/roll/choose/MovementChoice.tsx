'use client';

import { agitationSchoolIds, agitationSchools, type AgitationSchoolId } from '@/core/schedule/agitationSchools';
import { sameMovement } from '@/core/schedule/movement';
import { movementFormOf, readMovementForm, type MovementForm } from '@/core/schedule/movementForm';
import type { UnitChoice } from '@/core/units/quantity';
import { keepMovement, useHabits } from '@/data/habits';
import { MovementBuilder } from '@/features/movement/MovementBuilder';
import type { CurrentPlan } from '@/features/roll/plan/usePlanForm';
import { Choice } from '@/ui/Choice';
import { Tick } from '@/ui/Tick';

const OWN = 'own';
const KEPT = 'kept:';
/** Length of development that is drawn while there is no time yet, s. */
const DRAWN_S = 600;

/** How the tank is agitated: a school, a movement that was kept, or one built here. */
export function MovementChoice({ plan }: { plan: CurrentPlan }) {
  const { form, change } = plan;
  const habits = useHabits() ?? [];
  const kept = habits.flatMap((habit) => (habit.kind === 'movement' ? [habit] : []));
  const options = [
    ...kept.map(({ id, name }) => ({ value: `${KEPT}${id}`, name, hint: 'Kept by you' })),
    ...agitationSchoolIds.map((value) => ({ value: value as string, name: agitationSchools[value].name as string })),
    { value: OWN, name: 'My own agitation', hint: 'Built piece by piece' },
  ];
  const own = form.movement === null ? null : readMovementForm(form.movement);
  const same = own?.ok ? kept.find(({ movement }) => sameMovement(movement, own.value.movement)) : undefined;
  const tapped = form.movement !== null && isSchool(form.movement, form.agitationId);
  const value = form.movement === null || tapped ? form.agitationId : same === undefined ? OWN : `${KEPT}${same.id}`;
  const choose = (next: string): void => {
    if (next === OWN) {
      const { name, movement } = agitationSchools[form.agitationId];
      change({ movement: form.movement ?? { ...movementFormOf({ name, movement }), name: '' } });
      return;
    }
    const habit = kept.find(({ id }) => `${KEPT}${id}` === next);
    if (habit === undefined) change({ movement: null, agitationId: next as AgitationSchoolId });
    else change({ movement: movementFormOf(habit) });
  };
  const school = agitationSchools[form.agitationId];
  const tap = form.movement?.tap ?? false;
  return (
    <>
      <Choice
        id="agitationId"
        label="How the tank is agitated"
        value={value}
        options={options}
        onChange={choose}
        inline
        quietLabel
      />
      {value !== OWN && (
        <Tick
          id="tapFirst"
          label="tap after the first"
          checked={tap}
          // A rap is part of each way of moving: the way itself, its name and its rate stay.
          onChange={(on) =>
            change({
              movement:
                form.movement !== null && same !== undefined
                  ? { ...form.movement, tap: on }
                  : on
                    ? { ...movementFormOf(school), tap: true }
                    : null,
            })
          }
        />
      )}
    </>
  );
}

/** Whether a movement is that of the school that is chosen, with a rap or without. */
function isSchool(movement: MovementForm, agitationId: AgitationSchoolId): boolean {
  const school = agitationSchools[agitationId];
  const read = readMovementForm(movement);
  return read.ok && movement.name === school.name && sameMovement(read.value.movement, school.movement);
}

/** The movement that is built for this roll; nothing while a school or a kept one is used as it is. */
export function OwnMovement({ plan, units }: { plan: CurrentPlan; units: UnitChoice }) {
  const { form, change, analysis } = plan;
  if (form.movement === null || isSchool(form.movement, form.agitationId)) return null;
  const own = readMovementForm(form.movement);
  const minutes = form.ownTimeOn && typeof form.ownTimeMin === 'number' ? form.ownTimeMin : analysis?.estimate.timeMin;
  return (
    <MovementBuilder
      idPrefix="own-"
      form={form.movement}
      onChange={(movement) => change({ movement })}
      units={units}
      durationS={minutes === undefined ? DRAWN_S : Math.round(minutes * 60)}
      onKeep={() => {
        if (own.ok) void keepMovement(own.value);
      }}
    />
  );
}
