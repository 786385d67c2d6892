/** Hand something to the browser as a file to keep. */
export function saveFile(
  name: string,
  content: string | Uint8Array<ArrayBuffer>,
  type = 'text/csv;charset=utf-8',
): void {
  const address = URL.createObjectURL(new Blob([content], { type }));
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  URL.revokeObjectURL(address);
}
