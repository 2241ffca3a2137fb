import type { PropKind } from '#model/prop'
import type { PlannedClass } from '#model/planned-class'
import type { Place, Room } from '#model/place'
import type { TalkBlock } from '#model/block'
import { findAll, worstFirst } from '#core/finding'
import type { Grade, RuleOf } from '#core/finding'
import type { ChangeTable } from '#core/session'
import type { Timeline } from '#core/timeline'
import type { Seconds } from '#core/units'
import { lacksAtHome } from './at-home.ts'
import type { AtHome } from './at-home.ts'
import { fetching, fetchList } from './fetching.ts'
import { checkPeople } from './forms/check-people.ts'
import type { PeopleFacts } from './forms/check-people.ts'
import type { LaidByForm } from './forms/laid-by-form.ts'
import type { PersonThrough } from './forms/who-takes-what.ts'
import type { LaidFor } from './people.ts'
import { ledger } from './ledger.ts'
import { stockOf } from './dealing.ts'
import { floorWanted, roomPlan } from './room.ts'

/** Another class of the same house whose time touches this one's. */
export interface BesideClass {
  readonly name: string
  readonly startsAt: string
  readonly inSameRoom: boolean
  /** What it has of the cupboard. */
  readonly has: ReadonlyMap<PropKind, number>
}

/** What is found of what a class takes and where it is held, by code. */
interface PlaceFacts {
  STOCK_SHORT: { kind: PropKind; wanted: number; here: number }
  FETCH_NOT_SAID: { why: 'noTalk' | 'unsaid' | 'short'; things: number; s: Seconds; talkS: Seconds }
  WALL_SHORT: { people: number; places: number; holdS: Seconds }
  ROOM_SHORT: { people: number; most: number }
  /** At home: those who lack some of what lies at their mat, of those whose own things are noted. */
  THINGS_SHORT: { people: number; known: number }
  ROOM_TAKEN: { name: string; startsAt: string; inSameRoom: boolean }
}
/** What is found of a class that is planned, by code: of its things and its room, and of its people. */
export type ClassFacts = PlaceFacts & PeopleFacts
export type ClassCode = keyof ClassFacts

/** What is looked at. */
export interface ClassLook {
  readonly planned: Pick<PlannedClass, 'fetching' | 'day'>
  /** What each who comes takes; nothing where nobody comes of whom anything is known. */
  readonly through: readonly PersonThrough[]
  readonly forms: readonly LaidByForm[]
  readonly timeline: Timeline
  readonly groups: readonly LaidFor[]
  readonly place: Place
  readonly room: Room | undefined
  /** Whether it is held at the place, with its things; at home each has their own. */
  readonly isHere: boolean
  /** What those who practise at home have of their own, where that is noted. */
  readonly atHome: readonly AtHome[]
  readonly beside: readonly BesideClass[]
  /** How long it takes to come from one position to another. */
  readonly changes: ChangeTable
  /** The words by which the things are called, to find them in what is said. */
  readonly called: (kind: PropKind) => readonly string[]
}

interface Where {
  readonly place: { readonly blockId?: string }
}
type ClassRule = RuleOf<PlaceFacts, ClassLook, Where>

/** Where the whole class is meant. */
const whole = { place: {} } as const
const count = (groups: ClassLook['groups']): number => groups.reduce((sum, { who }) => sum + who.length, 0)

/** How many of those who come are somewhere else in a block at the wall, since their form is. */
export const elsewhere = (blockId: string, forms: readonly LaidByForm[]): number =>
  forms.reduce((sum, form) => sum + (form.blockId === blockId && !form.isAtWall ? form.who.length : 0), 0)

/** What there is less what another class has. */
export const leftOf = (place: Place, beside: readonly BesideClass[]): Readonly<Partial<Record<PropKind, number>>> =>
  beside.reduce<Partial<Record<PropKind, number>>>(
    (stock, { has }) =>
      [...has].reduce((left, [kind, n]) => ({ ...left, [kind]: Math.max(0, (left[kind] ?? 0) - n) }), stock),
    stockOf(place.cupboard),
  )

