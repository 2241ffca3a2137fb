import type { Session } from '#model/session'
import { balanceOf, checkSession, checkWithSetUps, leadable, locksLead } from '#core/checks'
import type { AnyNoticed, Asked, CheckInput, LyingOn } from '#core/checks'
import type { ClassNoticed } from '#core/class'
import type { Catalog } from '#core/session'
import type { Timeline } from '#core/timeline'
import { classFindingWords } from '#words/class-findings'
import { comfortWords } from '#words/comfort'
import { findingWords } from '#words/findings'
import type { FindingWords } from '#words/findings'
import type { LengthUnit } from '#words/lengths'
import { cautionBook } from '#library/cautions/book'

/** A finding as a teacher reads it, whether of the plan, of a set-up or of a class. */
export function wordsOf(finding: AnyNoticed | ClassNoticed, catalog: Catalog, unit: LengthUnit): FindingWords {
  if ('ofClass' in finding) return classFindingWords(finding)
  if (!('setUp' in finding)) return findingWords(finding, catalog)
  const { title, mend: reason } = comfortWords(finding.setUp, unit)
  return { title, reason, mend: 'Look at the set-up' }
}

// The cautions are many words, and so are the findings: this is fetched after the first look at a plan.
const inputOf = (session: Session, timeline: Timeline, catalog: Catalog): CheckInput => ({
  session,
  timeline,
  catalog,
  book: cautionBook,
})

/** With those of the set-ups, on a person and with the props of a place. */
export const allFindingsOf = (
  session: Session,
  timeline: Timeline,
  catalog: Catalog,
  on: LyingOn,
  names: readonly string[] = [],
) => checkWithSetUps({ ...inputOf(session, timeline, catalog), names }, on)
/** Those of the plan alone. */
export const findingsOf = (session: Session, timeline: Timeline, catalog: Catalog) =>
  checkSession(inputOf(session, timeline, catalog))
/** The session as it may be led; undefined where nothing can stand for what may not. */
export const leadableOf = (session: Session, timeline: Timeline, catalog: Catalog, asked: Asked) =>
  leadable({ ...inputOf(session, timeline, catalog), asked })
/** What stands wrong in a session and keeps nobody from leading it. */
export const mustsOf = (session: Session, timeline: Timeline, catalog: Catalog, on: LyingOn) =>
  allFindingsOf(session, timeline, catalog, on).filter((finding) => finding.grade === 'must' && !locksLead(finding))
export const figuresOf = (session: Session, timeline: Timeline, catalog: Catalog) =>
  balanceOf(inputOf(session, timeline, catalog))
