/** Words of the views in charts. */
export const charts = {
  runsOut: 'Runs out',
  nextVisit: 'next visit',
  runOutCalendar: 'Run-out calendar',
  nothingRunsOutWithinMonths: (months: number) => `Nothing runs out within ${months} months.`,
  runOutCalendarSpoken: (spoken: string) => `Run-out calendar: ${spoken}`,
  barsHold8Of10: 'Bars hold 8 of 10; the mark is the most likely day. A red mark is due now.',
};
