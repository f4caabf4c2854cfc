import type { Page } from '@playwright/test';

/** Longest time from a touch or key to the paint that answers it, by the browser's own event timing, ms. */
export async function answered(page: Page, act: () => Promise<void>): Promise<number> {
  await page.evaluate(() => {
    const seen: number[] = [];
    Object.assign(window, { seen });
    new PerformanceObserver((list) => {
      // Nothing is waited for when a key is let go: its next paint is whatever comes.
      for (const entry of list.getEntries()) if (entry.name !== 'keyup') seen.push(entry.duration);
    }).observe({ type: 'event', durationThreshold: 16, buffered: false } as PerformanceObserverInit);
  });
  await act();
  // What a slow page paints late is told late.
  await page.waitForTimeout(1500);
  return page.evaluate(() => Math.max(8, ...(window as unknown as { seen: number[] }).seen));
}

/** The value below which so large a share of them lies. */
export const quantile = (values: readonly number[], share: number): number =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * share))] ?? NaN;
