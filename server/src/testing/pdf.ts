/** Pages of a PDF as we write it, with their width and height in points. */
export function pagesIn(base64: string): { width: number; height: number }[] {
  const text = Buffer.from(base64, 'base64').toString('latin1');
  if (!text.startsWith('%PDF-')) throw new Error('this is no PDF');
  return [...text.matchAll(/\/Type \/Page\b[^]*?\/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/g)].map(
    ([, width, height]) => ({ width: Number(width), height: Number(height) }),
  );
}
