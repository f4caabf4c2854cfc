import { stationPoints } from './point';

const point = stationPoints('arrival');

/** Taken on the arrival page, not in the walk. */
export const ARRIVAL_POINTS = [
  point('arrival.meter', 'equipment'),
  point('arrival.complaint', 'equipment'),
  point('arrival.state', 'equipment'),
  point('arrival.ambient', 'equipment'),
  point('arrival.load', 'equipment'),
  point('arrival.photos', 'body'),
];
