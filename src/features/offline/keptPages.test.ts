import { readdirSync } from 'node:fs';
import { expect, test } from 'vitest';
import { subjects } from '@/features/handbook/subjects';
import { plainPages, recordPages } from '@/workers/offline/keptPages';

test('every page of Aetas is kept for when there is no server', () => {
  const found = readdirSync('src/app', { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('page.tsx'))
    .map((file) => `/${file.replaceAll('\\', '/').replace(/\/?page\.tsx$/, '')}`)
    .flatMap((path) =>
      path === '/handbook/[subject]' ? subjects.map(({ id }) => path.replace('[subject]', id)) : [path],
    );
  expect([...plainPages, ...recordPages].sort()).toEqual(found.sort());
});
