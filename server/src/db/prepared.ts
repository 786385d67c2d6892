type Values = Readonly<Record<string, unknown>>;

/** A statement with $1, $2 …, and the names of its parameters in that order. */
interface Shape {
  sql: string;
  names: readonly string[];
}

const shapes = new Map<string, Shape>();
/** Names of prepared statements, by connection and text. */
const kept = new WeakMap<object, Map<string, string>>();
let made = 0;

/**
 * What to send for a prepared statement: the database parses and plans it once per connection, which takes
 * longer than most of ours take to run. A value has the same type wherever it is used.
 * @param values scalars by name, or lists of one; other colons in the text, as in «HH24:MI», are left alone
 * @returns statements of which the last returns the rows; call `done` once they have been answered
 */
export function prepared(
  connection: object,
  text: string,
  values: Values,
  escape: (value: unknown) => string,
): { statements: string[]; done: () => void } {
  const { sql, names } = shapeOf(text, values);
  const given = names.map((name) => escape(single(values[name]))).join(', ');
  const known = kept.get(connection) ?? new Map<string, string>();
  kept.set(connection, known);
  const before = known.get(text);
  if (before !== undefined) {
    return { statements: [`EXECUTE ${before}(${given})`], done: () => undefined };
  }
  // A new name each time: a message that failed half-way may have left its own.
  const name = `prepared_${(made += 1)}`;
  return {
    statements: [`PREPARE ${name} AS ${sql}`, `EXECUTE ${name}(${given})`],
    done: () => known.set(text, name),
  };
}

function shapeOf(text: string, values: Values): Shape {
  const known = shapes.get(text);
  if (known) return known;
  const names: string[] = [];
  const sql = text.replace(/(?<!:):(\w+)/g, (whole, name: string) => {
    if (!(name in values)) return whole;
    if (!names.includes(name)) names.push(name);
    return `$${names.indexOf(name) + 1}`;
  });
  const shape = { sql, names };
  shapes.set(text, shape);
  return shape;
}

function single(value: unknown): unknown {
  if (!Array.isArray(value)) return value;
  if (value.length !== 1) throw new Error('a list of several cannot be prepared');
  return value[0];
}
