import type { Milliseconds } from '#core/units'

/** What of a class's record is still to be sent, and what the server has of it. */
export interface Outbox {
  readonly begun: boolean
  /** Events told so far, and how many of them the server keeps. */
  readonly told: number
  readonly kept: number
  /** Class time seen to run, and the one the server was told last. */
  readonly conductedMs: Milliseconds
  readonly sentMs: Milliseconds
  readonly isOver: boolean
  readonly ended: boolean
  readonly sending: 'begin' | 'append' | 'end' | null
  /**
   * What stood in the way last. Away, or there without room to write: tried again later. Refused: what was refused,
   * said as it is, and not tried again by itself.
   */
  readonly trouble: 'away' | 'disk full' | 'refused' | null
  /** Nothing is sent until it is woken. */
  readonly waits: boolean
}

/** Where the record stands, for whoever leads. */
export type OutboxState = 'saved' | 'saving' | 'retrying' | 'disk full' | 'refused'

export type OutboxEvent =
  | { readonly type: 'told'; readonly n: number }
  | { readonly type: 'conducted'; readonly atMs: Milliseconds }
  | { readonly type: 'over' }
  | { readonly type: 'answered'; readonly kept?: number }
  | { readonly type: 'away'; readonly isDiskFull?: boolean }
  /** `kept` where the refusal says how many events the server has, so that the others can be sent. */
  | { readonly type: 'refused'; readonly kept?: number }
  | { readonly type: 'woken' }
  /** Another class begins. */
  | { readonly type: 'anew' }
  /** This device took the class over: the server has all of it so far. */
  | { readonly type: 'takenOver'; readonly kept: number }
  /** Another device leads: the server has kept beside its record what was sent, and the record is not this one’s. */
  | { readonly type: 'elsewhere' }

export type OutboxEffect =
  | { readonly type: 'begin' }
  | { readonly type: 'append'; readonly after: number; readonly conductedMs: Milliseconds }
  | { readonly type: 'end' }
  | { readonly type: 'wake'; readonly afterMs: Milliseconds }

export const emptyOutbox: Outbox = {
  begun: false,
  told: 0,
  kept: 0,
  conductedMs: 0,
  sentMs: 0,
  isOver: false,
  ended: false,
  sending: null,
  trouble: null,
  waits: false,
}

/** Away, it is tried again after this. */
const retryMs = 3000
/** The class time is told at least this often while nothing happens. */
const beatMs = 5000

type Stepped = [Outbox, readonly OutboxEffect[]]

/**
 * The sending of a record: first what it is led from, once; then its events, as many as there are by then; last its
 * end. One request at a time, so that a slow server gets fewer and larger ones and never a queue.
 */
export function stepOutbox(before: Outbox, event: OutboxEvent): Stepped {
  switch (event.type) {
    case 'told':
      return next({ ...before, told: Math.max(before.told, event.n) })
    case 'conducted':
      return next({ ...before, conductedMs: Math.max(before.conductedMs, event.atMs) })
    case 'over':
      // The teacher asks: whatever stood in the way is tried once more, at once.
      return next({ ...before, isOver: true, trouble: null, waits: false })
    case 'answered':
      return next(answered(before, event.kept))
    case 'away':
      return [
        { ...before, sending: null, waits: true, trouble: event.isDiskFull === true ? 'disk full' : 'away' },
        [{ type: 'wake', afterMs: retryMs }],
      ]
    case 'refused':
      return refused(before, event.kept)
    case 'woken':
      return next({ ...before, waits: false })
    case 'anew':
      return [emptyOutbox, []]
    case 'takenOver':
      return [{ ...emptyOutbox, begun: true, told: event.kept, kept: event.kept }, []]
    case 'elsewhere':
      return [{ ...before, sending: null, trouble: null, ended: true }, []]
  }
}

function answered(before: Outbox, kept: number | undefined): Outbox {
  const { sending, sentMs } = before
  const after = { ...before, sending: null, trouble: null }
  if (sending === 'begin') return { ...after, begun: true }
  if (sending === 'end') return { ...after, ended: true }
  return { ...after, kept: kept ?? before.kept, sentMs }
}

/** Only what the server says it has can be mended by itself, once: the rest is sent from there. */
function refused(before: Outbox, kept: number | undefined): Stepped {
  if (kept === undefined || kept === before.kept || kept > before.told)
    return [{ ...before, sending: null, trouble: 'refused' }, []]
  return next({ ...before, sending: null, kept, trouble: null })
}

function next(outbox: Outbox): Stepped {
  const { sending, trouble, waits, begun, told, kept, conductedMs, sentMs, isOver, ended } = outbox
  if (sending || waits || trouble === 'refused' || ended) return [outbox, []]
  if (!begun) return [{ ...outbox, sending: 'begin' }, [{ type: 'begin' }]]
  if (told > kept || (!isOver && conductedMs - sentMs >= beatMs)) {
    return [{ ...outbox, sending: 'append', sentMs: conductedMs }, [{ type: 'append', after: kept, conductedMs }]]
  }
  return isOver ? [{ ...outbox, sending: 'end' }, [{ type: 'end' }]] : [outbox, []]
}

export function outboxState({ sending, trouble, told, kept, isOver, ended }: Outbox): OutboxState {
  if (trouble) return trouble === 'away' ? 'retrying' : trouble
  return !ended && (sending || told > kept || isOver) ? 'saving' : 'saved'
}
