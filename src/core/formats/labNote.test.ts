import { describe, expect, test } from 'vitest';
import { sampleRun } from '../testing/sampleRun';
import { labNote, type LabNoteOf } from './labNote';

const stamps = { createdMs: 0, updatedMs: 0 };
const of = (part: Partial<LabNoteOf> = {}): LabNoteOf => ({
  run: sampleRun({
    events: [
      { kind: 'begin', stepIndex: 0, atMs: 0 },
      { kind: 'begin', stepIndex: 1, atMs: 61_000 },
      { kind: 'temperature', stepIndex: 1, celsius: 19.4, atMs: 241_000 },
      { kind: 'note', text: 'lid | leaks <b>', atMs: 300_000 },
      { kind: 'begin', stepIndex: 2, atMs: 790_000 },
    ],
  }),
  roll: { id: 'roll', label: 'Tin 3 [x](http://a.b)' } as LabNoteOf['roll'],
  stock: { id: 'stock', name: 'Larkholm Pan 200', ...stamps } as LabNoteOf['stock'],
  brew: undefined,
  verdict: undefined,
  pictures: [],
  ...part,
});
const when = (atMs: number): string => `${atMs / 1000} s`;

describe('a run as a lab note', () => {
  test('baths as planned and as they went, to the second', () => {
    const text = labNote(of(), when);
    expect(text).toContain('| Pre-soak | Water | 1:00 | 1:01 |');
    expect(text).toContain('| Develop | Developer | 12:00 | 12:09 |');
    expect(text).toContain('19.4 °C, develop at 3:00');
    expect(text.startsWith('# Tin 3 ')).toBe(true);
  });
  test('what was typed stays text: no link, no table cell, no tag', () => {
    const text = labNote(of(), when);
    expect(text).toContain('Tin 3 \\[x\\](http://a.b)');
    expect(text).toContain('lid \\| leaks \\<b\\>');
    expect(text).not.toMatch(/(^|[^\\])<b/);
  });
  test('a note that begins like a heading, a list or a number stays a line of text', () => {
    const noted = (text: string): string =>
      labNote(of({ run: sampleRun({ events: [{ kind: 'note', text, atMs: 0 }] }) }), when);
    expect(noted('# loud')).toContain('0 s: \\# loud');
    expect(noted('- item')).toContain('0 s: \\- item');
    expect(noted('1. first')).toContain('0 s: 1\\. first');
    expect(noted('Close. Shadows are there.')).toContain('0 s: Close. Shadows are there.');
  });
  test('verdict and pictures come where there are any', () => {
    const verdict = {
      ...stamps,
      id: 'v',
      runId: 'run',
      rollId: 'roll',
      contrast: -1,
      fog: 'slight' as const,
      shadows: 'thin' as const,
      evenness: 'even' as const,
      defects: ['dust' as const],
      note: '',
    };
    const text = labNote(of({ verdict, pictures: ['strip 1.jpg'] }), when);
    expect(text).toContain('Contrast a little soft; slight fog; shadows thin; even; dust.');
    expect(text).toContain('(<photos/strip%201.jpg>)');
    expect(labNote(of(), when)).not.toContain('## Verdict');
  });
  test('prints of the roll stand in it, and say which one hangs', () => {
    const prints = [{ name: 'The dog', paper: 'Pearl', grade: '3', baseS: 11.3, final: true }];
    expect(labNote({ ...of(), prints }, when)).toContain('- The dog: 11.3 s on Pearl, grade 3; the one that hangs');
    expect(labNote(of(), when)).not.toContain('## Prints');
  });
});
