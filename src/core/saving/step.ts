import { isSame } from '#core/session'
import type { Kept, Saving, SavingEffect, SavingEvent } from './saving.ts'

/** Saved 800 ms after the last edit, at most every 3 s while edits go on [decisions]. */
const quietMs = 800
const mostMs = 3000
/** Tried again after this where the server is away. */
const retryMs = 3000

type Stepped<D> = readonly [Saving<D>, readonly SavingEffect<D>[]]

/**
 * The saving of one document. At most one request is out; edits made meanwhile are saved after it; after any failure
 * the next edit tries again. In a conflict nothing is sent until the teacher has chosen.
 */
export function step<D>(now: Saving<D>, event: SavingEvent<D>): Stepped<D> {
  switch (event.type) {
    case 'edited':
      return edited(now, event)
    case 'timer':
      return now.status === 'waiting' || now.status === 'retrying' ? send(now) : [now, []]
    case 'closed':
      return now.status === 'saved' || now.status === 'conflict' ? [now, []] : send(now)
    case 'draft kept':
      return now.draftFailed ? [{ ...now, draftFailed: false }, []] : [now, []]
    case 'draft failed':
      return [{ ...now, draftFailed: true }, []]
    case 'keep mine':
      return keepMine(now)
    case 'take theirs':
      return takeTheirs(now)
    default:
      return now.out?.n === event.n ? answered(now, now.out, event) : [now, []]
  }
}

function edited<D>(now: Saving<D>, { document, atMs }: Extract<SavingEvent<D>, { type: 'edited' }>): Stepped<D> {
  const next = { ...now, document, firstEditMs: now.firstEditMs ?? atMs }
  const draft: SavingEffect<D> = { type: 'put draft', document, based: now.based }
  if (now.status === 'conflict' || now.out) return [next, [draft]]
  const afterMs = Math.max(0, Math.min(quietMs, next.firstEditMs + mostMs - atMs))
  return [{ ...next, status: 'waiting', refusal: null }, [draft, { type: 'wake', afterMs }]]
}

function send<D>(now: Saving<D>): Stepped<D> {
  if (now.out) return [now, []]
  const { document, based } = now
  const n = now.asked + 1
  const status = now.status === 'retrying' ? 'retrying' : 'saving'
  return [
    { ...now, status, asked: n, out: { n, asked: 'save', sent: document }, firstEditMs: null },
    [{ type: 'send', n, document, based, over: false }],
  ]
}

/** Mine is saved over theirs, which goes to history. */
function keepMine<D>(now: Saving<D>): Stepped<D> {
  if (now.out || !now.theirs) return [now, []]
  const { document, theirs } = now
  const n = now.asked + 1
  return [
    { ...now, asked: n, out: { n, asked: 'keep mine', sent: document }, firstEditMs: null },
    [{ type: 'send', n, document, based: theirs.version, over: true }],
  ]
}

/** Theirs is taken; mine goes to history first, so that nothing is lost. */
function takeTheirs<D>(now: Saving<D>): Stepped<D> {
  if (now.out || !now.theirs) return [now, []]
  const { document, based } = now
  const n = now.asked + 1
  return [
    { ...now, asked: n, out: { n, asked: 'set aside', sent: document } },
    [{ type: 'set aside', n, document, based }],
  ]
}

type Out<D> = NonNullable<Saving<D>['out']>
type Answer<D> = Extract<SavingEvent<D>, { readonly n: number }>

function answered<D>(before: Saving<D>, { asked, sent, n }: Out<D>, answer: Answer<D>): Stepped<D> {
  const now = { ...before, out: null, isDiskFull: answer.type === 'away' && answer.isDiskFull === true }
  switch (answer.type) {
    case 'saved':
      return kept(now, sent, answer.version)
    case 'stale':
      return [{ ...now, asked: n + 1, out: { n: n + 1, asked: 'theirs', sent } }, [{ type: 'fetch theirs', n: n + 1 }]]
    case 'theirs':
      return met(now, sent, answer.theirs)
    case 'away':
      // A choice between two versions waits for the teacher, all else is tried again.
      if (now.theirs || asked === 'set aside') return [{ ...now, status: 'conflict' }, []]
      return [{ ...now, status: 'retrying' }, [{ type: 'wake', afterMs: retryMs }]]
    case 'refused':
      return refused(now, sent, answer.refusal)
    case 'set aside':
      // What was edited after it went to history goes there too.
      if (now.document !== sent) return takeTheirs(now)
      return now.theirs ? taken(now, now.theirs) : [now, []]
  }
}

/** The server has what was sent; what was edited meanwhile is sent next. */
function kept<D>(now: Saving<D>, sent: D, version: number): Stepped<D> {
  const known: SavingEffect<D> = { type: 'know', kept: { document: sent, version } }
  const next = { ...now, saved: sent, based: version, theirs: null, refusal: null }
  if (now.document === sent) return [{ ...next, status: 'saved', firstEditMs: null }, [known, { type: 'drop draft' }]]
  const draft: SavingEffect<D> = { type: 'put draft', document: now.document, based: version }
  return [{ ...next, status: 'waiting' }, [known, draft, { type: 'wake', afterMs: quietMs }]]
}

/** Another window's version stands in the way; unless it is what was sent, whose reply was lost. */
function met<D>(now: Saving<D>, sent: D, theirs: Kept<D>): Stepped<D> {
  if (isSame(theirs.document, sent)) return kept(now, sent, theirs.version)
  return [{ ...now, status: 'conflict', theirs }, [{ type: 'know', kept: theirs }]]
}

function refused<D>(now: Saving<D>, sent: D, refusal: string): Stepped<D> {
  const next = { ...now, status: now.theirs ? 'conflict' : 'refused', refusal } as const
  // What was edited while it was out may be what mends it.
  if (now.theirs || now.document === sent) return [next, []]
  return [{ ...next, status: 'waiting' }, [{ type: 'wake', afterMs: quietMs }]]
}

function taken<D>(now: Saving<D>, theirs: Kept<D>): Stepped<D> {
  const next = { ...now, document: theirs.document, saved: theirs.document, based: theirs.version }
  return [
    { ...next, status: 'saved', theirs: null, refusal: null, firstEditMs: null },
    [{ type: 'know', kept: theirs }, { type: 'drop draft' }],
  ]
}
