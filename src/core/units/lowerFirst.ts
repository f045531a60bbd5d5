/** A name within a sentence: its first letter small, unless it is a sign such as p-. */
export function lowerFirst(name: string): string {
  return name.charAt(0).toLowerCase() + name.slice(1);
}
