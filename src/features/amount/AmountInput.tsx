'use client';

import { useState, type ReactNode } from 'react';
import { spokenAmount, type SaidOf, type SpokenAmount } from '@/core/brewing/spokenAmount';
import { formatNumber } from '@/core/units/quantity';
import { amountToInput } from '@/core/units/perLitre';
import { threeFigures } from '@/core/units/threeFigures';
import { classes } from '@/ui/classes';
import { FieldError } from '@/ui/Field';
import { Heard } from '@/ui/Heard';

interface AmountInputProps {
  id: string;
  /** Says what it is the amount of, to those who cannot see it. */
  label: string;
  /** In a litre or in this jug, as `said.usual` has it; what was typed while it does not read as an amount. */
  value: number | string;
  said: SaidOf;
  onChange: (value: number | string, unit: 'g' | 'ml') => void;
  /** What is wrong with a value that reads as an amount. */
  error?: string | undefined;
  className?: string;
  autoFocus?: boolean;
  placeholder?: string;
  onClose?: () => void;
  /** Its unit, and what it comes to: beside the field, before what was heard. */
  beside?: ReactNode;
}

/** An amount as people say it: grams, spoons, tablets, cans; what was heard stands beneath it. */
export function AmountInput({
  id,
  label,
  value,
  said,
  onChange,
  error,
  className = 'w-[84px] text-end',
  autoFocus,
  placeholder,
  onClose,
  beside,
}: AmountInputProps) {
  const [typing, setTyping] = useState<string | null>(null);
  const [heard, setHeard] = useState<(SpokenAmount & { text: string }) | null>(null);
  const valueOf = ({ amount, perL }: Pick<SpokenAmount, 'amount' | 'perL'>): number =>
    said.usual === 'jug' ? amount : perL;
  const shown = typeof value === 'number' ? amountToInput(value) : value;
  const read = typeof value === 'number' || value.trim() === '' ? null : spokenAmount(value, said);
  const wrong = read?.ok === false ? read.problems[0]?.message : error;
  const told =
    heard !== null && heard.said && typeof value === 'number' && closeTo(valueOf(heard), value) ? heard : null;
  return (
    <span className="inline-block max-w-full min-w-0">
      <span className={classes(beside !== undefined && 'flex items-start gap-x-1.5')}>
        <input
          id={id}
          aria-label={label}
          aria-invalid={wrong === undefined ? undefined : true}
          aria-describedby={wrong === undefined ? undefined : `${id}-error`}
          className={classes('box num py-1 text-[17px] aria-invalid:border-2 aria-invalid:border-danger', className)}
          autoComplete="off"
          autoFocus={autoFocus}
          placeholder={placeholder}
          value={typing ?? shown}
          onChange={(event) => {
            const text = event.target.value;
            setTyping(text);
            const next = spokenAmount(text, said);
            setHeard(next.ok ? { ...next.value, text: text.trim() } : null);
            if (next.ok) onChange(valueOf(next.value), next.value.unit);
            else onChange(text, said.unit);
          }}
          onBlur={() => setTyping(null)}
          onKeyDown={(event) => {
            if (onClose !== undefined && (event.key === 'Enter' || event.key === 'Escape')) onClose();
          }}
        />
        {beside !== undefined && <span className="min-w-0 text-[13px] text-ink2">{beside}</span>}
      </span>
      {told !== null && (
        <Heard
          id={id}
          heard={{ text: told.text, as: amountWords(told), other: told.other?.says ?? null }}
          onOther={() => {
            if (told.other === null) return;
            const { amount, perL } = told.other;
            const other = { amount, perL };
            setTyping(null);
            setHeard({ ...told, ...other, other: { amount: told.amount, perL: told.perL, says: amountWords(told) } });
            onChange(valueOf(other), told.unit);
          }}
        />
      )}
      <FieldError id={id} error={wrong} />
    </span>
  );
}

function closeTo(a: number, b: number): boolean {
  return Math.abs(a - b) <= 1e-9 * Math.max(1, Math.abs(a));
}

/** An amount in this jug and in a litre of it. */
function amountWords({ amount, perL, unit }: Pick<SpokenAmount, 'amount' | 'perL' | 'unit'>): string {
  const figures = (value: number): string => formatNumber(value, threeFigures(value));
  return `${figures(amount)} ${unit} in this jug, ${figures(perL)} ${unit}/l`;
}
