'use client';

import { useState, type FocusEvent, type FormEvent } from 'react';

/** What a form shows of its faults. */
interface Faults {
  /** Faults of fields that were left, or all of them once the form was refused. */
  shown: Partial<Record<string, string>>;
  /** Handlers of the form. */
  form: { onBlur: (event: FocusEvent<HTMLFormElement>) => void; onSubmit: (event: FormEvent<HTMLFormElement>) => void };
}

/**
 * Marks a bad value when its field is left, and puts the focus on the first fault when the form is refused.
 * @param errors what is wrong, by the id of the field
 * @param onSubmit called when nothing is wrong
 */
export function useFaults(errors: Partial<Record<string, string>>, onSubmit: () => void): Faults {
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [refused, setRefused] = useState(false);
  const shown = refused ? errors : Object.fromEntries(Object.entries(errors).filter(([id]) => left.has(id)));
  return {
    shown,
    form: {
      onBlur: ({ target }) => {
        if (target.id !== '' && !left.has(target.id)) setLeft(new Set([...left, target.id]));
      },
      onSubmit: (event) => {
        event.preventDefault();
        const form = event.currentTarget;
        if (Object.keys(errors).length === 0) {
          setRefused(false);
          onSubmit();
          return;
        }
        setRefused(true);
        // The marks are drawn first.
        requestAnimationFrame(() => focusFirstFault(form, Object.keys(errors)));
      },
    },
  };
}

function focusFirstFault(form: HTMLElement, ids: readonly string[]): void {
  const marked = form.querySelector<HTMLElement>('[aria-invalid="true"]');
  const named = ids.map((id) => document.getElementById(id)).find((field) => field !== null && form.contains(field));
  const target = marked ?? named;
  const control = target?.matches('input, textarea, button, [tabindex]')
    ? target
    : target?.querySelector<HTMLElement>('input, button, [tabindex="0"], [role="radio"]');
  control?.focus();
}
