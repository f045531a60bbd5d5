import type { Metadata } from 'next';
import Link from 'next/link';

export const metadata: Metadata = { title: 'No such page' };

/** An address that leads nowhere. */
export default function NotFound() {
  return (
    <>
      <h1>There is no page at this address.</h1>
      <p className="mt-2">
        Check the address, or <Link href="/">go to the bench</Link>.
      </p>
    </>
  );
}
