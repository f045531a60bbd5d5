import Link from 'next/link';
import { cautionRules } from '@/core/safety/cautions';
import { eveningRules } from '@/core/evening/eveningForm';
import { terms } from '@/core/units/terms';
import { keys } from '@/features/shell/keys';
import { DataTable } from './DataTable';
import { HandbookSearch } from './HandbookSearch';
import { LanguageNote } from './LanguageNote';
import { subjects } from './subjects';

/** Subjects, terms and cautions, with a search over all of them. */
export function Handbook() {
  return (
    <div className="space-y-10">
      <div>
        <h1>Handbook</h1>
        <p className="mt-1 max-w-[70ch] text-ink2">
          One page a subject, drawn.{' '}
          <Link href="/handbook/tables" className="act-plain">
            Tables
          </Link>{' '}
          has the figures that every estimate starts from, and{' '}
          <Link href="/handbook/method" className="act-plain">
            the method in full
          </Link>{' '}
          every formula with its source.
        </p>
        <LanguageNote />
      </div>
      <HandbookSearch />
      <section aria-labelledby="subjects" className="print:hidden">
        <h2 id="subjects">Subjects</h2>
        <ul className="mt-2 grid gap-x-12 sm:grid-cols-2">
          {subjects.map(({ id, title, answers }) => (
            <li key={id} className="rule-row">
              <Link href={`/handbook/${id}`} className="num text-[18px]">
                {title}
              </Link>
              <span className="block text-[14px] text-ink2">{answers}</span>
            </li>
          ))}
        </ul>
      </section>
      <section aria-labelledby="terms">
        <h2 id="terms">Terms</h2>
        <dl className="mt-2 measure">
          {Object.entries(terms).map(([id, { name, words }]) => (
            <div key={id} id={`term-${id}`} className="rule-row grid gap-x-6 sm:grid-cols-[190px_1fr]">
              <dt className="num">{name}</dt>
              <dd>{words}</dd>
            </div>
          ))}
        </dl>
      </section>
      <section aria-labelledby="evening">
        <h2 id="evening">An evening</h2>
        <p className="mt-1 text-[13px] text-ink2">
          What <Link href="/evening">the evening plan</Link> assumes: common practice. The reel, and how long water
          stands, are set on its own page.
        </p>
        <ul className="mt-2 measure">
          {eveningRules().map((rule) => (
            <li key={rule} className="rule-row">
              {rule}
            </li>
          ))}
        </ul>
      </section>
      <section aria-labelledby="cautions">
        <h2 id="cautions">Cautions</h2>
        <p className="mt-1 text-[13px] text-ink2">
          They also appear where the work happens. Local rules, safety sheets and licensed practice take precedence.
        </p>
        <ul className="mt-2 measure">
          {cautionRules.map(({ id, text }) => (
            <li key={id} id={`caution-${id}`} className="rule-row">
              {text}
            </li>
          ))}
        </ul>
      </section>
      <DataTable
        title="Keys"
        note="Off while you type."
        head={['Key', 'Does']}
        rows={keys.map(({ key, does }) => [key, does])}
      />
    </div>
  );
}
