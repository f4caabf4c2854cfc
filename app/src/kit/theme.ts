import { useColorScheme, useWindowDimensions } from 'react-native';
import type { Grade } from '@weskopos/core';
import { PAPER, PIT, WIDE, type Palette } from './tokens';

/** Light for glare, dark for night: follows the device. */
export function usePalette(): Palette {
  return useColorScheme() === 'dark' ? PIT : PAPER;
}

export function useIsWide(): boolean {
  return useWindowDimensions().width >= WIDE;
}

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
