/** Hands a file to the browser's downloads. */
export function download(blob: Blob, name: string): void {
  const link = window.document.createElement('a');
  link.href = URL.createObjectURL(blob);
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 60_000);
}
