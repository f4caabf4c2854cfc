import type { StateStorage } from 'zustand/middleware';

/** What lives as long as the tab. Where the browser keeps nothing, or no more, it lives as long as the page. */
export function tabStorage(): StateStorage {
  const page = new Map<string, string>();
  const tab = sessionOf();
  return {
    getItem: (name) => page.get(name) ?? tab?.getItem(name) ?? null,
    setItem: (name, value) => {
      page.set(name, value);
      try {
        tab?.setItem(name, value);
      } catch (error) {
        // Full: what is older than this page could not be trusted any more.
        if (!(error instanceof DOMException)) throw error;
        tab?.removeItem(name);
      }
    },
    removeItem: (name) => {
      page.delete(name);
      tab?.removeItem(name);
    },
  };
}

function sessionOf(): Storage | null {
  try {
    return typeof sessionStorage === 'undefined' ? null : sessionStorage;
  } catch (error) {
    if (error instanceof DOMException) return null;
    throw error;
  }
}
