import type { Session } from '#model/session'
import { balanceOf, checkSession } from '#core/checks'
import type { CheckInput } from '#core/checks'
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
export const figuresOf = (session: Session, timeline: Timeline, catalog: Catalog) =>
  balanceOf(inputOf(session, timeline, catalog))
