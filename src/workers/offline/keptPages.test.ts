import { expect, test } from 'vitest';
import { idField } from '@/core/schema/fields';
import { ANY_ID, anyRecordPage, pageForRecord, recordPageOf, recordPages } from './keptPages';

test.each(recordPages.map((pattern) => [pattern]))('%s is kept once, for every record', (pattern) => {
  expect(recordPageOf(pattern.replace('[id]', 'roll-7:a.b_c'))).toEqual({
    kept: anyRecordPage(pattern),
    id: 'roll-7:a.b_c',
  });
});

test('an id that no record can have leads to no kept page', () => {
  for (const id of ['', '%22%3E%3Cscript', '<b>', 'a b', 'x'.repeat(101), '%E0%A4%A']) {
    expect(recordPageOf(`/rolls/${id}`), id).toBeNull();
    expect(idField.safeParse(id).success, id).toBe(false);
  }
  expect(recordPageOf('/rolls/roll%3A7')?.id).toBe('roll:7');
  expect(recordPageOf('/nothing/roll-7')).toBeNull();
});

test('the page of a record has its id wherever the kept one had none', () => {
  const kept = `<p>${ANY_ID}</p><script>["rolls","${ANY_ID}","d"]</script>`;
  expect(pageForRecord(kept, 'tin-3')).toBe('<p>tin-3</p><script>["rolls","tin-3","d"]</script>');
});
