import type { Person } from '#model/person'
import type { PlannedClass } from '#model/planned-class'
import type { Session } from '#model/session'
import { comersOf, laidByForm, whoTakesWhat } from '#core/class'
import type { PastClass } from '#core/class'
import type { Catalog } from '#core/session'
import type { Timeline } from '#core/timeline'
import { cautionBook } from '#library/cautions/book'
import { offerToAll } from '#words/forms'

interface Known {
  readonly people: readonly Person[]
  readonly past: readonly PastClass[]
  readonly catalog: Catalog
}

interface OfClass {
  readonly document: Session
  readonly timeline: Timeline
  readonly planned: PlannedClass
}
type Found = ReturnType<typeof formsAnew>

/** What was worked out last for these very blocks: several parts of a view ask for the same at once. */
const last = new WeakMap<Timeline['blocks'], { readonly of: readonly unknown[]; readonly found: Found }>()

// The cautions are many words: this is fetched where somebody comes of whom anything is known.
export function formsOf(now: OfClass, known: Known): Found {
  const of = [now.planned, known.people, known.catalog, known.past]
  const before = last.get(now.timeline.blocks)
  if (before?.of.every((one, at) => one === of[at])) return before.found
  const found = formsAnew(now, known)
  last.set(now.timeline.blocks, { of, found })
  return found
}

function formsAnew({ document, timeline, planned }: OfClass, { people, past, catalog }: Known) {
  const comers = comersOf(planned, people, past, document.level)
  const blocks = timeline.blocks.map(({ block }) => block)
  const through = whoTakesWhat(blocks, comers, planned.forms, { catalog, book: cautionBook })
  const offers = new Map(
    blocks.flatMap(({ block }) => {
      const offer = offerToAll(through.flatMap(({ takings }) => takings.filter(({ blockId }) => blockId === block.id)))
      return offer === '' ? [] : [[block.id, offer] as const]
    }),
  )
  return { through, laid: laidByForm(through, catalog, document), offers }
}
