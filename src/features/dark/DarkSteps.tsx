import type { LightsOutCard } from '@/core/films/lightsOut';

/** The steps without light, each with what the fingers feel when it is right. */
export function DarkSteps({ card }: { card: LightsOutCard }) {
  return (
    <>
      <h2 className="mt-5">With the light off</h2>
      <ol className="mt-1">
        {card.steps.map(({ act, feel, snag }, index) => (
          <li key={act} className="rule-row grid gap-x-4 sm:grid-cols-[28px_1fr_1fr]">
            <span className="num text-ink2">{index + 1}</span>
            <span>{act}</span>
            <span className="text-[14px]">
              {feel}
              {snag !== '' && <span className="block text-ink2">{snag}</span>}
            </span>
          </li>
        ))}
      </ol>
    </>
  );
}

/** What this card warns of. */
export function DarkWarnings({ card }: { card: LightsOutCard }) {
  if (card.warnings.length === 0) return null;
  return (
    <ul className="mt-3 border-s-4 border-heat ps-3">
      {card.warnings.map((warning) => (
        <li key={warning}>{warning}</li>
      ))}
    </ul>
  );
}
