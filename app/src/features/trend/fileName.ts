import type { Vehicle } from '@weskopos/core';

/** What a drawing of a vehicle is called as a file. */
export const fileName = ({ fleetCode }: Pick<Vehicle, 'fleetCode'>, title: string): string =>
  `${fleetCode} ${title}`.replace(/[^\p{L}\d .,-]+/gu, ' ').trim();
