/**
 * The inverse of a small square matrix, by elimination with pivots.
 * @returns null where it has none that numbers could tell
 */
export function invert(matrix: readonly (readonly number[])[]): number[][] | null {
  const size = matrix.length;
  const rows = matrix.map((row, at) => [
    ...row,
    ...row.map((_, column) => (column === at ? 1 : 0)),
  ]);
  for (let column = 0; column < size; column += 1) {
    let pivot = column;
    for (let row = column + 1; row < size; row += 1) {
      if (Math.abs(rows[row]![column]!) > Math.abs(rows[pivot]![column]!)) pivot = row;
    }
    [rows[column], rows[pivot]] = [rows[pivot]!, rows[column]!];
    const by = rows[column]![column]!;
    if (!(Math.abs(by) > Number.MIN_VALUE)) return null;
    rows[column] = rows[column]!.map((value) => value / by);
    for (let row = 0; row < size; row += 1) {
      if (row === column) continue;
      const times = rows[row]![column]!;
      rows[row] = rows[row]!.map((value, at) => value - times * rows[column]![at]!);
    }
  }
  const inverse = rows.map((row) => row.slice(size));
  return inverse.every((row) => row.every(Number.isFinite)) ? inverse : null;
}
