/** Words of the view that asks for a vehicle's past. */
export const history = {
  title: 'What is known of its past',
  open: (count: number) =>
    `${count} ${count === 1 ? 'job' : 'jobs'} nobody has said anything of. What is not known is kept as not known: it is never taken for done.`,
  allSaid: 'Something is said of every job.',
  paper: 'Told by',
  lastDone: (job: string) => `${job}: last done`,
  atMeter: (job: string, unit: string) => `${job}: at, ${unit}`,
  keep: 'Keep',
  keepOf: (job: string) => `Keep: ${job}`,
  notKnown: 'Not known',
  notKnownOf: (job: string) => `Not known: ${job}`,
  sayAnother: 'Say another time',
  sayAnotherOf: (job: string) => `Say another time: ${job}`,
  done: (day: string, more: string) => `Last done ${day}${more}.`,
  unknownSince: (day: string, paper: string) => `Not known, asked on ${day}${paper ? ` (${paper})` : ''}.`,
  toHistory: (count: number) => `What is known of its past (${count} open)`,
};
