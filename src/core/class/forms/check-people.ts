import type { Gate } from '#model/caution'
import type { Seconds } from '#core/units'
import { findAll } from '#core/finding'
import type { RuleOf } from '#core/finding'
import type { ChangeTable, Resolved } from '#core/session'
import type { Timeline } from '#core/timeline'
import { isMinor } from './comers.ts'
import { askAgain } from './ask-again.ts'
import { isAsPlanned } from './as-planned.ts'
import type { LaidByForm } from './laid-by-form.ts'
import { ownChanges } from './own-changes.ts'
import { holdsBreath, isPastStage } from './past-stage.ts'
import type { PersonThrough, Taking } from './who-takes-what.ts'

/** What is found of the people of a class, by code: numbers alone, never who. */
export interface PeopleFacts {
  NEEDS_LOOK: { people: number }
  MUST_NOT: { people: number }
  NOTHING_LEFT: { people: number }
  GATE_OPEN: { people: number; gate: Exclude<Gate, 'none'> }
  ASK_AGAIN: { people: number }
  CEILING_OF_PERSON: { people: number; leastS: Seconds }
  MIXED_FORMS: { forms: number; people: number }
  /** A breath is held with somebody whom it is too early for: by their stage of the ladder, or by their age [settled B28]. */
  HOLD_PAST_STAGE: { people: number; why: 'stage' | 'minor' }
  /** A change that takes some longer than the class has, from their form or into it. */
  CHANGE_OF_PERSON: { people: number; mostS: Seconds; hasS: Seconds }
}
export type PeopleCode = keyof PeopleFacts

export interface PeopleLook {
  readonly through: readonly PersonThrough[]
  /** The day of the class. */
  readonly day: string
  readonly timeline: Pick<Timeline, 'blocks'>
  /** What lies at the mats of those in another form. */
  readonly forms: readonly LaidByForm[]
  readonly changes: ChangeTable
}
interface Where {
  readonly place: { readonly blockId?: string }
}
type PeopleRule = RuleOf<PeopleFacts, PeopleLook, Where>

/** More forms than this at once are more than one teacher can look at [issue of people]. */
const mostForms = 4

/** The takings of each block, in the order of the session. */
function byBlock(through: readonly PersonThrough[]): ReadonlyMap<string, readonly Taking[]> {
  const blocks = new Map<string, Taking[]>()
  for (const { takings } of through)
    for (const taking of takings) blocks.set(taking.blockId, [...(blocks.get(taking.blockId) ?? []), taking])
  return blocks
}

/** A finding for every block in which some are meant, with how many. */
const inBlocks = (through: readonly PersonThrough[], isMeant: (taking: Taking) => boolean) =>
  [...byBlock(through)].flatMap(([blockId, takings]) => {
    const people = takings.filter(isMeant).length
    return people > 0 ? [{ facts: { people }, place: { blockId } }] : []
  })

const isLeft = ({ does }: Taking): boolean => does !== undefined
/** Who does not practise at all is counted once, by what stops them. */
const isStopped = ({ planned }: Taking): boolean => planned.verdict.gated.gate === 'stop'
const isOf = (grade: 'avoid' | 'modify') => (taking: Taking) =>
  isLeft(taking) && !taking.chosen && taking.planned.verdict.grade === grade

const rules: readonly PeopleRule[] = [
  {
    code: 'NOTHING_LEFT',
    grade: 'must',
    find: ({ through }) => inBlocks(through, (taking) => !isLeft(taking) && !isStopped(taking)),
  },
  { code: 'MUST_NOT', grade: 'must', find: ({ through }) => inBlocks(through, isOf('avoid')) },
  { code: 'NEEDS_LOOK', grade: 'look', find: ({ through }) => inBlocks(through, isOf('modify')) },
  {
    code: 'GATE_OPEN',
    grade: 'look',
    find: ({ through }) =>
      (['stop', 'clear', 'ask'] as const).flatMap((gate) => {
        const people = through.filter(({ gated }) => gated.gate === gate).length
        return people > 0 ? [{ facts: { people, gate }, place: {} }] : []
      }),
  },
  {
    code: 'ASK_AGAIN',
    grade: 'tip',
    find({ through, day }) {
      const people = through.filter(({ comer }) => comer.isNamed && askAgain(comer.person, day).length > 0).length
      return people > 0 && { facts: { people }, place: {} }
    },
  },
  {
    code: 'CEILING_OF_PERSON',
    grade: 'tip',
    find: ({ through }) =>
      [...byBlock(through)].flatMap(([blockId, takings]) => {
        const held = takings.flatMap(({ shorter }) => shorter[0]?.heldS ?? [])
        return held.length > 0
          ? [{ facts: { people: held.length, leastS: Math.min(...held) }, place: { blockId } }]
          : []
      }),
  },
  {
    code: 'MIXED_FORMS',
    grade: 'look',
    find: ({ through }) =>
      [...byBlock(through)].flatMap(([blockId, takings]) => {
        const forms = new Set(takings.flatMap(({ does }) => (does ? [JSON.stringify(does.takes)] : []))).size
        const people = takings.filter((taking) => !isAsPlanned(taking)).length
        return forms > mostForms ? [{ facts: { forms, people }, place: { blockId } }] : []
      }),
  },
  { code: 'HOLD_PAST_STAGE', grade: 'must', find: heldTooEarly },
  { code: 'CHANGE_OF_PERSON', grade: 'tip', find: changesTooLong },
]

/** Whom a held breath in a block is too early for: whoever counts past their stage, and everybody with a minor among them. */
function heldTooEarly({ through, timeline }: PeopleLook) {
  const minors = through.filter(({ comer }) => isMinor(comer)).length
  return timeline.blocks.flatMap(({ block }) => {
    const blockId = block.block.id
    const isMinors = minors > 0 && holdsBreath(block)
    const people = isMinors ? minors : through.filter((one) => countsPastStage(one, block)).length
    const why = isMinors ? ('minor' as const) : ('stage' as const)
    return people > 0 ? [{ facts: { people, why }, place: { blockId } }] : []
  })
}

/** Whether somebody counts along in a block that is past their stage. */
function countsPastStage({ comer, takings }: PersonThrough, block: Resolved): boolean {
  const does = takings.find(({ blockId }) => blockId === block.block.id)?.does
  if (block.kind === 'breath') return does?.pastStage === true
  return does !== undefined && does.takes.kind !== 'rest' && isPastStage(block, comer.person)
}

function changesTooLong({ through, forms, timeline, changes }: PeopleLook) {
  const all = ownChanges(through, forms, timeline, changes)
  return [...new Set(all.map(({ blockId }) => blockId))].map((blockId) => {
    const here = all.filter((one) => one.blockId === blockId)
    const mostS = Math.max(...here.map(({ s }) => s))
    return { facts: { people: here.length, mostS, hasS: here[0]?.hasS ?? 0 }, place: { blockId } }
  })
}

/** Whether a finding is of the people of a class, and is looked at where it stands who takes what. */
export const isOfPeople = (code: string): boolean => rules.some((rule) => rule.code === code)

/** Everything in who takes what that needs a look. */
export const checkPeople = (look: PeopleLook) => findAll(rules, look)
