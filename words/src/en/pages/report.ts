/** Words of the report's page; what the report itself says stands in `paper`. */
export const report = {
  amend: 'Amend',
  told: (to: string, language: string) => `For ${to.toLowerCase()}, in ${language} · PDF …`,
  toldTo: 'Told to',
  wording: { workshop: 'The workshop', keeper: 'The keeper' },
  language: 'Language',
  languageName: { en: 'English', de: 'Deutsch' },
  sheet: 'Paper',
  sheetName: { A4: 'A4', LETTER: 'Letter' },
  pdf: 'As PDF',
  making: (done: number, of: number) => (of === 0 ? 'Making the file…' : `Making the file: ${done} of ${of} parts…`),
};
