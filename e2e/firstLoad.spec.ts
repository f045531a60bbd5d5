import { expect, test } from '@playwright/test';
import { FIRST_LOAD_LIMIT_KB, firstLoad } from './firstLoad';

test('the bench loads no more script than its limit before it shows', async ({ baseURL }) => {
  const { files, sizeKb } = await firstLoad(`${baseURL ?? ''}/`);
  expect(files).toBeGreaterThan(3);
  expect(sizeKb).toBeGreaterThan(100);
  expect(sizeKb).toBeLessThan(FIRST_LOAD_LIMIT_KB);
});
