import type { Grade } from '@weskopos/core';
import { createContext, useContext, useSyncExternalStore } from 'react';
import { useWindowDimensions } from 'react-native';
import { PAPER, PIT, WIDE, type Palette } from './tokens';

/** The palette in use, given once by the root: hundreds of marks and words read it. */
export const PaletteContext = createContext<Palette>(PAPER);

/** The colours of the theme the page is drawn in. */
export function usePalette(): Palette {
  return useContext(PaletteContext);
}

const DARK = '(prefers-color-scheme: dark)';

function onSchemeChange(changed: () => void): () => void {
  const query = window.matchMedia(DARK);
  query.addEventListener('change', changed);
  return () => query.removeEventListener('change', changed);
}

/** Light for glare, dark for night: follows the device, also while a page is open. */
export function useDevicePalette(): Palette {
  return useSyncExternalStore(onSchemeChange, () => (window.matchMedia(DARK).matches ? PIT : PAPER));
}

/** Whether the page has room for two columns. */
export function useIsWide(): boolean {
  return useWindowDimensions().width >= WIDE;
}

/** The colour of each grade in a palette. */
export function gradeColours(palette: Palette, grade: Grade): { readonly line: string; readonly wash: string } {
  switch (grade) {
    case 'pass':
      return { line: palette.pass, wash: palette.passWash };
    case 'advisory':
      return { line: palette.advisory, wash: palette.advisoryWash };
    case 'fail':
      return { line: palette.fail, wash: palette.failWash };
    default:
      return { line: palette.unseen, wash: palette.unseenWash };
  }
}
