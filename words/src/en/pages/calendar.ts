import type { CalendarOf } from '@weskopos/contract';

/** Words of calendars other programs read, and of the card they are made on. */
export const calendar = {
  name: 'Calendar',
  help: 'Any calendar program can read it by its address: what is planned for which day, and of a vehicle also what falls due. Who has the address can read it.',
  of: 'What it shows',
  ofWord: { workshop: 'All that is planned', person: 'What I planned', vehicle: 'This vehicle' } satisfies Record<
    CalendarOf,
    string
  >,
  make: 'Make the address',
  once: 'This is its address. It is shown this once.',
  code: 'The address as a code to scan',
  copy: 'Copy it',
  copied: 'Copied.',
  leave: 'Leave it',
  open: 'Calendars that are read',
  given: (what: string, by: string, day: string) => `${what}, given by ${by} on ${day}`,
  aboutVehicle: (fleetCode: string) => `Vehicle ${fleetCode}`,
  aboutPerson: (name: string) => `What ${name} planned`,
  end: 'End it',
  endOf: (what: string) => `End the calendar: ${what}`,
  titleOf: (about: string) => (about ? `Weskopos, ${about}` : 'Weskopos'),
  works: (fleetCode: string, what: string) => `${fleetCode}: ${what}`,
  due: (fleetCode: string, what: string) => `${fleetCode}: ${what} falls due`,
};
