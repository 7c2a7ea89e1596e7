/** Hands a text to the browser, to be kept as a file. */
export function download(name: string, type: string, text: string): void {
  downloadBlob(name, new Blob([text], { type }));
}

export function downloadBlob(name: string, file: Blob): void {
  const address = URL.createObjectURL(file);
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  // Not at once: the browser may still be reading it.
  window.setTimeout(() => URL.revokeObjectURL(address), 10_000);
}

/** A title as the name of a file: letters and digits of any script, and hyphens. */
export function fileName<Ending extends string>(title: string, ending: Ending): `${string}.${Ending}` {
  const name = title
    .normalize('NFC')
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 60);
  return `${name || 'test'}.${ending}`;
}
