/** A text of one file, or of all, with its translation. */
export interface Entry {
  text: string;
  /** The file that it is for; empty for all. */
  file: string;
  translation: string;
}

export function interfaceMessages(withHandbook?: boolean): Map<string, Set<string>>;
export function languages(): string[];
export function entriesOf(language: string): Entry[];
export function lookupOf(language: string): (text: string, path: string) => string | undefined;
