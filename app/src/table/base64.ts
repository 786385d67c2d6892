/** Letters that are made of bytes at once: more of them overflow the call. */
const PIECE = 32_768;

export function toBase64(bytes: Uint8Array): string {
  let letters = '';
  for (let at = 0; at < bytes.length; at += PIECE) {
    letters += String.fromCharCode(...bytes.subarray(at, at + PIECE));
  }
  return btoa(letters);
}

export const fromBase64 = (base64: string): Uint8Array<ArrayBuffer> =>
  Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0));
