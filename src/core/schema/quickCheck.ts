import * as z from 'zod';

/*
 * Ten thousand records are checked value by value when a file is opened. A schema answers with a copy of each record and with
 * what is wrong in it; nearly always nothing is, and the copy is the same. This asks the schema's own rules without either,
 * some five times faster. It only ever says yes: whatever it does not know for certain is the schema's to decide.
 */

/** Whether a value is one that the schema takes, and would give back as it is. */
export type QuickCheck = (value: unknown) => boolean;

/** What a schema says of itself, as far as it is read here. */
interface Def {
  type: string;
  /** A format that is the schema itself, and no rule on it. */
  format?: string;
  checks?: Parameters<z.ZodUnknown['check']>;
  shape?: Record<string, Schema>;
  element?: Schema;
  innerType?: Schema;
  options?: readonly Schema[];
  discriminator?: string;
  entries?: Record<string, string | number>;
  values?: readonly unknown[];
  keyType?: Schema;
  valueType?: Schema;
}
interface Schema {
  def: Def;
  safeParse: (value: unknown) => { success: boolean };
  /** Of a number: its limits and its format. */
  minValue?: number | null;
  maxValue?: number | null;
  /** Of a text: its limits. */
  minLength?: number | null;
  maxLength?: number | null;
  format?: string | null;
}

const no: QuickCheck = () => false;

/**
 * A check that is certain where it says yes.
 * @param schema a schema without work that takes time of its own
 * @returns says yes only for values that `schema` takes and gives back unchanged; a no means that the schema must be asked
 */
export function quickCheck(schema: z.ZodType): QuickCheck {
  return checkOf(schema as unknown as Schema);
}

function checkOf(schema: Schema): QuickCheck {
  const kind = kindOf(schema.def);
  const { type, checks = [] } = schema.def;
  if (checks.length === 0) return kind;
  const limits = type === 'number' ? numberLimits(schema) : type === 'string' ? textLimits(schema) : null;
  const rules = limits !== null && limits.explains === checks.length ? limits.holds : askedRules(checks);
  return (value) => kind(value) && rules(value);
}

/** What limits say, and how many rules they explain: each rule sets one of them, and where the numbers agree there is no other. */
interface Limits {
  explains: number;
  holds: QuickCheck;
}

function numberLimits(schema: Schema): Limits | null {
  const isWhole = schema.format === 'safeint';
  if (!isWhole && schema.format !== null && schema.format !== undefined) return null;
  const low = limitOf(schema.minValue, isWhole ? Number.MIN_SAFE_INTEGER : -Infinity);
  const high = limitOf(schema.maxValue, isWhole ? Number.MAX_SAFE_INTEGER : Infinity);
  // Whether a limit itself is allowed the schema knows.
  const lowCounts = low !== null && schema.safeParse(low).success;
  const highCounts = high !== null && schema.safeParse(high).success;
  return {
    explains: (isWhole ? 1 : 0) + (low === null ? 0 : 1) + (high === null ? 0 : 1),
    holds: (value) => {
      const number = value as number;
      if (isWhole && !Number.isSafeInteger(number)) return false;
      if (low !== null && !(lowCounts ? number >= low : number > low)) return false;
      return high === null || (highCounts ? number <= high : number < high);
    },
  };
}

function textLimits({ minLength, maxLength, format }: Schema): Limits | null {
  const low = limitOf(minLength, -Infinity);
  const high = limitOf(maxLength, Infinity);
  // One rule can set both, where they are the same.
  if ((format !== null && format !== undefined) || (low !== null && low === high)) return null;
  return {
    explains: (low === null ? 0 : 1) + (high === null ? 0 : 1),
    holds: (value) =>
      (low === null || (value as string).length >= low) && (high === null || (value as string).length <= high),
  };
}

function limitOf(value: number | null | undefined, none: number): number | null {
  return value === null || value === undefined || value === none ? null : value;
}

/** The schema's own rules on a value that is taken as it is: nothing within it is copied. */
function askedRules(checks: NonNullable<Def['checks']>): QuickCheck {
  const rules = z.unknown().check(...checks);
  return (value) => {
    const answer = rules.safeParse(value);
    return answer.success && answer.data === value;
  };
}

function kindOf(def: Def): QuickCheck {
  if (def.format !== undefined) return no;
  switch (def.type) {
    case 'string':
      return (value) => typeof value === 'string';
    case 'number':
      return Number.isFinite;
    case 'boolean':
      return (value) => typeof value === 'boolean';
    case 'unknown':
      return (value) => value !== undefined;
    case 'enum':
      return among(Object.values(def.entries ?? {}));
    case 'literal':
      return among(def.values ?? []);
    case 'nullable':
      return orElse(def, null);
    case 'optional':
      return orElse(def, undefined);
    // A value that is missing takes the default: then the schema gives back another one.
    case 'default':
      return def.innerType === undefined ? no : checkOf(def.innerType);
    case 'array':
      return arrayOf(def);
    case 'record':
      return recordOf(def);
    case 'object':
      return objectOf(def);
    case 'union':
      return unionOf(def);
    default:
      return no;
  }
}

function among(values: readonly unknown[]): QuickCheck {
  const known = new Set(values);
  return (value) => known.has(value);
}

function orElse({ innerType }: Def, other: null | undefined): QuickCheck {
  if (innerType === undefined) return no;
  const inner = checkOf(innerType);
  return (value) => value === other || inner(value);
}

function arrayOf({ element }: Def): QuickCheck {
  if (element === undefined) return no;
  const one = checkOf(element);
  return (value) => {
    if (!Array.isArray(value)) return false;
    for (const entry of value) if (!one(entry)) return false;
    return true;
  };
}

function recordOf({ keyType, valueType }: Def): QuickCheck {
  if (keyType === undefined || valueType === undefined) return no;
  const key = checkOf(keyType);
  const one = checkOf(valueType);
  return (value) => isPlain(value) && Object.entries(value).every(([name, entry]) => key(name) && one(entry));
}

function objectOf({ shape = {} }: Def): QuickCheck {
  const names = Object.keys(shape);
  const checks = Object.values(shape).map(checkOf);
  return (value) => {
    if (!isPlain(value)) return false;
    let present = 0;
    for (let index = 0; index < names.length; index++) {
      const name = names[index] as string;
      const entry = value[name];
      if (entry !== undefined || Object.hasOwn(value, name)) present += 1;
      if (!(checks[index] as QuickCheck)(entry)) return false;
    }
    // What the schema does not name it would refuse or leave out.
    return Object.keys(value).length === present;
  };
}

/** Only unions told apart by a field: of others the first that fits counts, perhaps with another answer. */
function unionOf({ options = [], discriminator }: Def): QuickCheck {
  if (discriminator === undefined) return no;
  const byName = new Map<unknown, QuickCheck>();
  for (const option of options) {
    const values = option.def.shape?.[discriminator]?.def.values;
    for (const name of values ?? []) byName.set(name, checkOf(option));
  }
  return (value) => isPlain(value) && (byName.get(value[discriminator]) ?? no)(value);
}

function isPlain(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && Object.getPrototypeOf(value) === Object.prototype;
}
