'use client';

import { useState, type ReactNode } from 'react';

interface FoldProps {
  /** Whether there is something in it to be seen: then it opens. It never closes under the hand that types. */
  filled: boolean;
  className?: string;
  children: ReactNode;
}

/** What is folded away until it is needed. The summary is its first child. */
export function Fold({ filled, className, children }: FoldProps) {
  const [open, setOpen] = useState(filled);
  const [was, setWas] = useState(filled);
  if (filled !== was) {
    setWas(filled);
    if (filled) setOpen(true);
  }
  return (
    <details className={className} open={open} onToggle={(event) => setOpen(event.currentTarget.open)}>
      {children}
    </details>
  );
}
