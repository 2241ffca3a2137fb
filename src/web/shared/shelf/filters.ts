import { keysOf } from '#core/units'
import type { Level } from '#model/common'
import { basePositionNames, basePositionsInOrder } from '#words/positions'
import { directionNames } from '#words/directions'
import { propNames } from '#words/props'
import { targetNames } from '#words/targets'
import { capital } from '#words/text'
import type { ShelfEntry } from './entries.ts'

/** One question of the filter, its answers, and which entries a set of chosen answers lets through. */
export interface Facet {
  readonly key: string
  readonly title: string
  readonly options: readonly { readonly value: string; readonly words: string }[]
  /** With `any`, one chosen answer is enough; with `all`, each narrows. */
  readonly joins: 'any' | 'all'
  readonly passes: (entry: ShelfEntry, chosen: ReadonlySet<string>) => boolean
}

export type Chosen = Readonly<Record<string, readonly string[]>>
const named = <T extends string>(values: readonly T[], names: Readonly<Record<T, string>>) =>
  values.map((value) => ({ value, words: capital(names[value]) }))
const some = (values: (entry: ShelfEntry) => readonly string[]) => (entry: ShelfEntry, chosen: ReadonlySet<string>) =>
  values(entry).some((value) => chosen.has(value))

const atHand = [
  'rectBolster',
  'roundBolster',
  'blanket',
  'foamBlock',
  'strap',
  'chair',
  'eyePillow',
  'sandbag',
  'seatCushion',
] as const

/** From the first class on. */
const levels: readonly Level[] = ['new', 'regular', 'experienced']

export const facets: readonly Facet[] = [
  {
    key: 'kind',
    title: 'What',
    joins: 'any',
    options: [
      { value: 'pose', words: 'Poses' },
      { value: 'breath', words: 'Breath' },
      { value: 'movement', words: 'Movements' },
      { value: 'piece', words: 'Pieces' },
    ],
    passes: some(({ kind }) => [kind]),
  },
  {
    key: 'own',
    title: 'Whose',
    joins: 'any',
    options: [
      { value: 'own', words: 'Your own' },
      { value: 'shipped', words: 'Shipped' },
    ],
    passes: some(({ isOwn }) => [isOwn ? 'own' : 'shipped']),
  },
  {
    key: 'base',
    title: 'Base position',
    joins: 'any',
    options: named(basePositionsInOrder, basePositionNames),
    passes: some(({ base }) => [base]),
  },
  {
    key: 'target',
    title: 'Target',
    joins: 'any',
    options: named(keysOf(targetNames), targetNames),
    passes: some((entry) => entry.targets),
  },
  {
    key: 'direction',
    title: 'Direction',
    joins: 'any',
    options: named(keysOf(directionNames), directionNames),
    passes: some((entry) => entry.directions),
  },
  {
    key: 'practice',
    title: 'Practice',
    joins: 'any',
    options: [
      { value: 'restorative', words: 'Restorative' },
      { value: 'yin', words: 'Yin' },
      { value: 'breath', words: 'Breath' },
    ],
    passes: some((entry) => entry.practices),
  },
  {
    key: 'sides',
    title: 'Sides',
    joins: 'any',
    options: [
      { value: 'each', words: 'Each side' },
      { value: 'both', words: 'Both at once' },
    ],
    passes: some(({ sided }) => [sided ? 'each' : 'both']),
  },
  {
    key: 'level',
    title: 'Usual for a class that is',
    joins: 'any',
    options: [
      { value: 'new', words: 'New' },
      { value: 'regular', words: 'Regular' },
      { value: 'experienced', words: 'Experienced' },
    ],
    passes: (entry, chosen) =>
      levels.some((level) => chosen.has(level) && levels.indexOf(entry.fromLevel) <= levels.indexOf(level)),
  },
  {
    key: 'without',
    title: 'Without',
    joins: 'all',
    options: [
      { value: 'kneeling', words: 'No kneeling' },
      { value: 'wall', words: 'No wall' },
    ],
    passes: (entry, chosen) => !(chosen.has('kneeling') && entry.kneels) && !(chosen.has('wall') && entry.needsWall),
  },
  {
    key: 'props',
    title: 'Props at hand, and no others',
    joins: 'all',
    options: [
      { value: 'none', words: 'No props' },
      ...atHand.map((kind) => ({ value: kind, words: capital(propNames[kind].many) })),
    ],
    passes: (entry, chosen) => entry.props.every((kind) => chosen.has(kind)),
  },
]

const passesAll = (entry: ShelfEntry, chosen: Chosen, but?: Facet): boolean =>
  facets.every((facet) => {
    const values = chosen[facet.key] ?? []
    return facet === but || values.length === 0 || facet.passes(entry, new Set(values))
  })

/** The entries that every question lets through; an unanswered question lets all through. */
export const filterShelf = <T extends ShelfEntry>(entries: readonly T[], chosen: Chosen): T[] =>
  entries.filter((entry) => passesAll(entry, chosen))

/** How many entries each answer would show, given the answers to the other questions. */
export function countAnswers(
  entries: readonly ShelfEntry[],
  chosen: Chosen,
  facet: Facet,
): ReadonlyMap<string, number> {
  const left = entries.filter((entry) => passesAll(entry, chosen, facet))
  const mine = facet.joins === 'all' ? (chosen[facet.key] ?? []) : []
  return new Map(
    facet.options.map(({ value }) => {
      const wanted = new Set([...mine, value])
      return [value, left.filter((entry) => facet.passes(entry, wanted)).length] as const
    }),
  )
}
