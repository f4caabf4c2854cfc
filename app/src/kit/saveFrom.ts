/** Has the browser save what an address answers, under the name the answer gives it. */
export function saveFrom(address: string): void {
  const link = document.createElement('a');
  link.href = address;
  link.download = '';
  link.click();
}
