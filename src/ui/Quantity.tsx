'use client';

import { useEffect, useState } from 'react';
import {
  displayUnit,
  formatQuantity,
  quantityToInput,
  readQuantity,
  type QuantityKind,
  type QuantityReading,
  type UnitChoice,
} from '@/core/units/quantity';
import { messageInUnits } from '@/core/units/messageInUnits';
import { classes } from './classes';
import { Field, describedBy } from './Field';
import { Heard } from './Heard';

export interface QuantityProps {
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
  const [heard, setHeard] = useState<(QuantityReading & { text: string }) | null>(null);
  // What was heard is said as long as the field holds it.
  const said = heard !== null && heard.value === value && (heard.said || heard.other !== null) ? heard : null;
  const unit = displayUnit(kind, units);
  const rangeHint = range && `${formatRange(range, kind, units)}${optional ? ', or empty' : ''}`;
  const fullHint = [hint, rangeHint].filter(Boolean).join(' · ') || undefined;
  const shownHint = inline ? hint : fullHint;
  return (
    <Field id={id} label={label} hint={shownHint} error={marked} inline={inline} quietLabel={quietLabel}>
      <div className={inline ? (unit.symbol.length > 3 ? 'relative w-[104px]' : 'relative w-[80px]') : 'relative'}>
        <input
          id={id}
          className={classes(
            'box num aria-invalid:border-2 aria-invalid:border-danger',
            inline
              ? `min-h-[34px] py-1 ${unit.symbol.length > 3 ? 'pe-12' : 'pe-8'} ps-2 text-[16px]`
              : 'pe-16 text-[17px]',
          )}
          inputMode="decimal"
          autoComplete="off"
          value={typing ?? shown}
          aria-invalid={marked ? true : undefined}
          aria-describedby={describedBy(id, shownHint, marked)}
          onChange={(event) => {
            const text = event.target.value;
            setTyping(text);
            const read = readQuantity(text, kind, units, '', new Date().getFullYear());
            setHeard(read.ok ? { ...read.value, text: text.trim() } : null);
            onChange(read.ok ? read.value.value : text);
          }}
          onBlur={() => setTyping(null)}
        />
        {unit.symbol !== '' && (
          <span
            aria-hidden
            className={classes(
              'pointer-events-none absolute inset-y-0 flex items-center text-ink2',
              inline ? 'end-2 text-[13px]' : 'end-3 text-[14px]',
            )}
          >
            {unit.symbol}
          </span>
        )}
      </div>
      {said !== null && (
        <Heard
          id={id}
          heard={{ text: said.text, as: inWords(said.value, kind, units), other: said.other?.says ?? null }}
          onOther={() => {
            if (said.other === null) return;
            const { value: other } = said.other;
            setTyping(null);
            setHeard({ ...said, value: other, other: { value: said.value, says: inWords(said.value, kind, units) } });
            onChange(other);
          }}
        />
      )}
    </Field>
  );
}

/** A value as the field writes it, with its unit. */
function inWords(value: number, kind: QuantityKind, units: UnitChoice): string {
  const { symbol } = displayUnit(kind, units);
  const text = quantityToInput(value, kind, units);
  return symbol === '' || kind === 'minutes' ? `${text}${kind === 'minutes' ? ' min' : ''}` : `${text} ${symbol}`;
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
