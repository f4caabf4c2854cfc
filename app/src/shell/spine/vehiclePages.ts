import type { Href } from 'expo-router';
import { spine as say } from '@weskopos/words/en/pages/spine';
import type { SpineStop } from './places';

/** The vehicle an address is about; null for none, and for one that is only being added. */
export function vehicleOf(path: string): string | null {
  const id = /^\/vehicle\/([^/]+)/.exec(path)?.[1];
  return id === undefined || id === 'new' ? null : id;
}

/** The walk itself, with keys of its own. */
export const isWalk = (path: string): boolean => /^\/vehicle\/[^/]+\/visit\/[^/]+$/.test(path);

/** The walk, and the gate before it, have a spine of their own on a phone: the stops of the walk. */
export const hasOwnSpine = (path: string): boolean => /^\/vehicle\/[^/]+\/visit\/[^/]+(\/gate)?$/.test(path);

/**
 * The pages of a vehicle, in the order one asks: may it be driven, how far is the visit, what wears, what was, what it is.
 *
 * @param openVisit id of the visit that is half done; null for none
 */
export function vehiclePages(vehicleId: string, openVisit: string | null): readonly SpineStop[] {
  const at = `/vehicle/${vehicleId}`;
  const page = (id: keyof typeof say.page, path: string, letter: string, holds: string) => ({
    id,
    word: say.page[id],
    href: `${at}${path}` as Href,
    letter,
    holds: new RegExp(`^${at}${holds}`),
  });
  return [
    page('now', '', 'n', openVisit ? '$' : '(/arrive)?$'),
    ...(openVisit
      ? [page('visit', `/visit/${openVisit}`, 'v', '/(arrive|visit/[^/]+(/(gate|ends|overview|arrival))?)$')]
      : []),
    page('works', '/works', 'k', '/(works|card)$'),
    page('wear', '/wear', 'w', '/(wear|trend/)'),
    page('life', '/life', 'l', '/(life|compare|history|visit/[^/]+/(report|amend|sticker))'),
    page('spec', '/spec', 's', '/(spec|edit)'),
  ];
}
