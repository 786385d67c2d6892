import { day as daySchema, instant as instantSchema } from '@open-larder/contract';
import type { z } from 'zod';

/** A body with one of its values at a limit. */
export interface Extreme {
  /** «lot.amountG = 100000». */
  what: string;
  body: Record<string, unknown>;
}

interface Def {
  type: string;
  innerType?: z.ZodType;
  shape?: Record<string, z.ZodType>;
  element?: z.ZodType;
  items?: z.ZodType[];
  options?: z.ZodType[];
  discriminator?: string;
  entries?: Record<string, unknown>;
  values?: unknown[];
  format?: string;
}
const defOf = (schema: z.ZodType) => schema._zod.def as unknown as Def;
const bagOf = (schema: z.ZodType) =>
  schema._zod.bag as {
    minimum?: number;
    maximum?: number;
    format?: string;
    patterns?: Set<RegExp>;
  };

function bare(schema: z.ZodType): { schema: z.ZodType; nullable: boolean } {
  let inner = schema;
  let nullable = false;
  for (;;) {
    const { type, innerType } = defOf(inner);
    if (innerType === undefined) return { schema: inner, nullable };
    nullable ||= type === 'nullable';
    inner = innerType;
  }
}

const FAR = 1e12;
const DAYS = ['1990-01-01', '2100-12-31'];
const INSTANTS = ['1990-01-01T00:00:00.000Z', '2100-12-31T23:59:59.000Z'];
/** A letter of more than one byte: limits count letters. */
const LETTER = 'Ω';
const LONG = 5000;

/** The values at the limits of one leaf: as the schema has them, not by hand. */
function limitsOf(schema: z.ZodType): unknown[] {
  const { schema: inner, nullable } = bare(schema);
  const orNull = nullable ? [null] : [];
  const { type, entries, values, format } = defOf(inner);
  const { minimum, maximum, patterns } = bagOf(inner);
  if (inner === daySchema) return [...orNull, ...DAYS];
  if (inner === instantSchema) return [...orNull, ...INSTANTS];
  switch (type) {
    case 'number':
      return [
        ...orNull,
        ...[minimum, maximum].filter((end) => end !== undefined && Math.abs(end) < FAR),
      ];
    case 'string': {
      if (format !== undefined || patterns?.size) return orNull;
      const lengths = [minimum ?? 0, Math.min(maximum ?? LONG, LONG)];
      return [...orNull, ...lengths.map((length) => LETTER.repeat(length))];
    }
    case 'enum':
      return [...orNull, ...Object.values(entries!)];
    case 'literal':
      return [...orNull, ...values!];
    case 'boolean':
      return [...orNull, false, true];
    case 'union':
      return [...orNull, ...defOf(inner).options!.flatMap(limitsOf)];
    default:
      return orNull;
  }
}

type Path = (string | number)[];

function* leaves(schema: z.ZodType, value: unknown, path: Path): Generator<[Path, unknown[]]> {
  const { schema: inner, nullable } = bare(schema);
  const { type, shape, element, items, options, discriminator } = defOf(inner);
  if (nullable && path.length > 0) yield [path, [null]];
  if (type === 'object') {
    for (const [key, of] of Object.entries(shape!)) {
      const within = (value as Record<string, unknown> | null)?.[key];
      yield* leaves(of, within, [...path, key]);
    }
  } else if (type === 'array') {
    yield [path, [[]]];
    const first = (value as unknown[] | null)?.[0];
    if (first !== undefined) yield* leaves(element!, first, [...path, 0]);
  } else if (type === 'tuple') {
    if (Array.isArray(value)) {
      for (const [at, item] of items!.entries()) yield* leaves(item, value[at], [...path, at]);
    }
  } else if (type === 'union' && discriminator) {
    const kind = (value as Record<string, unknown>)[discriminator];
    const own = options!.find((option) =>
      limitsOf(defOf(option).shape![discriminator]!).includes(kind),
    );
    if (!own) return;
    for (const [leaf, limits] of leaves(own, value, path)) {
      // Its kind makes it what it is.
      if (leaf.at(-1) !== discriminator) yield [leaf, limits];
    }
  } else {
    const limits = limitsOf(inner);
    if (limits.length > 0) yield [path, limits];
  }
}

function put(body: Record<string, unknown>, path: Path, value: unknown): Record<string, unknown> {
  const copy = structuredClone(body);
  let at = copy as Record<string | number, unknown>;
  for (const key of path.slice(0, -1)) {
    at[key] ??= {};
    at = at[key] as Record<string | number, unknown>;
  }
  at[path.at(-1)!] = value;
  return copy;
}

