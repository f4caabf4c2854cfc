import { HOUSE_QUESTIONS, type NamedRules } from '@weskopos/core';
import { Words } from '../../kit/Words';
import { words } from '@weskopos/words/en';
import { amount, houseSchool } from '@weskopos/words/show';
import { report as say } from '@weskopos/words/en/pages/report';

/** By which limits and house rules a report was graded, and what it does not replace. */
export function RulesNote({ rules: { sheet, house, version } }: { readonly rules: NamedRules }) {
  const schools = HOUSE_QUESTIONS.map(
    (question) => `${words.house[question].toLowerCase()}: ${houseSchool(house, question)}`,
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
