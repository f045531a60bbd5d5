import type { Estimate } from '@/core/estimate/result';
import { stale } from '@/ui/stale';

/** Why no picture is to be expected, and what might still help. */
const outlookWords: Record<Exclude<Estimate['outlook'], 'usable'>, string> = {
  'little-contrast':
    'So much contrast is lost to age and fog that less than half of what is wanted is left. A scanner with a wide range, a stand in dilute developer, or a clip from the middle of the roll may show more than this says.',
  'no-shadows':
    'So much speed is lost that no shadow parts from the fog. Bright parts of the scene may still be there: a clip from the middle of the roll would tell.',
};

/** What stands before a time that promises nothing, or that could not be settled. */
export function Outlook({
  estimate: { outlook, converged },
  stale: isStale,
}: {
  estimate: Pick<Estimate, 'outlook' | 'converged'>;
  stale: boolean;
}) {
  return (
    <>
      {outlook !== 'usable' && (
        <p {...stale(isStale, 'mb-2 border-s-4 border-danger ps-3')} role="status">
          <b className="text-danger">Probably no picture.</b> {outlookWords[outlook]} If you still want to:
        </p>
      )}
      {!converged && (
        <p className="mb-2 border-s-4 border-heat ps-3 text-[14px]">
          The evidence could not be reconciled to the end: this is the best time that was found. Look for a slip among
          it.
        </p>
      )}
    </>
  );
}
