import type { WorkCost } from '@weskopos/core';
import { told } from './tongue';

/** An amount of money as the language writes it: `€155.27`. @param currency ISO 4217 */
export function money(amount: number, currency: string): string {
  return amount.toLocaleString(told.said.locale, { style: 'currency', currency });
}

/** What a work comes to, with what the sum leaves out. */
export function costWords({ total, tax, unpriced, labourOpen }: WorkCost, currency: string): string {
  const { paper: say } = told;
  return [
    say.total(money(total, currency), money(tax, currency)),
    unpriced.length > 0 ? say.without(unpriced.join(', ')) : '',
    labourOpen ? say.withoutLabour : '',
  ]
    .filter(Boolean)
    .join(' ');
}
