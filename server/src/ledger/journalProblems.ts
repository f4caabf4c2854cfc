import path from 'node:path';
import type { Damage } from './segments';

/** The journal cannot be read on, and the database does not hold what is missing. */
export class UnreadableJournal extends Error {}

/** Lines that were whole once and are not any more, and that the database does not hold: not to be passed over in silence. */
export class JournalDamaged extends UnreadableJournal {
  constructor(readonly damage: Damage) {
    const { file, line, from, to, lines } = damage;
    super(
      `The journal ${path.basename(path.dirname(file))}/${path.basename(file)} is damaged at line ${line}: ` +
        `change ${from}${to === from ? '' : ` to ${to ?? `${from + lines - 1} or later`}`} cannot be read, and the database does not hold it. ` +
        `Everything before it is safe. Keep a copy of the data folder; then either restore a database that holds the change, ` +
        `or give it up with: npm run ledger -- set-aside`,
    );
  }
}

/** A change of a kind or version that only a newer program knows. */
export class UnknownChange extends UnreadableJournal {
  constructor(file: string, line: number, what: string) {
    super(
      `The journal ${path.basename(file)} holds at line ${line} a change this program does not know (${what}). ` +
        'It was written by a newer version; start that version.',
    );
  }
}
