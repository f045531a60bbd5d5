'use client';

import { useEffect, useState } from 'react';
import {
  displayUnit,
  formatQuantity,
  parseQuantity,
  quantityToInput,
  type QuantityKind,
  type UnitChoice,
} from '@/core/units/quantity';
import { messageInUnits } from '@/core/units/messageInUnits';
import { classes } from './classes';
import { Field, describedBy } from './Field';

interface QuantityProps {
  id: string;
  label: string;
  kind: QuantityKind;
  units: UnitChoice;
  /** Number in the base unit, or what was typed while it does not read as a number. */
  value: number | string;
  onChange: (value: number | string) => void;
  /** Smallest and largest value, base unit: said beside the label. */
  range?: readonly [number, number];
  hint?: string;
  error?: string;
  /** An empty field is fine. */
  optional?: boolean;
  /** In a line of text: the label before it, its range unsaid. */
  inline?: boolean;
  /** The label is for those who cannot see what stands around it. */
  quietLabel?: boolean;
}

/** A number with its unit: comma or point, with or without a unit typed after it. */
export function Quantity({
  id,
  label,
  kind,
  units,
  value,
  onChange,
  range,
  hint,
  error,
  optional = false,
  inline = false,
  quietLabel = false,
}: QuantityProps) {
  const shown = typeof value === 'number' ? quantityToInput(value, kind, units) : value;
  const [typing, setTyping] = useState<string | null>(null);
  const marked = useMarked(error === undefined ? undefined : messageInUnits(error, units), typing);
  const unit = displayUnit(kind, units);
  const rangeHint = range && `${formatRange(range, kind, units)}${optional ? ', or empty' : ''}`;
  const fullHint = [hint, rangeHint].filter(Boolean).join(' · ') || undefined;
  const shownHint = inline ? hint : fullHint;
  return (
    <Field id={id} label={label} hint={shownHint} error={marked} inline={inline} quietLabel={quietLabel}>
      <div className={inline ? 'relative w-[80px]' : 'relative'}>
        <input
          id={id}
          className={classes(
            'box num aria-invalid:border-2 aria-invalid:border-danger',
            inline ? 'min-h-[34px] py-1 pr-8 pl-2 text-[16px]' : 'pr-16 text-[17px]',
          )}
          inputMode="decimal"
          autoComplete="off"
          value={typing ?? shown}
          aria-invalid={marked ? true : undefined}
          aria-describedby={describedBy(id, shownHint, marked)}
          onChange={(event) => {
            const text = event.target.value;
            setTyping(text);
            const parsed = parseQuantity(text, kind, units);
            onChange(parsed.ok ? parsed.value : text);
          }}
          onBlur={() => setTyping(null)}
        />
        {unit.symbol !== '' && (
          <span
            aria-hidden
            className={classes(
              'pointer-events-none absolute inset-y-0 flex items-center text-ink2',
              inline ? 'right-2 text-[13px]' : 'right-3 text-[14px]',
            )}
          >
            {unit.symbol}
          </span>
        )}
      </div>
    </Field>
  );
}

/** How long a hand rests before what it typed is marked, ms: a number half typed is no fault. */
const REST_MS = 900;

/** What is wrong, once the field is left or the hand rests; what was marked stays marked until it is right. */
function useMarked(error: string | undefined, typing: string | null): string | undefined {
  const [rested, setRested] = useState<string | null>(null);
  const wrong = error !== undefined && error !== '';
  useEffect(() => {
    if (typing === null || !wrong) return;
    const timer = setTimeout(() => setRested(typing), REST_MS);
    return () => clearTimeout(timer);
  }, [typing, wrong]);
  return wrong && (typing === null || rested !== null) ? error : undefined;
}

function formatRange([low, high]: readonly [number, number], kind: QuantityKind, units: UnitChoice): string {
  const unit = displayUnit(kind, units);
  const tidy = (value: number): string => String(Number(unit.fromBase(value).toFixed(1))).replace('-', '−');
  return `${tidy(low)} to ${formatQuantity(high, kind, units, 0)}`;
}
