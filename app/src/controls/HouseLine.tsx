import type { HouseQuestion } from '@weskopos/core';
import { Words } from '../kit/Words';
import { words } from '@weskopos/words/en';
import { common } from '@weskopos/words/en/pages/common';
import { houseRules, houseSchool } from '@weskopos/words/show';

/** Which school the house follows in one question, in one quiet line where it takes effect. */
export function HouseLine({ question }: { readonly question: HouseQuestion }) {
  return (
    <Words size="s" soft>
      {common.houseRule(words.house[question].toLowerCase(), houseSchool(houseRules(), question))}
    </Words>
  );
}
