import type { YardEntry } from '@weskopos/contract';
import { useMemo } from 'react';
import { yardWith } from '../../sync/foldLife';
import { useBriefs } from '../../sync/useLife';
import { useWorkshop } from '../../sync/workshop';

/** The yard as this device knows it, waiting changes included. */
export function useYard(): YardEntry[] {
  const entries = useWorkshop((state) => state.entries);
  const briefs = useBriefs();
  return useMemo(() => yardWith(entries ?? [], briefs), [entries, briefs]);
}
