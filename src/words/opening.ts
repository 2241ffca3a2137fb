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

const words: Readonly<Record<OpeningTrouble, (file: string) => string>> = {
  'from the future': (file) =>
    `${file} was written by a newer Zovrin: update Zovrin, or give another folder with ZOVRIN_DATA.`,
  'not a database': (file) =>
    `${file} is no database of Zovrin: move it elsewhere, or give another folder with ZOVRIN_DATA.`,
  damaged: (file) => `${file} is damaged: move it elsewhere and put a copy of it that is whole in its place.`,
  'not writable': (file) =>
    `${file} cannot be opened for writing: see to it that its folder and the file are yours to write, or give another folder with ZOVRIN_DATA.`,
  'no folder': (file) =>
    `${file} cannot be made, since a file stands where its folder should: move that file, or give another folder with ZOVRIN_DATA.`,
  'disk full': (file) => `There is no room on the disk for ${file}: make room and start again.`,
  'in use': (file) => `${file} is in use by another program: wait until it is done, or stop it, and start again.`,
  'open elsewhere': (file) =>
    `${file} is open in another Zovrin on this machine: use that one, or stop it and start again.`,
  'disk failing': (file) =>
    `The disk did not take what was written to ${file}: see whether it is full or failing, and start again.`,
  'not brought up to date': (file) =>
    `${file} could not be brought up to date: a copy of it as it was lies beside it. Tell whoever looks after this Zovrin what stands below.`,
}

/** One sentence with the file and what to do; whatever the trouble is, the file was left as it stands. */
export const openingWords = (trouble: OpeningTrouble, file: string): string =>
  `${words[trouble](file)} Nothing was changed.`
