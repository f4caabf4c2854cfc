import type { ChangeNote, LeakSpot } from '@weskopos/core';
import { Card } from '../../kit/Card';
import { usePalette } from '../../kit/theme';
import { Heading, Words } from '../../kit/Words';
import { words } from '@weskopos/words/en';
import { changeKey, changeSentence } from '@weskopos/words/changeSentence';
import { capital, day, type Seats } from '@weskopos/words/show';
import { life as say } from '@weskopos/words/en/pages/life';
import { common } from '@weskopos/words/en/pages/common';

interface ChangesCardProps {
  readonly changes: readonly ChangeNote[];
  readonly leaks: readonly LeakSpot[];
  readonly axles: Seats;
}

/** What goes on differently from before, and the places that are watched. */
export function ChangesCard({ changes, leaks, axles }: ChangesCardProps) {
  const palette = usePalette();
  if (changes.length === 0 && leaks.length === 0) return null;
  return (
    <Card>
      {changes.length > 0 ? <Heading level={2}>{common.notAsBefore}</Heading> : null}
      {changes.map((change) => (
        <Words key={changeKey(change)} colour={palette.ink}>
          {changeSentence(change, axles)}
        </Words>
      ))}
      {leaks.length > 0 ? <Heading level={2}>{say.watchedSpots}</Heading> : null}
      {leaks.map((spot) => (
        <Words key={spot.key} strong={spot.fate === 'worse'} soft={spot.fate === 'closed'}>
          {`${capital(words.fluid[spot.fluid])}${spot.place ? `, ${words.leakPlace[spot.place].toLowerCase()}` : ''}: ${spot.looks
            .slice(-4)
            .map(({ stage, at, wiped }) => `${words.stage[stage].toLowerCase()}${wiped ? ', wiped' : ''} (${day(at)})`)
            .join(' → ')}. ${words.spotFate[spot.fate]}`}
        </Words>
      ))}
    </Card>
  );
}
