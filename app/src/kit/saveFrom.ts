/** Has the browser save what an address answers, under the name the answer gives it. */
export function saveFrom(address: string): void {
  saveAs(address, '');
}

/** Has the browser save bytes that are here. */
export function saveBlob(blob: Blob, name: string): void {
  const address = URL.createObjectURL(blob);
  saveAs(address, name);
  // The browser has begun to read it by then.
  setTimeout(() => URL.revokeObjectURL(address), 60_000);
}

function saveAs(address: string, name: string): void {
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
}
