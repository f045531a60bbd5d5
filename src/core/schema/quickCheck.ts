import type * as z from 'zod';

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
  checks?: readonly Rule[];
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
  _zod: { def: Def };
}
interface Rule {
  _zod: { def: RuleDef; check: (payload: Payload) => unknown };
}
interface RuleDef {
  check: string;
  format?: string;
  value?: unknown;
  inclusive?: boolean;
  minimum?: number;
  maximum?: number;
}
interface Payload {
  value: unknown;
  issues: unknown[];
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
  const { def } = schema._zod;
  const kind = kindOf(def);
  const rules = (def.checks ?? []).map(ruleOf);
  if (rules.length === 0) return kind;
  return (value) => {
    if (!kind(value)) return false;
    for (const rule of rules) if (!rule(value)) return false;
    return true;
  };
}

function kindOf(def: Def): QuickCheck {
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
    const values = option._zod.def.shape?.[discriminator]?._zod.def.values;
    for (const name of values ?? []) byName.set(name, checkOf(option));
  }
  return (value) => isPlain(value) && (byName.get(value[discriminator]) ?? no)(value);
}

function isPlain(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && Object.getPrototypeOf(value) === Object.prototype;
}

/** One rule on a value: the usual ones are known here, the others are asked. */
function ruleOf({ _zod: { def, check } }: Rule): QuickCheck {
  const limit = def.value;
  if (typeof limit === 'number' && def.check === 'greater_than')
    return def.inclusive === true ? (value) => (value as number) >= limit : (value) => (value as number) > limit;
  if (typeof limit === 'number' && def.check === 'less_than')
    return def.inclusive === true ? (value) => (value as number) <= limit : (value) => (value as number) < limit;
  const { minimum, maximum } = def;
  if (minimum !== undefined && def.check === 'min_length') return (value) => (value as string).length >= minimum;
  if (maximum !== undefined && def.check === 'max_length') return (value) => (value as string).length <= maximum;
  if (def.check === 'number_format' && def.format === 'safeint') return Number.isSafeInteger;
  return (value) => {
    const payload: Payload = { value, issues: [] };
    const answer = check(payload);
    return !(answer instanceof Promise) && payload.issues.length === 0 && payload.value === value;
  };
}