/**
 * Bodies that a schema may let through, each with a value at a limit; at last all at their lower and
 * all at their upper limits together.
 * @param base makes a body that is accepted, with ids of its own each time
 */
export function* extremesOf(
  schema: z.ZodType,
  base: () => Record<string, unknown>,
): Generator<Extreme> {
  yield { what: 'as usual', body: base() };
  const all = [...leaves(schema, base(), [])];
  for (const [path, limits] of all) {
    for (const limit of limits) {
      const text = JSON.stringify(limit) ?? '';
      yield { what: `${path.join('.')} = ${text.slice(0, 40)}`, body: put(base(), path, limit) };
    }
  }
  for (const [what, end] of [
    ['all at their lower limits', 0],
    ['all at their upper limits', -1],
  ] as const) {
    const numbers = all.filter(([, limits]) => limits.every((one) => typeof one === 'number'));
    yield { what, body: numbers.reduce((body, [path, of]) => put(body, path, of.at(end)), base()) };
  }
}

/** A body of a kind; `alike` where another with the same fields came before it. */
export interface Kind {
  body: Record<string, unknown>;
  alike: boolean;
}

/** One body of each kind that a schema shows apart, from what is said of all of them. */
export function kindsOf(schema: z.ZodType, given: Record<string, unknown>): Kind[] {
  const { options, discriminator } = defOf(schema);
  return options!.flatMap((option) =>
    limitsOf(defOf(option).shape![discriminator!]!).map((kind, at) => {
      const body: Record<string, unknown> = { [discriminator!]: kind };
      for (const [key, of] of Object.entries(defOf(option).shape!)) {
        if (key !== discriminator) body[key] = key in given ? given[key] : modest(of);
      }
      return { body, alike: at > 0 };
    }),
  );
}

/** Chance from a seed: 0 to 1. */
export type Draw = () => number;

const JUNK: readonly unknown[] = [
  null,
  true,
  -1,
  1e308,
  0.1,
  '',
  'x',
  'a\u0000b',
  '\ud800',
  LETTER.repeat(300),
  [],
  {},
  [[[[]]]],
  '0000-01-01T00:00:00.000Z',
  '9999-12-31T23:59:59.999Z',
  '0000-00-00',
  '2026-02-30',
  '1e999',
];
export const junk = (draw: Draw): unknown => JUNK[Math.floor(draw() * JUNK.length)];

/**
 * A value that a schema may or may not let through: at its limits, in between, or nonsense.
 * @param known what a field of that name may refer to
 * @param wild  share of nonsense, 0 to 1
 */
export function anyOf(
  schema: z.ZodType,
  known: (key: string) => unknown,
  draw: Draw,
  wild: number,
  key = '',
): unknown {
  if (draw() < wild) return junk(draw);
  const { schema: inner, nullable } = bare(schema);
  if (nullable && draw() < 0.3) return null;
  const { type, shape, element, items, options, entries, format } = defOf(inner);
  const within = (of: z.ZodType, name: string) => anyOf(of, known, draw, wild, name);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(draw() * list.length)]!;
  switch (type) {
    case 'object':
      return Object.fromEntries(
        Object.entries(shape!)
          .filter(() => draw() > wild / 2)
          .map(([name, of]) => [name, within(of, name)]),
      );
    case 'array':
      return Array.from({ length: Math.floor(draw() * 3) }, () => within(element!, key));
    case 'tuple':
      return items!.map((item) => within(item, key));
    case 'union':
      return within(pick(options!), key);
    case 'enum':
      return pick(Object.values(entries!));
    case 'string':
      if (inner === instantSchema || inner === daySchema || format === 'uuid') break;
      return draw() < 0.5 ? (known(key) ?? 'x') : (pick(limitsOf(inner)) ?? 'x');
    default:
  }
  const usual = known(key);
  if (usual !== undefined && draw() < 0.8) return usual;
  const limits = limitsOf(inner);
  return limits.length > 0 && draw() < 0.6 ? pick(limits) : modest(inner);
}

/** Something that is neither here nor there. */
function modest(schema: z.ZodType): unknown {
  const { schema: inner, nullable } = bare(schema);
  const { type } = defOf(inner);
  const { minimum = 0, maximum = 1 } = bagOf(inner);
  if (type === 'number') return Math.min(Math.max(1, minimum), maximum);
  if (type === 'array') return nullable ? null : [];
  if (type === 'string') return 'x';
  return limitsOf(inner)[0] ?? null;
}
