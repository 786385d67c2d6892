import type { Why } from './why';

/** The inputs at the bottom of a derivation, each once, in the order they were first used. */
export function leaves(why: Why): Why[] {
  const found = new Map<string, Why>();
  const visit = (node: Why) => {
    if (node.from.length === 0) {
      const key = `${node.label}|${node.value}|${node.unit}`;
      if (!found.has(key)) found.set(key, node);
    }
    node.from.forEach(visit);
  };
  visit(why);
  return [...found.values()];
}
