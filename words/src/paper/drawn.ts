import { isWrong, worstFirst, type GradedPoint } from '@weskopos/core';
import { DECKS, isOnDeck, type DeckName } from '@weskopos/core/decks/deckNames';
import { drawDeck, hasFigures } from '@weskopos/core/decks/drawDeck';
import { figure, inSentence, pointShort, sideWords, unitOf } from '../show';
import { told } from '../tongue';
import type { PaperBlock, PaperDeck } from './paper';
import type { Report } from './reportGiven';

/** Names under a drawing; the rest is counted. */
const MOST_NAMED = 5;

/** The vehicle on its three floors, with what is not well named, on the drawing or below it. */
export function decksOf(report: Report): PaperBlock {
  return { kind: 'decks', title: told.paper.decks, decks: DECKS.map((deck, at) => deckOf(deck, at === 0, report)) };
}

/** @param isFirst which way the drawings lie is said once */
function deckOf(deck: DeckName, isFirst: boolean, { vehicle, verdict }: Report): PaperDeck {
  const { paper } = told;
  const here = verdict.points.filter((point) => isOnDeck(deck, point));
  const name = ({ point, place }: GradedPoint) => pointShort(point, place, vehicle);
  const drawing = drawDeck(deck, vehicle, here, { name, figure });
  const unseen = here.filter(({ result }) => result.grade === 'not-seen').length;
  const left = drawing.unnamed.length - MOST_NAMED;
  const title = told.deck[deck] ?? deck;
  return {
    deck,
    drawing,
    name: [
      title,
      isFirst ? paper.sides(sideWords('L', vehicle), sideWords('R', vehicle)) : '',
      deck === 'wheels' && hasFigures(here) ? paper.leastFigures(unitOf('lining')) : '',
    ]
      .filter(Boolean)
      .join(' · '),
    note: [
      drawing.unnamed.slice(0, MOST_NAMED).map(name).join(', '),
      left > 0 ? paper.andMore(left) : '',
      unseen > 0 ? paper.unseen(unseen) : '',
    ]
      .filter(Boolean)
      .join(' '),
    alt: `${title}: ${altOf(here, name)}`,
  };
}

/** A drawing in words, for who does not see it. */
function altOf(here: readonly GradedPoint[], name: (point: GradedPoint) => string): string {
  const wrong = worstFirst(here).filter(({ result }) => isWrong(result.grade));
  if (wrong.length > 0)
    return wrong.map((point) => `${name(point)} ${inSentence(told.grade[point.result.grade])}`).join(', ');
  const seen = here.filter(({ result }) => result.grade !== 'not-seen').length;
  // What nobody looked at is no pass.
  return seen === 0 ? told.paper.nobodyLooked : told.paper.allWell(seen);
}

/** How the vehicle came: photos of its corners. */
export function cornersOf({ inspection: { corners } }: Report): PaperBlock[] {
  const { corner: of, asItCame: title } = told.paper;
  if (corners.length === 0) return [];
  return [{ kind: 'photos', title, photos: corners.map((id) => ({ id, caption: '', marks: [], of, label: of })) }];
}
