'use client';

import { languageTag } from '@/core/units/language';
import { Broken } from '@/features/shell/Broken';
import './globals.css';

/** Even the frame of the page broke. */
export default function GlobalError({ error, reset }: { error: Error; reset: () => void }) {
  return (
    <html lang={languageTag} data-light="day">
      <body>
        <main className="mx-auto frame px-4 py-6 sm:px-10">
          <Broken error={error} retry={reset} />
        </main>
      </body>
    </html>
  );
}
