import type { OutboxState } from '#core/lead'
import type { SaveStatus } from '#core/saving'

const words: Readonly<Record<SaveStatus, string>> = {
  saved: 'saved',
  waiting: 'saving',
  saving: 'saving',
  retrying: 'not saved: retrying',
  conflict: 'not saved: changed elsewhere',
  refused: 'not saved: refused',
}

const diskFull = 'not saved: the disk is full'

interface SaveTroubles {
  /** The browser keeps what the server does not have yet. */
  readonly isKeptHere: boolean
  readonly isDiskFull: boolean
}

/** Where the last change is; what neither server nor browser keeps lives in the window alone. */
export function saveWords(status: SaveStatus, { isKeptHere, isDiskFull }: SaveTroubles): string {
  const where = status === 'retrying' && isDiskFull ? diskFull : words[status]
  return isKeptHere || status === 'saved' ? where : `${where}, keep this window open`
}

/** What of a class's record the server does not have, in a line while it is led; nothing where all goes well. */
export function recordWords(state: OutboxState, refusal: string): string {
  switch (state) {
    case 'retrying':
      return words.retrying
    case 'disk full':
      return diskFull
    case 'refused':
      return `kept in this browser only: ${refusal}`
    case 'saved':
    case 'saving':
      return ''
  }
}

/** The same when the class is over, in a sentence. */
export function recordAtEndWords(state: OutboxState, refusal: string): string {
  switch (state) {
    case 'retrying':
      return 'Not saved: Zovrin’s server does not answer. The record is kept in this browser; it is tried again.'
    case 'disk full':
      return 'Not saved: the disk is full. The record is kept in this browser; make room, and it is saved by itself.'
    case 'refused':
      return `The record is kept in this browser and was not taken by the server: ${refusal}`
    case 'saved':
    case 'saving':
      return ''
  }
}
