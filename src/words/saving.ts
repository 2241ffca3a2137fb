import type { SaveStatus } from '#core/saving'

const words: Readonly<Record<SaveStatus, string>> = {
  saved: 'saved',
  waiting: 'saving',
  saving: 'saving',
  retrying: 'not saved: retrying',
  conflict: 'not saved: changed elsewhere',
  refused: 'not saved: refused',
}

/** Where the last change is; what neither server nor browser keeps lives in the window alone. */
export const saveWords = (status: SaveStatus, isKeptHere: boolean): string =>
  isKeptHere || status === 'saved' ? words[status] : `${words[status]}, keep this window open`
