/** Why a database does not open. */
export type OpeningTrouble =
  | 'from the future'
  | 'not a database'
  | 'damaged'
  | 'not writable'
  | 'no folder'
  | 'disk full'
  | 'in use'
  | 'open elsewhere'
  | 'disk failing'
  | 'not brought up to date'
  | 'not reached'
  | 'not let in'
  | 'no such database'

/** A database of a server is named by its address, without what it is entered with. */
const isOfServer = (where: string): boolean => where.startsWith('postgres://')
/** Where another one would be looked for. */
const another = (where: string): string =>
  isOfServer(where) ? 'give another database with ZOVRIN_DATABASE_URL' : 'give another folder with ZOVRIN_DATA'

const words: Readonly<Record<OpeningTrouble, (where: string) => string>> = {
  'from the future': (where) => `${where} was written by a newer Zovrin: update Zovrin, or ${another(where)}.`,
  'not a database': (where) => `${where} is no database of Zovrin: move it elsewhere, or ${another(where)}.`,
  damaged: (where) => `${where} is damaged: move it elsewhere and put a copy of it that is whole in its place.`,
  'not writable': (where) =>
    isOfServer(where)
      ? `Whoever Zovrin enters ${where} as may not make tables there: let them, or ${another(where)}.`
      : `${where} cannot be opened for writing: see to it that its folder and the file are yours to write, or ${another(where)}.`,
  'no folder': (where) =>
    `${where} cannot be made, since a file stands where its folder should: move that file, or ${another(where)}.`,
  'disk full': (where) => `There is no room on the disk for ${where}: make room and start again.`,
  'in use': (where) => `${where} is in use by another program: wait until it is done, or stop it, and start again.`,
  'open elsewhere': (where) =>
    `${where} is open in another Zovrin on this machine: use that one, or stop it and start again.`,
  'disk failing': (where) =>
    `The disk did not take what was written to ${where}: see whether it is full or failing, and start again.`,
  'not brought up to date': (where) =>
    `${where} could not be brought up to date: ${isOfServer(where) ? 'it is as it was' : 'a copy of it as it was lies beside it'}. Tell whoever looks after this Zovrin what stands below.`,
  'not reached': (where) => `No PostgreSQL server answers at ${where}: start it, or ${another(where)}.`,
  'not let in': (where) =>
    `The PostgreSQL server at ${where} does not let Zovrin in: see to the name and the password in ZOVRIN_DATABASE_URL.`,
  'no such database': (where) => `There is no database ${where}: make it with createdb, or ${another(where)}.`,
}

/** One sentence with the file or the address, and what to do; whatever the trouble is, it was left as it stands. */
export const openingWords = (trouble: OpeningTrouble, where: string): string =>
  `${words[trouble](where)} Nothing was changed.`
