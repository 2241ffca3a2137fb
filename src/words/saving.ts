import type { SaveStatus } from '#core/saving'

const words: Readonly<Record<SaveStatus, string>> = {
  saved: 'saved',
  waiting: 'saving',
  saving: 'saving',
  retrying: 'not saved: retrying',
  conflict: 'not saved: changed elsewhere',
  refused: 'not saved: refused',
}

interface SaveTroubles {
  /** The browser keeps what the server does not have yet. */
  readonly isKeptHere: boolean
  readonly isDiskFull: boolean
}

/** Where the last change is; what neither server nor browser keeps lives in the window alone. */
export function saveWords(status: SaveStatus, { isKeptHere, isDiskFull }: SaveTroubles): string {
  const where = status === 'retrying' && isDiskFull ? 'not saved: the disk is full' : words[status]
  return isKeptHere || status === 'saved' ? where : `${where}, keep this window open`
}
