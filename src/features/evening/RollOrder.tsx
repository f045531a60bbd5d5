'use client';

import { closestCenter, DndContext, KeyboardSensor, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { GripVertical } from 'lucide-react';
import { useId } from 'react';
import { movedTo } from '@/core/evening/eveningForm';
import { classes } from '@/ui/classes';

interface RollOfEvening {
  id: string;
  label: string;
  begunMin: number | null;
}

interface RollOrderProps {
  ready: readonly RollOfEvening[];
  order: readonly string[];
  onOrder: (order: string[]) => void;
}

/** How far a finger moves before a press is a drag, px. */
const DRAG_FROM_PX = 5;

/** Which rolls go tonight, and in which order: dragged by the grip, by its keys, or one up at a time. */
export function RollOrder({ ready, order, onOrder }: RollOrderProps) {
  const id = useId();
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: DRAG_FROM_PX } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const chosen = order.filter((id) => ready.some((roll) => roll.id === id));
  const sorted = [...ready].sort((a, b) => place(chosen, a.id) - place(chosen, b.id));
  const nameOf = (id: unknown): string => ready.find((roll) => roll.id === id)?.label ?? '';
  return (
    <fieldset>
      <legend className="font-[620]">Rolls, in the order of the evening</legend>
      <DndContext
        id={id}
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragEnd={({ active, over }) => {
          if (over !== null) onOrder(movedTo(chosen, String(active.id), String(over.id)));
        }}
        accessibility={{
          screenReaderInstructions: {
            draggable: 'Press space to pick the roll up, the arrows to move it, and space to put it down.',
          },
          announcements: {
            onDragStart: ({ active }) => `${nameOf(active.id)} is picked up.`,
            onDragOver: ({ active, over }) =>
              over === null || over.id === active.id
                ? undefined
                : `${nameOf(active.id)} is in the place of ${nameOf(over.id)}.`,
            onDragEnd: ({ active }) => `${nameOf(active.id)} is put down.`,
            onDragCancel: ({ active }) => `${nameOf(active.id)} stays where it was.`,
          },
        }}
      >
        <SortableContext items={chosen} strategy={verticalListSortingStrategy}>
          <ul className="mt-1">
            {sorted.map((roll) => {
              const at = chosen.indexOf(roll.id);
              return (
                <RollRow
                  key={roll.id}
                  roll={roll}
                  chosen={at >= 0}
                  alone={chosen.length < 2}
                  onChoose={(on) => onOrder(on ? [...chosen, roll.id] : chosen.filter((other) => other !== roll.id))}
                  onUp={at > 0 ? () => onOrder(movedTo(chosen, roll.id, chosen[at - 1] as string)) : null}
                />
              );
            })}
          </ul>
        </SortableContext>
      </DndContext>
    </fieldset>
  );
}

interface RollRowProps {
  roll: RollOfEvening;
  chosen: boolean;
  /** Whether no other roll is chosen: then there is no order. */
  alone: boolean;
  onChoose: (on: boolean) => void;
  onUp: (() => void) | null;
}

function RollRow({ roll: { id, label, begunMin }, chosen, alone, onChoose, onUp }: RollRowProps) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } = useSortable({
    id,
    disabled: !chosen || alone,
  });
  return (
    <li
      ref={setNodeRef}
      style={{ transform: transform === null ? undefined : `translateY(${Math.round(transform.y)}px)`, transition }}
      className={classes('flex items-center gap-2 border-t border-hair py-0.5', isDragging && 'relative z-10 bg-sheet')}
    >
      {chosen && !alone ? (
        <button
          type="button"
          ref={setActivatorNodeRef}
          className="grid size-11 shrink-0 cursor-grab touch-none place-items-center"
          {...attributes}
          {...listeners}
          aria-label={`Move ${label}`}
        >
          <GripVertical aria-hidden size={18} />
        </button>
      ) : (
        <span className="size-11 shrink-0" />
      )}
      <label className="flex min-h-11 min-w-0 flex-1 cursor-pointer items-center gap-2.5">
        <input
          type="checkbox"
          className="size-5"
          checked={chosen}
          onChange={(event) => onChoose(event.target.checked)}
        />
        <span className="truncate">{label}</span>
        {begunMin !== null && <span className="text-ink2">in the tank</span>}
      </label>
      {onUp !== null && (
        <button type="button" className="act-plain min-h-11" aria-label={`Move ${label} up`} onClick={onUp}>
          Move up
        </button>
      )}
    </li>
  );
}

function place(chosen: readonly string[], id: string): number {
  const at = chosen.indexOf(id);
  return at < 0 ? chosen.length : at;
}
