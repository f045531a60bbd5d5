import type { ReactNode } from 'react';

/** Nothing here yet: what it will hold, drawn; one sentence, one first act, and the way to look at a bench that holds something. */
export function Empty({
  picture,
  sentence,
  action,
  beside,
}: {
  picture: ReactNode;
  sentence: string;
  action: ReactNode;
  beside?: ReactNode;
}) {
  return (
    <div className="flex flex-col items-start gap-5 py-6">
      <div aria-hidden className="text-ink">
        {picture}
      </div>
      <p className="max-w-[46ch] text-[17px]">{sentence}</p>
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
        {action}
        {beside}
      </div>
    </div>
  );
}
