import type { AnswerOf } from '@weskopos/contract';
import { useEffect, useState } from 'react';
import { askKept, call } from './workshop';

/** What the workshop asks, and the version of it; null while it is not known here. */
export type Prices = AnswerOf<'prices'>;

/** What the workshop asks, asked for now; as it was told last where it is not reached. Throws where it never was. */
export const askPrices = async (): Promise<Prices> => (await askKept('prices', () => call('prices'))).answer;

/** What the workshop asks, as it was told last where it is not reached. @param again another value asks once more */
export function usePrices(again = 0): Prices | null {
  const [prices, setPrices] = useState<Prices | null>(null);
  useEffect(() => {
    let left = false;
    askPrices().then(
      (answer) => left || setPrices(answer),
      // Never told here: no price is shown.
      () => undefined,
    );
    return () => {
      left = true;
    };
  }, [again]);
  return prices;
}
