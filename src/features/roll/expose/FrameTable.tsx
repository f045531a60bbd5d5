'use client';

import type { Frame } from '@/core/exposure/frame';
import { readFrames } from '@/core/exposure/readFrames';
import { framesPart } from '@/data/typedParts';
import { useTypedPart } from '@/features/drafts/useTypedPart';

const columns = [
  ['frame', 'Frame'],
  ['metered', 'Metered'],
  ['given', 'Given'],
  ['remark', 'Remark'],
] as const;

/** The notebook of a roll: one line a frame, where somebody kept one. */
export function FrameTable({ rollId, frames }: { rollId: string; frames: Frame[] }) {
  const { form, change, errors } = useTypedPart(framesPart, rollId, frames);
  const set = (index: number, part: Partial<Frame>): void =>
    change(form.map((line, at) => (at === index ? { ...line, ...part } : line)));
  const next = (): void => change([...form, { frame: String(form.length + 1), metered: '', given: '', remark: '' }]);
  const split = (index: number, frames: readonly string[]): void =>
    change(form.flatMap((line, at) => (at === index ? frames.map((frame) => ({ ...line, frame })) : [line])));
  return (
    <section aria-labelledby="frame-table" className="border-t border-hair pt-3">
      <h3 id="frame-table">Frames</h3>
      {form.length > 0 && (
        <table className="mt-2 w-full measure">
          <thead>
            <tr className="text-start text-[13px] text-ink2">
              {columns.map(([field, name]) => (
                <th key={field} scope="col" className="pe-3 font-normal">
                  {name}
                </th>
              ))}
              <td />
            </tr>
          </thead>
          <tbody>
            {form.map((line, index) => (
              <tr key={index} className="align-top">
                {columns.map(([field, name]) => (
                  <td key={field} className={field === 'remark' ? 'w-1/2 py-1 pe-3' : 'py-1 pe-3'}>
                    <input
                      className="box"
                      aria-label={`${name} of line ${index + 1}`}
                      aria-invalid={errors[`[${index}].${field}`] ? true : undefined}
                      value={line[field]}
                      onChange={(event) => set(index, { [field]: event.target.value })}
                    />
                    {field === 'frame' && <Several text={line.frame} onSplit={(frames) => split(index, frames)} />}
                  </td>
                ))}
                <td>
                  <button
                    type="button"
                    className="act-plain text-[13px] text-ink2"
                    onClick={() => change(form.filter((_, at) => at !== index))}
                  >
                    Remove<span className="sr-only"> line {index + 1}</span>
                  </button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {Object.values(errors).map((message) => (
        <p key={message} role="alert" className="mt-1 text-danger">
          {message}
        </p>
      ))}
      <button type="button" className="act mt-2 min-h-9 py-1" onClick={next}>
        Add a frame
      </button>
    </section>
  );
}

/** A line that speaks of several frames: how it was read, and the way to a line for each. */
function Several({ text, onSplit }: { text: string; onSplit: (frames: string[]) => void }) {
  const frames = readFrames(text);
  if (frames === null || frames.length < 2) return null;
  return (
    <span className="block text-[13px] whitespace-nowrap text-ink2">
      {frames.length} frames.{' '}
      <button type="button" className="act-plain" onClick={() => onSplit(frames)}>
        A line for each
      </button>
    </span>
  );
}
