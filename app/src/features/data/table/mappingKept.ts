import type { SheetLook } from '@weskopos/contract';
import { readDevice, writeDevice } from '../../../sync/deviceNotes';

type Reading = SheetLook['guess'];
/** What is kept of how a table was read: answers belong to its rows. */
type Kept = Pick<Reading, 'kind' | 'style' | 'columns' | 'fixed'>;

const nameOf = ({ headings }: Pick<SheetLook, 'headings'>) => `table ${headings.join('|').toLowerCase().slice(0, 500)}`;

/** How a table with these headings was read last time on this device; undefined where none was. */
export function keptMapping(look: SheetLook): Kept | undefined {
  const noted = readDevice(nameOf(look));
  if (noted === undefined) return undefined;
  try {
    const kept = JSON.parse(noted) as Kept;
    // An older app may have known other columns.
    return Array.isArray(kept.columns) && kept.columns.length === look.guess.columns.length ? kept : undefined;
  } catch {
    return undefined;
  }
}

export function keepMapping(look: SheetLook, { kind, style, columns, fixed }: Reading): void {
  writeDevice(nameOf(look), JSON.stringify({ kind, style, columns, fixed } satisfies Kept));
}
