/** What a person chose on this device, beside the records: undefined where nothing is noted, or the browser keeps nothing. */
export function readDevice(name: string): string | undefined {
  return kept((store) => store.getItem(name) ?? undefined);
}

/** Notes a choice on this device; where the browser keeps nothing it lasts as long as the page. */
export function writeDevice(name: string, value: string): void {
  kept((store) => store.setItem(name, value));
}

function kept<T>(act: (store: Storage) => T): T | undefined {
  try {
    return typeof localStorage === 'undefined' ? undefined : act(localStorage);
  } catch (error) {
    // Denied, or full.
    if (error instanceof DOMException) return undefined;
    throw error;
  }
}
