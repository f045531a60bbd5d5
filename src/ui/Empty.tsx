import type { ReactNode } from 'react';

/** Nothing here yet: one sentence, one action, one picture. */
export function Empty({ picture, sentence, action }: { picture: ReactNode; sentence: string; action: ReactNode }) {
  return (
    <div className="flex flex-col items-start gap-5 py-6">
      <div aria-hidden className="text-ink">
        {picture}
      </div>
      <p className="max-w-[46ch] text-[17px]">{sentence}</p>
      {action}
    </div>
  );
}

/** A tin with a roll in it. */
export function TinPicture() {
  return (
    <svg width="220" height="120" viewBox="0 0 220 120" fill="none" stroke="currentColor" strokeWidth="1.6">
      <path d="M10 104 H210" />
      <path d="M30 104 V62 Q30 54 38 54 H122 Q130 54 130 62 V104" />
      <path d="M24 54 Q24 44 34 44 H126 Q136 44 136 54 Z" />
      <path d="M48 76 H112 M48 86 H96" strokeDasharray="3 4" />
      <path d="M158 104 V64 H186 V104 M154 64 H190 M164 64 V54 H180 V64" />
      <path d="M186 78 H204 V92 H186" />
      <path d="M190 82 H200 M190 88 H200" strokeDasharray="2 2.5" />
    </svg>
  );
}
