import type { Gate } from '#model/caution'
import type { Seconds } from '#core/units'
import { findAll } from '#core/finding'
import type { RuleOf } from '#core/finding'
import { askAgain } from './ask-again.ts'
import { isAsPlanned } from './as-planned.ts'
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
}
export type PeopleCode = keyof PeopleFacts

export interface PeopleLook {
  readonly through: readonly PersonThrough[]
  /** The day of the class. */
  readonly day: string
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
]

/** Whether a finding is of the people of a class, and is looked at where it stands who takes what. */
export const isOfPeople = (code: string): boolean => rules.some((rule) => rule.code === code)

/** Everything in who takes what that needs a look. */
export const checkPeople = (look: PeopleLook) => findAll(rules, look)
