import type { OwnThing } from '#model/own'
import type { Session } from '#model/session'
import { withOwn } from '#core/session'
import { nameBook } from '#formats/plan-text/names'
import type { NameBook } from '#formats/plan-text/names'
import { readPlan } from '#formats/plan-text/read-plan'
import type { Chosen, PlanRead } from '#formats/plan-text/read-plan'
import { planText } from '#formats/plan-text/write-plan'
import { shippedCatalog } from '#library/shipped'

export interface PasteQuestion {
  /** Counted up with every question; the answer has the same. */
  readonly asked: number
  readonly text: string
  readonly own: readonly OwnThing[]
  readonly wanted: Pick<Session, 'extent' | 'setting'>
  readonly chosen: readonly (readonly [line: string, chosen: Chosen])[]
}
export interface PasteAnswer {
  readonly asked: number
  readonly read: PlanRead
}

/** A session to be written as text. */
export interface WriteQuestion {
  readonly own: readonly OwnThing[]
  readonly session: Session
  /** With what only Zovrin reads, so that it pastes back equal. */
  readonly exactly: boolean
}

/** The names of a shelf are put in order once, as long as its own things are the same. */
let known: { readonly own: string; readonly on: { catalog: ReturnType<typeof withOwn>; book: NameBook } } | undefined

function shelfOf(own: readonly OwnThing[]) {
  const ofOwn = JSON.stringify(own)
  if (known?.own !== ofOwn) {
    const catalog = withOwn(shippedCatalog, own)
    known = { own: ofOwn, on: { catalog, book: nameBook(catalog) } }
  }
  return known.on
}

/** A pasted plan, read with the teacher's own things. */
export const answerPaste = ({ asked, text, own, wanted, chosen }: PasteQuestion): PasteAnswer => ({
  asked,
  read: readPlan(text, { ...shelfOf(own), wanted, chosen: new Map(chosen) }),
})

/** A session as text, in the names of the teacher's shelf. */
export const answerWrite = ({ own, session, exactly }: WriteQuestion): string =>
  planText(session, shelfOf(own), { exactly })
