import type { Language, Letter, Life } from '@weskopos/contract';
import { entryOf, isSigned, type FindingPhoto, type PriceList, type Urgency, type Vehicle } from '@weskopos/core';
import type { Work } from '@weskopos/core/works/worksOf';
import { costOf } from '@weskopos/core/prices/priceList';
import { photosBefore } from './photosBefore';
import { costWords } from './priceWords';
import { reasonWords, taskWords, urgencyWords } from './workWords';
import { told, type Tongue } from './tongue';

/** Pictures of one work a keeper is shown. */
const MOST_PHOTOS = 4;
const MOST_LINE = 400;

const verdictOf = (works: readonly Pick<Work, 'urgency'>[]): keyof Tongue['worksTold']['verdict'] => {
  const any = (urgency: Urgency) => works.some((work) => work.urgency === urgency);
  if (any('not-driven')) return 'stops';
  if (any('before-next')) return 'fail';
  return any('by') || any('next-visit') ? 'advisory' : 'pass';
};

/** What a work comes to, in the language told in; empty where nothing of it has a price. */
function priceOf(work: Work, list: PriceList | null): string {
  const cost = list && costOf(work, list);
  return cost && list ? costWords(cost, list.currency) : '';
}

type Told = Letter['works'][number];
const captioned = ({ id, caption }: FindingPhoto) => ({ id, caption: caption.slice(0, 200) });

/** Photos of the findings a work grew from, as they were taken, and how the first of them looked before. */
function photosOf({ reasons }: Work, { visits }: Pick<Life, 'visits'>): Pick<Told, 'photos' | 'before'> {
  const found = reasons.flatMap((reason) => {
    if (reason.kind !== 'finding') return [];
    const visit = visits.find(({ inspection }) => inspection.id === reason.inspectionId);
    const here = visit?.findings.filter(({ point, place }) => point === reason.point && place === reason.place) ?? [];
    return here.filter(({ photos }) => photos.length > 0).map((finding) => ({ visit, finding }));
  });
  const [first] = found;
  const earlier = visits.filter(
    ({ inspection }) =>
      isSigned(inspection) && first?.visit !== undefined && inspection.startedAt < first.visit.inspection.startedAt,
  );
  const before = first ? photosBefore(first.finding, earlier) : null;
  const [then] = before?.photos ?? [];
  return {
    photos: found
      .flatMap(({ finding }) => finding.photos)
      .slice(0, MOST_PHOTOS)
      .map(captioned),
    before: before && then ? { ...captioned(then), at: before.at } : null,
  };
}

/** What a keeper is told of works, in plain words, most urgent first. @param from who asks; may be empty @param language in whose tongue it is called */
export function keeperLetter(
  works: readonly Work[],
  life: Pick<Life, 'visits'>,
  vehicle: Vehicle,
  from: string,
  language: Language = 'en',
  list: PriceList | null = null,
): Letter {
  const verdict = verdictOf(works);
  const named = [vehicle.fleetCode, `${vehicle.make} ${vehicle.model}`.trim(), vehicle.plate].filter(Boolean);
  return {
    language,
    vehicle: named.join(' · ').slice(0, 120),
    from,
    verdict: told.worksTold.verdict[verdict],
    stops: verdict === 'stops',
    works: works.map((work) => ({
      id: work.id,
      name: taskWords(work.task, vehicle).slice(0, 160),
      plain: entryOf<string>(told.worksTold.plain, work.task.code) ?? work.note.slice(0, MOST_LINE),
      why: reasonWords(work.reasons, vehicle, 'keeper').slice(0, MOST_LINE),
      when: urgencyWords(work.urgency, work.from, work.to),
      price: priceOf(work, list).slice(0, MOST_LINE),
      ...photosOf(work, life),
    })),
    cautions: [told.worksTold.caution],
  };
}
