import type { Href } from 'expo-router';

/** The page of one series of a vehicle. */
export const trendPage = (vehicleId: string, key: string): Href =>
  `/vehicle/${vehicleId}/trend/${encodeURIComponent(key)}`;
