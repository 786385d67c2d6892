import { z } from 'zod';

type Def = {
  type: string;
  shape?: Record<string, z.ZodType>;
  element?: z.ZodType;
  items?: z.ZodType[];
  rest?: z.ZodType | null;
  options?: z.ZodType[];
  discriminator?: string;
  innerType?: z.ZodType;
  defaultValue?: unknown;
  valueType?: z.ZodType;
  left?: z.ZodType;
  right?: z.ZodType;
  getter?: () => z.ZodType;
  out?: z.ZodType;
};

const made = new WeakMap<z.ZodType, z.ZodType>();

/**
 * The same shape without its limits. Limits guard what comes in; what was stored once can always be
 * read back, though it lies outside of what is accepted today, or was derived from what was accepted.
 */
export function readable<S extends z.ZodType>(schema: S): S {
  const known = made.get(schema);
  if (known) return known as S;
  const unlimited = withoutLimits(schema);
  made.set(schema, unlimited);
  return unlimited as S;
}

function withoutLimits(schema: z.ZodType): z.ZodType {
  const def = schema._zod.def as unknown as Def;
  const inner = () => readable(def.innerType!);
  switch (def.type) {
    case 'string':
      return z.string();
    case 'number':
      return z.number();
    case 'object':
      return z.object(
        Object.fromEntries(Object.entries(def.shape!).map(([key, of]) => [key, readable(of)])),
      );
    case 'array':
      return z.array(readable(def.element!));
    case 'tuple':
      return z.tuple(def.items!.map((item) => readable(item)) as [z.ZodType, ...z.ZodType[]]);
    case 'union':
      return def.discriminator
        ? z.discriminatedUnion(
            def.discriminator,
            def.options!.map((option) => readable(option)) as unknown as [z.ZodObject],
          )
        : z.union(def.options!.map((option) => readable(option)));
    case 'record':
      return z.record(z.string(), readable(def.valueType!));
    case 'nullable':
      return z.nullable(inner());
    case 'optional':
      return z.optional(inner());
    case 'default':
      return z._default(inner(), def.defaultValue);
    case 'readonly':
      return z.readonly(inner());
    case 'intersection':
      return z.intersection(readable(def.left!), readable(def.right!));
    case 'pipe':
      return readable(def.out!);
    case 'lazy':
      return z.lazy(() => readable(def.getter!()));
    default:
      // Literals, enumerations, flags and our own types have no limits beside what they are.
      return schema;
  }
}
