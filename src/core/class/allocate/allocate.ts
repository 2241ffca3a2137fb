import type { PropKind } from '#model/prop'
import type { Substitute } from '#model/substitute'
import type { SetUpItem } from '#model/set-up'
import { mapResult, ok, refused } from '#core/result'
import type { Result } from '#core/result'
import { sumOfBlock } from './block.ts'
import type { BlockSum, Counts, Limits, Profile } from './block.ts'
import { blocksThere } from './poses.ts'
import type { BlockThere, PersonThere } from './poses.ts'
import { touchedIn, turnsOf } from './turns.ts'
import type { TurnsOf } from './turns.ts'
import type { Replaced, Stock, Way, WayOfSetUp } from './ways.ts'

/** What a person gets for a block. */
export interface Given {
  readonly personId: string
  readonly blockId: string
  readonly way: WayOfSetUp
  /** Pieces of each kind that are replaced. */
  readonly replaced: readonly Replaced[]
}

export interface AllocateInput {
  readonly people: readonly PersonThere[]
  readonly stock: Stock
  readonly substitutes: readonly Substitute[]
  readonly mostNodes?: number
}

/** The same with all they have there, from the floor up, and the set-up it is in place of. */
export interface GivenItems extends Given {
  readonly from: readonly SetUpItem[]
  readonly items: readonly SetUpItem[]
}

/** What there is too little of. */
export interface ShortKind {
  readonly kind: PropKind
  /** The most in use at once, where everybody has their own set-up. */
  readonly wanted: number
  readonly here: number
}

export interface Allocation<G extends Given = Given> {
  readonly given: readonly G[]
  readonly penalty: number
  /** How many people have anything but their own set-up somewhere. */
  readonly people: number
  /** Of how many kinds anybody has fewer than in their own set-up. */
  readonly kinds: number
  readonly short: readonly ShortKind[]
  /** One way for all who do a pose, in every block; absent where none makes do. */
  readonly forAll?: { readonly given: readonly G[]; readonly penalty: number }
  /** How much less might be lost at most; 0: nothing, it is exact. */
  readonly gap: number
}

/**
 * Who gets what where the cupboard has too little, exact [handling book 3; settled C11]: in each block the pieces in use
 * are never more than there are. Least lost over all, a second set-up of a pose in the room counted; then the fewest
 * people touched, nobody twice before everybody once who could take their place; then the fewest kinds; people at the
 * head of the list keep their set-up first. Refuses with STOCK_SHORT and the persons who must have what is not there.
 */
export const allocate = (input: AllocateInput): Result<Allocation, 'STOCK_SHORT'> =>
  mapResult(dealOut(input), ({ given, forAll, ...rest }) => ({
    ...rest,
    given: given.map(withoutItems),
    ...(forAll ? { forAll: { ...forAll, given: forAll.given.map(withoutItems) } } : {}),
  }))

const withoutItems = ({ personId, blockId, way, replaced }: GivenItems): Given => ({ personId, blockId, way, replaced })

/** The same, with what each person has then. */
export function dealOut({
  people,
  stock,
  substitutes,
  mostNodes,
}: AllocateInput): Result<Allocation<GivenItems>, 'STOCK_SHORT'> {
  const blocks = blocksThere(people, stock, substitutes)
  const limits: Limits = mostNodes === undefined ? {} : { mostNodes }
  const sums: BlockSum[] = []
  for (const block of blocks) {
    const sum = sumOfBlock(block.poses, block.stock, limits)
    if (!sum) return refused('STOCK_SHORT', 'stock', { blockId: block.blockId, persons: bound(block, people) })
    sums.push(sum)
  }
  const chosen = profilesOf(blocks, sums, people.length)
  const turns = blocks.flatMap((block, at) => turnsIn(block, chosen[at]))
  const alike = sumsAlike(blocks, limits)
  return ok({
    given: givenBy(
      people,
      blocks,
      chosen.map((profile) => profile.counts),
      turnsOf(turns, people.length),
    ),
    penalty: sums.reduce((sum, { penalty }) => sum + penalty, 0),
    people: touchedIn(turns, people.length),
    kinds: kindsIn(blocks, chosen).size,
    short: shortIn(blocks, stock),
    ...(alike ? { forAll: forAllOf(people, blocks, alike) } : {}),
    gap: sums.reduce((sum, { penalty, least }) => sum + penalty - least, 0),
  })
}

