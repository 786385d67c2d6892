type Values = Readonly<Record<string, unknown>>;

/** A text as it is prepared, and the names of what fills it, in order. */
interface Shape {
  sql: string;
  names: readonly string[];
}

const shapes = new Map<string, Shape>();
/** By connection, then text: the name under which the database keeps it. */
const kept = new WeakMap<object, Map<string, string>>();
let made = 0;

/**
 * What to send for a statement that is sent often: the database reads and plans it once for each
 * connection, which takes longer than most of them take to run. A value has one type wherever it stands.
 * @param values by the names in the text, plain or one plain one in a list; other names there, as in
 *   «HH24:MI», are its own
 * @returns statements of which the last gives the rows; `done` is called once they have been answered
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
  // A new name with each try: one that failed half-way may have left its own.
  const name = `often_${(made += 1)}`;
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
