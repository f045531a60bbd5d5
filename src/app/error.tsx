'use client';

import { Broken } from '@/features/shell/Broken';

/** Every route below shows this when it breaks; header, light and keys stay. */
export default function RouteError({ error, reset }: { error: Error; reset: () => void }) {
  return <Broken error={error} retry={reset} />;
}
