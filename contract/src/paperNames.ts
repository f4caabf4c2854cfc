/** What is told on paper and to a keeper can be told in these. */
export const LANGUAGES = ['en', 'de'] as const;
export type Language = (typeof LANGUAGES)[number];

/** To whom a report speaks: to people of the trade, or to who owns or drives the vehicle. */
export const WORDINGS = ['workshop', 'keeper'] as const;
export type Wording = (typeof WORDINGS)[number];

/** Paper a report is printed on. */
export const SHEET_SIZES = ['A4', 'LETTER'] as const;
export type SheetSize = (typeof SHEET_SIZES)[number];

/** A report as PDF. */
export const PDF_PATH = '/api/inspections/:id/report.pdf';
