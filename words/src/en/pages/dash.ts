/** Words of what the dash asks for beside what history says. */
export const dash = {
  title: 'What the dash asks for',
  help: 'Type the service code as it stands there. It is read by this vehicle’s own table on its spec sheet, and what was done is told beside it: a dash knows nothing of what was done without it being set back.',
  code: 'Service code',
  means: (code: string, means: string) => `${code}: ${means}`,
  notKnown: (letters: string) => `Not in the table: ${letters}. Look in the maker’s book.`,
  done: (job: string, day: string, ago: string) => `${job}: done ${day}${ago ? `, ${ago} ago` : ''}`,
  unknown: (job: string) => `${job}: last time not on record`,
  add: (job: string) => `Write down: ${job}`,
  written: (job: string) => `${job} is written down.`,
  leave: 'Leave it',
};