const rules: readonly ClassRule[] = [
  {
    code: 'STOCK_SHORT',
    grade: 'look',
    find: ({ groups, place, isHere, beside }) => {
      if (!isHere) return undefined
      const stock = leftOf(place, beside)
      return ledger({ people: groups.map(({ who, laid }) => ({ count: who.length, laid })) }).flatMap(
        ({ kind, atOnce, blockId }) => {
          const here = stock[kind] ?? 0
          return atOnce > here
            ? [{ facts: { kind, wanted: atOnce, here }, place: blockId === undefined ? {} : { blockId } }]
            : []
        },
      )
    },
  },
  { code: 'FETCH_NOT_SAID', grade: 'tip', find: fetchNotSaid },
  {
    code: 'WALL_SHORT',
    grade: 'look',
    find: ({ timeline, groups, forms, room, isHere }) => {
      if (!room || !isHere) return undefined
      const wanted = floorWanted(timeline)
      const all = count(groups)
      const { mostAtWall } = roomPlan(room, all, wanted)
      return wanted.atWall.flatMap(({ blockId, holdS }) => {
        const people = all - elsewhere(blockId, forms)
        return people <= mostAtWall ? [] : [{ facts: { people, places: mostAtWall, holdS }, place: { blockId } }]
      })
    },
  },
  {
    code: 'ROOM_SHORT',
    grade: 'look',
    find: ({ timeline, groups, room, isHere }) => {
      if (!room || !isHere) return undefined
      const people = count(groups)
      const { most } = roomPlan(room, people, floorWanted(timeline))
      return people > most && { facts: { people, most }, ...whole }
    },
  },
  {
    code: 'THINGS_SHORT',
    grade: 'look',
    find: ({ groups, atHome, isHere }) => {
      const people = isHere ? 0 : lacksAtHome(groups, atHome).length
      return people > 0 && { facts: { people, known: atHome.length }, ...whole }
    },
  },
  {
    code: 'ROOM_TAKEN',
    grade: 'look',
    find: ({ beside, isHere }) =>
      isHere && beside.map(({ name, startsAt, inSameRoom }) => ({ facts: { name, startsAt, inSameRoom }, ...whole })),
  },
]

/** What is fetched in the first talk is said there, and it is long enough for it [handling book 3]. */
function fetchNotSaid({ planned, timeline, groups, place, called }: ClassLook) {
  if ((planned.fetching ?? 'talk') !== 'talk') return undefined
  const lists = groups.map(({ who, laid }) => ({ ...fetchList(laid), people: who.length }))
  const { things, s } = fetching(lists, { atCupboard: place.atCupboard })
  if (things === 0) return undefined
  const talk = firstTalk(timeline, groups)
  if (!talk) return { facts: { why: 'noTalk' as const, things, s, talkS: 0 }, ...whole }
  const said = [talk.title, talk.text ?? '', ...(talk.script?.sentences ?? []).map(({ text }) => text)]
    .join(' ')
    .toLowerCase()
  const kinds = lists.flatMap(({ items }) => items.map(({ kind }) => kind))
  const isSaid = kinds.some((kind) => called(kind).some((word) => said.includes(word.toLowerCase())))
  const why = !isSaid ? ('unsaid' as const) : talk.s < s ? ('short' as const) : undefined
  return why && { facts: { why, things, s, talkS: talk.s }, place: { blockId: talk.id } }
}

/** The talk before anything is laid. */
export function firstTalk({ blocks }: Pick<Timeline, 'blocks'>, groups: ClassLook['groups']): TalkBlock | undefined {
  const laid = new Set(
    groups.flatMap((group) => group.laid.flatMap(({ blockId, items }) => (items.length > 0 ? [blockId] : []))),
  )
  for (const { block } of blocks) {
    if (block.kind === 'talk') return block.block
    if (laid.has(block.block.id)) return undefined
  }
  return undefined
}

/** What is found of a class, as it stands among the findings of its session. */
export type ClassNoticed = {
  readonly [Code in ClassCode]: {
    readonly code: Code
    readonly grade: Grade
    readonly place: { readonly blockId?: string; readonly atMs?: undefined }
    readonly facts: ClassFacts[Code]
    /** Set aside in the planned class, and not in the session [settled A13]. */
    readonly ofClass: true
    readonly mend: undefined
  }
}[ClassCode]

/** Everything in a planned class that needs a look, worst first. */
export const checkClass = (look: ClassLook): readonly ClassNoticed[] =>
  [...findAll(rules, look), ...checkPeople({ ...look, day: look.planned.day })]
    .map((found) => ({ ...found, ofClass: true, mend: undefined }) as ClassNoticed)
    .sort(worstFirst())
