import type { Forecast, MeasureCode } from '@weskopos/core';
import { amount, kilometres, roughKilometres } from './show';

/** What a forecast says, as a range in words; says what it would need when there is too little. */
export function forecastSentence(forecast: Forecast, measure: MeasureCode, limit: number): string {
  switch (forecast.status) {
    case 'needs-readings':
      return `Needs ${forecast.want} readings of this part at different distances; has ${forecast.have}.`;
    case 'not-falling':
      return 'Does not wear measurably yet.';
    case 'reached':
      return `Is under ${amount(measure, limit)} now.`;
    case 'running-out': {
      const high = forecast.highKm === null ? 'with no upper end yet' : `at most ${roughKilometres(forecast.highKm)}`;
      return `Reaches ${amount(measure, limit)} in ${roughKilometres(forecast.midKm)} most likely; at least ${roughKilometres(forecast.lowKm)}, ${high} (8 in 10).`;
    }
  }
}

/** `0.61 mm per 1,000 km`, or null without a line. */
export function rateWords(forecast: Forecast, measure: MeasureCode): string | null {
  if (forecast.status === 'needs-readings') return null;
  return `${amount(measure, Math.max(0, -forecast.fit.slope * 1000)).replace(/^(\S+)/, (-forecast.fit.slope * 1000).toFixed(2))} per ${kilometres(1000)}`;
}
