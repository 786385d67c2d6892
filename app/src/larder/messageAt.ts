/** The message of a form error by its path: «composition.protein». */
export function messageAt(errors: object, path: string): string | undefined {
  let node: unknown = errors;
  for (const key of path.split('.')) node = (node as Record<string, unknown> | undefined)?.[key];
  return (node as { message?: string } | undefined)?.message;
}
