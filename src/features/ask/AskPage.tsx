'use client';

import dynamic from 'next/dynamic';
import type { AskAnswer } from '@/core/plan/askAnswer';

const AskView = dynamic(() => import('./AskView'), {
  ssr: false,
  loading: () => <p aria-busy="true">How long in this?</p>,
});

/** The question on a page of its own, or on the empty bench. */
export function AskPage({ first, empty = false }: { first: AskAnswer | null; empty?: boolean }) {
  return <AskView first={first} empty={empty} />;
}
