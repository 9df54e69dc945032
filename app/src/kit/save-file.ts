/** Hands the user a file of this name. */
export function saveFile(name: string, content: BlobPart, type: string): void {
  const url = URL.createObjectURL(new Blob([content], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  // The download has begun by then.
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}