/** Those of a block who may not go without. */
const bound = ({ who, blockId }: BlockThere, people: readonly PersonThere[]): readonly string[] =>
  who.flat(2).flatMap((at) => {
    const person = people[at]
    const wants = person?.poses.find((pose) => pose.blockId === blockId)?.wants ?? []
    return person && wants.length > 0 ? [person.id] : []
  })

const turnsIn = ({ who }: BlockThere, profile: Profile | undefined): readonly TurnsOf[] =>
  who.flat().map((people, alike) => ({ people, touched: profile?.touched[alike] ?? 0 }))

function kindsIn(blocks: readonly BlockThere[], chosen: readonly Profile[]): ReadonlySet<PropKind> {
  const kinds = chosen.flatMap(({ fewer }, at) => blocks[at]?.own.filter((_, bit) => (fewer & (1 << bit)) > 0) ?? [])
  return new Set(kinds)
}

/** As many choices are looked through for the fewest people and kinds. */
const mostChoices = 20_000

/** Of the choices that lose least in each block those that together touch the fewest people, then the fewest kinds. */
function profilesOf(blocks: readonly BlockThere[], sums: readonly BlockSum[], count: number): readonly Profile[] {
  let best = { people: Infinity, kinds: Infinity, chosen: [] as readonly Profile[] }
  let looked = 0
  const look = (chosen: readonly Profile[]): void => {
    looked += 1
    if (looked > mostChoices && best.people < Infinity) return
    const people = touchedIn(
      chosen.flatMap((profile, at) => turnsIn(blocks[at] as BlockThere, profile)),
      count,
    )
    const kinds = kindsIn(blocks, chosen).size
    if (people > best.people || (people === best.people && kinds >= best.kinds)) return
    const next = sums[chosen.length]
    if (!next) best = { people, kinds, chosen }
    else for (const profile of next.profiles) look([...chosen, profile])
  }
  look([])
  return best.chosen
}

function sumsAlike(blocks: readonly BlockThere[], limits: Limits): readonly BlockSum[] | undefined {
  const sums = blocks.map(({ poses, stock }) => sumOfBlock(poses, stock, { ...limits, onlyAlike: true }))
  return sums.every((sum) => sum !== undefined) ? sums : undefined
}

function forAllOf(people: readonly PersonThere[], blocks: readonly BlockThere[], sums: readonly BlockSum[]) {
  const chosen = sums.flatMap(({ profiles: [first] }) => (first ? [first] : []))
  const turns = blocks.flatMap((block, at) => turnsIn(block, chosen[at]))
  return {
    given: givenBy(
      people,
      blocks,
      chosen.map(({ counts }) => counts),
      turnsOf(turns, people.length),
    ),
    penalty: sums.reduce((sum, { penalty }) => sum + penalty, 0),
  }
}

/** What each person gets, in the order of the list and of the blocks. */
function givenBy(
  people: readonly PersonThere[],
  blocks: readonly BlockThere[],
  counts: readonly Counts[],
  turns: readonly (readonly number[])[],
): readonly GivenItems[] {
  const ways = new Map<string, Way>()
  let alike = 0
  for (const [at, { who, ways: known, blockId }] of blocks.entries())
    for (const [pose, groups] of who.entries())
      for (const [group] of groups.entries()) {
        const touched = turns[alike++] ?? []
        const taken = (counts[at]?.[pose]?.[group] ?? []).flatMap((n, way) =>
          way === 0 ? [] : Array.from({ length: n }, () => way),
        )
        for (const [turn, person] of touched.entries()) {
          const way = known[pose]?.[taken[turn] ?? 0]
          if (way) ways.set(`${String(person)} ${blockId}`, way)
        }
      }
  return people.flatMap(({ id, poses }, person) =>
    poses.map(({ blockId, setUps }): GivenItems => {
      const own: Pick<Way, 'way' | 'replaced' | 'items'> = { way: 'setUp', replaced: [], items: setUps.own }
      const { way, replaced, items } = ways.get(`${String(person)} ${blockId}`) ?? own
      return { personId: id, blockId, way, replaced, items, from: setUps.own }
    }),
  )
}

const shortIn = (blocks: readonly BlockThere[], stock: Stock): readonly ShortKind[] => {
  const most = new Map<PropKind, number>()
  for (const { wanted } of blocks) for (const [kind, n] of wanted) most.set(kind, Math.max(n, most.get(kind) ?? 0))
  return [...most].flatMap(([kind, wanted]) => {
    const here = stock[kind] ?? 0
    return wanted > here ? [{ kind, wanted, here }] : []
  })
}
