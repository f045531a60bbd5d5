import { notFound } from 'next/navigation';

/** The id in an address; an address that does not read leads to the page that says so. */
export function idOf({ id }: { id: string }): string {
  try {
    return decodeURIComponent(id);
  } catch {
    notFound();
  }
}
