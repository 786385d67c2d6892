/**
 * The pieces of what a keeper typed or dictated: lines, and what commas, semicolons, full stops and
 * «and» part within them. A comma inside a number is part of it.
 * @returns for each line that is not empty, the name before its colon if there is one, and its pieces
 */
export function linesOf(text: string): { name: string | null; pieces: string[] }[] {
  return text
    .split(/[\n;•]/)
    .map((line) => line.replace(/^[\s\-–*]+(?=\D)/, '').trim())
    .filter(Boolean)
    .map((line) => {
      const [, name = null, rest = ''] = /^([\p{L}][^:,\d]{0,40}):\s*(.+)$/u.exec(line) ?? [];
      return { name: name?.trim() ?? null, pieces: piecesOf(name === null ? line : rest) };
    });
}

const BETWEEN = /,(?!\d)|(?<!\d),|\.\s+|\.$|\s+(?:and|plus|with)\s+|\s[+&]\s/iu;

const piecesOf = (line: string): string[] =>
  line
    .split(BETWEEN)
    .map((piece) => piece.trim())
    .filter(Boolean);
