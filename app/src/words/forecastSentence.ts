import type { Forecast, MeasureCode, MeterUnit } from '@weskopos/core';
import { amount, meterWords, roughMeter, unitOf } from './show';

/** What a forecast says, as a range in words; says what it would need when there is too little. */
export function forecastSentence(forecast: Forecast, measure: MeasureCode, limit: number, unit: MeterUnit): string {
  switch (forecast.status) {
    case 'needs-readings':
      return `Needs ${forecast.want} readings of this part at different distances; has ${forecast.have}.`;
    case 'not-falling':
      return 'Does not wear measurably yet.';
    case 'reached':
      return `Is under ${amount(measure, limit)} now.`;
    case 'running-out': {
      const high = forecast.high === null ? 'with no upper end yet' : `at most ${roughMeter(forecast.high, unit)}`;
      return `Reaches ${amount(measure, limit)} in ${roughMeter(forecast.mid, unit)} most likely; at least ${roughMeter(forecast.low, unit)}, ${high} (8 in 10).`;
    }
  }
}

/** `0.61 mm per 1,000 km`, or null without a line. */
export function rateWords(forecast: Forecast, measure: MeasureCode, unit: MeterUnit): string | null {
  if (forecast.status === 'needs-readings') return null;
  const per = unit === 'h' ? 100 : 1000;
  return `${(-forecast.fit.slope * per).toFixed(2)} ${unitOf(measure)} per ${meterWords(per, unit)}`;
}
