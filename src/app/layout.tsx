import type { Metadata, Viewport } from 'next';
import { headers } from 'next/headers';
import type { ReactNode } from 'react';
import { BASE_PATH } from '@/core/schema/basePath';
import { VersionNotice } from '@/features/offline/VersionNotice';
import { Foot } from '@/features/shell/Foot';
import { Rail } from '@/features/shell/Rail';
import { BenchGate } from '@/features/shell/BenchGate';
import { Shortcuts } from '@/features/shell/Shortcuts';
import { StorageNotice } from '@/features/shell/StorageNotice';
import { languageTag } from '@/core/units/language';
import { UndoNotice } from '@/features/shell/UndoNotice';
import { lightScript } from '@/ui/light';
import './globals.css';

export const metadata: Metadata = {
  title: { default: 'Aetas', template: '%s · Aetas' },
  description: 'Development times, with an honest range, for film and developers that have no published times.',
  icons: { apple: `${BASE_PATH}/icons/apple-180.png` },
  appleWebApp: { title: 'Aetas', capable: true },
};

export const viewport: Viewport = { width: 'device-width', initialScale: 1, themeColor: '#e7ede3' };

/** The demo's server says so in the page, so the page is made on request. */
export const dynamic = 'force-dynamic';

export default async function RootLayout({ children }: { children: ReactNode }) {
  const kept = process.env.NODE_ENV === 'production' && process.env.AETAS_DEMO !== '1';
  const nonce = (await headers()).get('x-nonce') ?? undefined;
  return (
    <html
      lang={languageTag}
      data-light="day"
      data-bench={process.env.AETAS_DEMO === '1' ? 'demo' : 'own'}
      suppressHydrationWarning
    >
      <head>
        <script nonce={nonce} suppressHydrationWarning dangerouslySetInnerHTML={{ __html: lightScript }} />
      </head>
      <body>
        <a href="#main" className="act sr-only focus:not-sr-only">
          Skip to content
        </a>
        <StorageNotice />
        {kept && <VersionNotice />}
        <Rail />
        <BenchGate>
          <main id="main" className="mx-auto frame px-4 py-6 sm:px-10">
            {children}
          </main>
        </BenchGate>
        <Foot />
        <UndoNotice />
        <Shortcuts />
      </body>
    </html>
  );
}
