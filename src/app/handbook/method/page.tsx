import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { Metadata } from 'next';
import { MarkdownText } from '@/features/handbook/MarkdownText';

export const metadata: Metadata = { title: 'The method' };

/** The text of docs/method.md, as it stood when the app was built. */
export default async function Page() {
  return <MarkdownText markdown={await readFile(join(process.cwd(), 'docs', 'method.md'), 'utf8')} />;
}
