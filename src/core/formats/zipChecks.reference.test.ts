import { strToU8, zipSync } from 'fflate';
import { describe, expect, test } from 'vitest';
import { crc32, zipChecks } from './zipChecks';

describe('CRC-32', () => {
  test('of the nine digits is CBF43926, the check value of its definition', () => {
    expect(crc32(strToU8('123456789'))).toBe(0xcbf43926);
    expect(crc32(new Uint8Array())).toBe(0);
  });
});

describe('checks of a zip', () => {
  const files = { 'records.json': strToU8('{"records": 1}'), 'photos/höhe.jpg': strToU8('not a picture') };
  test('are those of its files, as the package that wrote it reckons them', () => {
    const checks = zipChecks(zipSync(files));
    for (const [name, bytes] of Object.entries(files)) expect(checks.get(name)).toBe(crc32(bytes));
  });
  test('of what is no zip there are none', () => {
    expect(zipChecks(strToU8('PK no directory')).size).toBe(0);
    expect(zipChecks(new Uint8Array()).size).toBe(0);
  });
});
