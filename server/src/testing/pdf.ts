import { inflateSync } from 'node:zlib';

/** Pages of a PDF as we write it, with their width and height in points. */
export function pagesIn(base64: string): { width: number; height: number }[] {
  const text = Buffer.from(base64, 'base64').toString('latin1');
  if (!text.startsWith('%PDF-')) throw new Error('this is no PDF');
  return [...text.matchAll(/\/Type \/Page\b[^]*?\/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/g)].map(
    ([, width, height]) => ({ width: Number(width), height: Number(height) }),
  );
}

/** Ends of the lines that are drawn on its pages, in points. */
export function linesIn(pdf: Buffer): { x: number; y: number }[] {
  const text = pdf.toString('latin1');
  return [...text.matchAll(/stream\r?\n([^]*?)\r?\nendstream/g)].flatMap(([, packed]) => {
    const drawn = unpacked(Buffer.from(packed!, 'latin1'));
    return [...drawn.matchAll(/([\d.]+) ([\d.]+) [ml]\b/g)].map(([, x, y]) => ({
      x: Number(x),
      y: Number(y),
    }));
  });
}

function unpacked(bytes: Buffer): string {
  try {
    return inflateSync(bytes).toString('latin1');
  } catch {
    // A font or a picture.
    return '';
  }
}
