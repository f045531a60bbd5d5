'use client';

import Link from 'next/link';
import { subjects, type Subject } from './subjects';

/** One subject on one page, drawn, with the next one at its foot. */
export function SubjectPage({ id }: { id: Subject['id'] }) {
  const at = subjects.findIndex((one) => one.id === id);
  const subject = subjects[at];
  if (subject === undefined) return null;
  const next = subjects[(at + 1) % subjects.length];
  return (
    <article className="measure">
      <p className="text-[14px] print:hidden">
        <Link href="/handbook" className="act-plain">
          Handbook
        </Link>
      </p>
      <h1>{subject.title}</h1>
      <p className="mt-1 text-[18px] text-ink2">{subject.answers}</p>
      <div className="mt-5">{subject.drawing}</div>
      <div className="mt-5 space-y-3 text-[17px]">
        {subject.words.map((words) => (
          <p key={words} className="max-w-[68ch]">
            {words}
          </p>
        ))}
      </div>
      <p className="mt-6 flex flex-wrap gap-x-6 gap-y-2 border-t border-hair pt-3 print:hidden">
        <button type="button" className="act-plain min-h-11" onClick={() => window.print()}>
          Print this page
        </button>
        {next !== undefined && (
          <Link href={`/handbook/${next.id}`} className="act-plain min-h-11 content-center">
            Next: {next.title}
          </Link>
        )}
      </p>
    </article>
  );
}
