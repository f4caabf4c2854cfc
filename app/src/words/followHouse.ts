import { newestRulebook } from '@weskopos/core';
import { selectRulebooks, useWorkshop } from '../sync/workshop';
import { speakByHouse } from '@weskopos/words/show';

/** Figures and places are told by the newest rules, those waiting here included. @returns how to stop following */
export function followHouse(): () => void {
  const speak = () => speakByHouse(newestRulebook(selectRulebooks(useWorkshop.getState())).house);
  speak();
  return useWorkshop.subscribe((state, before) => {
    if (state.rulebooks !== before.rulebooks || state.pending !== before.pending) speak();
  });
}
