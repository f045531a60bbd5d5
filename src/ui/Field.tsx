import type { ReactNode } from 'react';

interface FieldProps {
  id: string;
  label: string;
  /** What belongs here: range, unit, or how to tell. */
  hint?: string;
  error?: string;
  /** In a line of text: the label before the control. */
  inline?: boolean;
  quietLabel?: boolean;
  children: ReactNode;
}

/** Ids that tie a control to its hint and its error. */
export function describedBy(id: string, hint?: string, error?: string): string | undefined {
  return [hint && `${id}-hint`, error && `${id}-error`].filter(Boolean).join(' ') || undefined;
}

/** A label, its control, a hint, and what is wrong with it. */
export function Field({ id, label, hint, error, inline = false, quietLabel = false, children }: FieldProps) {
  if (inline) {
    return (
      <div className="min-w-0">
        <div className="flex items-center gap-x-1.5">
          <label htmlFor={id} className={quietLabel ? 'sr-only' : 'text-[14px]'}>
            {label}
          </label>
          {children}
          {hint && (
            <span id={`${id}-hint`} className="text-[13px] text-ink2">
              {hint}
            </span>
          )}
        </div>
        <FieldError id={id} error={error} />
      </div>
    );
  }
  return (
    <div className="min-w-0">
      <div className="flex flex-wrap items-baseline justify-between gap-x-3">
        <label htmlFor={id} className="font-[620]">
          {label}
        </label>
        {hint && (
          <span id={`${id}-hint`} className="text-[13px] text-ink2">
            {hint}
          </span>
        )}
      </div>
      <div className="mt-1">{children}</div>
      <FieldError id={id} error={error} />
    </div>
  );
}

/** What is wrong with a field, and what to do about it. */
export function FieldError({ id, error }: { id: string; error?: string }) {
  if (!error) return null;
  return (
    <p id={`${id}-error`} role="alert" className="mt-1 border-s-4 border-danger ps-2 text-[14px] text-danger">
      {error}
    </p>
  );
}
