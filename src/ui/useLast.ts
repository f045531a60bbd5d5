import { useState } from 'react';

/**
 * The last value that was one: what stood before a field was emptied or mistyped.
 * @param value value now; null for none
 * @returns the value, or the one before it; null until there has been one
 */
export function useLast<T>(value: T | null): T | null {
  const [last, setLast] = useState(value);
  if (value !== null && value !== last) setLast(value);
  return value ?? last;
}
