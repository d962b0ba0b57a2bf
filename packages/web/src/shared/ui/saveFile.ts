/** Hands a file to the reader, as a download under its name. */
export function saveFile(content: Blob, name: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(content);
  link.download = name;
  link.click();
  // The browser reads it a moment later.
  setTimeout(() => URL.revokeObjectURL(link.href), 60_000);
}
