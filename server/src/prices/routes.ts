import { ENDPOINTS } from '@weskopos/contract';
import type { Engine } from '../db/engine';
import { Refused } from '../http/problems';
import { takeOwn, type OwnNeeds } from '../ledger/takeOwn';
import { register, type Api } from '../people/register';
import { readPrices } from './readPrices';

/** What the workshop asks: told to all who work here, changed by a lead. */
export function priceRoutes(api: Api, needs: OwnNeeds & { readonly engine: Engine }): void {
  register(api, ENDPOINTS.prices, () => readPrices(needs.engine));
  register(api, ENDPOINTS.putPrices, async ({ body: { from, list }, person }) => {
    const version = from + 1;
    const { refusal } = await takeOwn(needs, { kind: 'prices.put', body: { version, list } }, person.id);
    if (refusal) throw new Refused(409, 'prices-changed', 'from');
    return { version, list };
  });
}
