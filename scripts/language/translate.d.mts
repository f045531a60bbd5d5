export function translateSource(
  path: string,
  code: string,
  lookup: (text: string, path: string) => string | undefined,
): string;
