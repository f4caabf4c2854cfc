/** What lives as long as the tab; undefined where nothing is kept, or the browser keeps nothing. What was written comes out. */
export function readTab<T>(name: string): T | undefined {
  const text = sessionOf()?.getItem(name);
  return text ? (JSON.parse(text) as T) : undefined;
}

/** Keeps something for as long as the tab lives. Where the browser keeps no more, nothing stale is left behind. */
export function writeTab(name: string, value: unknown): void {
  const tab = sessionOf();
  try {
    tab?.setItem(name, JSON.stringify(value));
  } catch (error) {
    if (!(error instanceof DOMException)) throw error;
    tab?.removeItem(name);
  }
}

function sessionOf(): Storage | null {
  try {
    return typeof sessionStorage === 'undefined' ? null : sessionStorage;
  } catch (error) {
    // Denied: what is kept lives as long as the page.
    if (error instanceof DOMException) return null;
    throw error;
  }
}
