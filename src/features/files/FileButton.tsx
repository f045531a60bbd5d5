'use client';

import { useRef, type ReactNode } from 'react';

interface FileButtonProps {
  /** What the hidden field is called. */
  label: string;
  className: string;
  /** Kinds of file that are offered. */
  accept?: string;
  disabled?: boolean;
  onFile: (file: File) => void;
  children: ReactNode;
}

/** A button that asks for a file. The same file can be chosen again. */
export function FileButton({
  label,
  className,
  accept = 'application/json,.json',
  disabled,
  onFile,
  children,
}: FileButtonProps) {
  const field = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={field}
        type="file"
        accept={accept}
        aria-label={label}
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          const chosen = event.target.files?.[0];
          if (chosen !== undefined) onFile(chosen);
          event.target.value = '';
        }}
      />
      <button type="button" className={className} disabled={disabled} onClick={() => field.current?.click()}>
        {children}
      </button>
    </>
  );
}
