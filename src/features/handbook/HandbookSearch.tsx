'use client';

import Link from 'next/link';
import { useMemo, useState } from 'react';
import { findAnswers } from './answers';

/** The handbook, asked: the first letters find the answer. */
export function HandbookSearch() {
  const [text, setText] = useState('');
  const found = useMemo(() => findAnswers(text), [text]);
  return (
    <section aria-labelledby="ask-handbook" className="print:hidden">
      <h2 id="ask-handbook">Ask it</h2>
      <label className="mt-1 block max-w-[460px]">
        <span className="text-[14px] text-ink2">A word will do: milky, purple, curled, smells</span>
        <input
          id="search"
          className="box mt-1 text-[17px]"
          role="searchbox"
          value={text}
          maxLength={120}
          onChange={(event) => setText(event.target.value)}
        />
      </label>
      <div aria-live="polite">
        {text.trim() !== '' && found.length === 0 && (
          <p className="mt-3">Nothing by that name. Try another word for it, or the lists below.</p>
        )}
        {found.length > 0 && (
          <ul className="mt-3 measure" aria-label="Answers">
            {found.map(({ kind, title, words, href }) => (
              <li key={`${kind} ${title}`} className="rule-row grid gap-x-6 sm:grid-cols-[150px_1fr]">
                <span className="text-[14px] text-ink2">{kind}</span>
                <span>
                  <b>
                    {href === '' ? (
                      title
                    ) : href.startsWith('#') ? (
                      <a href={href}>{title}</a>
                    ) : (
                      <Link href={href}>{title}</Link>
                    )}
                  </b>
                  {words !== title && <span className="block">{words}</span>}
                </span>
              </li>
            ))}
          </ul>
        )}
      </div>
    </section>
  );
}
