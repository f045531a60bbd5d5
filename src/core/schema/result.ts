/** A fault that a user can cause: where it is, what it is, and what to do about it. */
export interface Problem {
  /** Path to the value at fault, as in `developer.waterParts` or `records.rolls[2].label`. */
  path: string;
  /** One plain sentence or two: what is wrong and what to do. */
  message: string;
}

export type Result<T> = { ok: true; value: T } | { ok: false; problems: Problem[] };

/** Wraps a value as a success. */
export function success<T>(value: T): Result<T> {
  return { ok: true, value };
}

/** Wraps one or more problems as a failure. */
export function failure(...problems: Problem[]): { ok: false; problems: Problem[] } {
  return { ok: false, problems };
}
