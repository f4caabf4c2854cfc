import { HOUSE_QUESTIONS, type HouseQuestion, type HouseRules, type NamedRules, entryOf } from '@weskopos/core';
import { Words } from '../../kit/Words';
import { words } from '../../words/en';
import { amount } from '../../words/show';
import { report as say } from '../../words/en/pages/report';

/** The schools that decide grades; the others only guide the hand. */
const GRADING: readonly HouseQuestion[] = [
  'nearLimit',
  'dampSeal',
  'treadAs',
  'liningAs',
  'fluidChange',
  'hardUse',
  'bestTyres',
];

const schoolWords = (house: HouseRules, question: HouseQuestion) =>
  `${words.house[question].toLowerCase()} ${entryOf<string>(words.school[question], house[question]) ?? house[question]}`;

/** By which limits and house rules a report was graded, and what it does not replace. */
export function RulesNote({ rules: { sheet, house, version } }: { readonly rules: NamedRules }) {
  const schools = HOUSE_QUESTIONS.filter((question) => GRADING.includes(question)).map((question) =>
    schoolWords(house, question),
  );
  return (
    <Words size="s" soft>
      {say.limitSheetRulesVersionHouse(
        sheet.code,
        sheet.version,
        version,
        schools.join('; '),
        amount('freeze', house.designLowC),
        words.caution.law,
      )}
    </Words>
  );
}
