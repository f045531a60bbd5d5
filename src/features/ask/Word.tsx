'use client';

import { Listbox, ListboxButton, ListboxOptions } from '@headlessui/react';
import { useEffect, useState, type KeyboardEvent } from 'react';
import type { Option } from '@/ui/Choice';
import { classes } from '@/ui/classes';
import { ListOption } from '@/ui/ListOption';
import { openByEnter } from '@/ui/openByEnter';

const WORD =
  'inline-block max-w-full border-b-2 border-ink px-[2px] text-start font-[620] text-ink hover:bg-sheet focus-visible:bg-sheet';

interface WordProps<T extends string> {
  /** What the word is about, for those who cannot see the sentence around it. */
  label: string;
  value: T;
  options: readonly Option<T>[];
  onChange: (value: T) => void;
  /** How the word reads in the sentence; by default the option’s name. */
  shown?: string;
}

/** A word of the question: it opens a short list; left and right step through it. */
export function Word<T extends string>({ label, value, options, onChange, shown }: WordProps<T>) {
  const chosen = options.find((option) => option.value === value);
  const step = (event: KeyboardEvent<HTMLButtonElement>): void => {
    openByEnter(event);
    const by = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
    if (by === 0) return;
    event.preventDefault();
    const at = options.findIndex((option) => option.value === value);
    const next = options[(at + by + options.length) % options.length];
    if (next !== undefined) onChange(next.value);
  };
  return (
    <Listbox value={value} onChange={onChange}>
      <span className="relative inline-block max-w-full">
        <ListboxButton aria-label={`${label}: ${shown ?? chosen?.name ?? ''}`} className={WORD} onKeyDown={step}>
          {shown ?? chosen?.name ?? '…'}
          <Mark />
        </ListboxButton>
        <ListboxOptions
          anchor={{ to: 'bottom start', gap: 4, padding: 12 }}
          className="z-30 max-h-[60vh] w-max max-w-[min(92vw,420px)] overflow-y-auto border border-ink bg-sheet py-1 text-[16px] focus:outline-none"
        >
          {options.map((option) => (
            <ListOption key={option.value} {...option} />
          ))}
        </ListboxOptions>
      </span>
    </Listbox>
  );
}

function Mark() {
  return (
    <span aria-hidden className="ms-0.5 align-[0.25em] text-[0.4em] text-ink2">
      ▾
    </span>
  );
}

interface NumberWordProps {
  id: string;
  label: string;
  /** As it stands, to be typed over. */
  text: string;
  /** Takes what was typed; false where it does not read. */
  onType: (text: string) => boolean;
  onStep: (by: 1 | -1) => void;
  width: number;
  /** What it may be, told where something else was typed. */
  range: string;
  placeholder?: string;
}

/** How long a number may be half typed, ms. Source: our choice. */
const HALF_TYPED_MS = 900;

/** A number within the sentence: typed in place, stepped by the arrow keys. */
export function NumberWord({ id, label, text, onType, onStep, width, range, placeholder }: NumberWordProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const [wrong, setWrong] = useState(false);
  const [told, setTold] = useState(false);
  // A number half typed is no fault yet.
  useEffect(() => {
    if (!wrong) return;
    const timer = setTimeout(() => setTold(true), HALF_TYPED_MS);
    return () => {
      clearTimeout(timer);
      setTold(false);
    };
  }, [wrong]);
  const shown = typed ?? text;
  return (
    <>
      <input
        id={id}
        aria-label={label}
        aria-invalid={wrong || undefined}
        aria-describedby={told ? `${id}-range` : undefined}
        className={classes(WORD, 'num bg-transparent', wrong && 'border-danger text-danger')}
        style={{ width: `calc(${Math.max(width, shown.length)}ch + 6px)` }}
        inputMode="text"
        autoComplete="off"
        value={shown}
        placeholder={placeholder}
        onFocus={(event) => event.currentTarget.select()}
        onChange={({ target }) => {
          setTyped(target.value);
          setWrong(!onType(target.value));
        }}
        onBlur={() => {
          if (!wrong) setTyped(null);
        }}
        onKeyDown={(event) => {
          const by = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0;
          if (by === 0) return;
          event.preventDefault();
          setTyped(null);
          setWrong(false);
          onStep(by);
        }}
      />
      {told && (
        <span role="alert" id={`${id}-range`} className="ms-1.5 inline-block text-[14px] font-normal text-danger">
          give {range}
          {text !== '' && `; ${text} counts till then`}
        </span>
      )}
    </>
  );
}
