import type { Session } from '#model/session'
import { balanceOf, checkSession, leadable, locksLead } from '#core/checks'
import type { Asked, CheckInput } from '#core/checks'
import type { Catalog } from '#core/session'
import type { Timeline } from '#core/timeline'
import { cautionBook } from '#library/cautions/book'

export { findingWords } from '#words/findings'

// The cautions are many words, and so are the findings: this is fetched after the first look at a plan.
const inputOf = (session: Session, timeline: Timeline, catalog: Catalog): CheckInput => ({
  session,
  timeline,
  catalog,
  book: cautionBook,
})

export const findingsOf = (session: Session, timeline: Timeline, catalog: Catalog) =>
  checkSession(inputOf(session, timeline, catalog))
/** The session as it may be led; undefined where nothing can stand for what may not. */
export const leadableOf = (session: Session, timeline: Timeline, catalog: Catalog, asked: Asked) =>
  leadable({ ...inputOf(session, timeline, catalog), asked })
/** What stands wrong in a session and keeps nobody from leading it. */
export const mustsOf = (session: Session, timeline: Timeline, catalog: Catalog) =>
  findingsOf(session, timeline, catalog).filter((finding) => finding.grade === 'must' && !locksLead(finding))
export const figuresOf = (session: Session, timeline: Timeline, catalog: Catalog) =>
  balanceOf(inputOf(session, timeline, catalog))
