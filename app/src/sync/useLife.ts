import type { Life, Visit } from '@weskopos/contract';
import { useMemo } from 'react';
import { selectLife, useWorkshop } from './workshop';

/** One vehicle's life with this device's waiting changes; undefined while it is not known. */
export function useLife(vehicleId: string): Life | undefined {
  const base = useWorkshop((state) => state.lives[vehicleId]);
  const pending = useWorkshop((state) => state.pending);
  const person = useWorkshop((state) => state.person);
  return useMemo(
    () => selectLife({ lives: base ? { [vehicleId]: base } : {}, pending, person }, vehicleId),
    [base, pending, person, vehicleId],
  );
}

/** One visit and the signed ones before it. */
export function useVisit(
  vehicleId: string,
  visitId: string,
): { readonly life: Life; readonly visit: Visit; readonly earlier: readonly Visit[] } | undefined {
  const life = useLife(vehicleId);
  return useMemo(() => {
    const visit = life?.visits.find(({ inspection }) => inspection.id === visitId);
    if (!life || !visit) return undefined;
    const earlier = life.visits.filter(
      ({ inspection }) => inspection.signedAt !== null && inspection.startedAt < visit.inspection.startedAt,
    );
    return { life, visit, earlier };
  }, [life, visitId]);
}
