import type { Block } from '#model/block'
import { levels } from '#model/common'
import type { BasePosition, Level } from '#model/common'
import type { Piece } from '#model/piece'
import type { Direction, Pose, Target } from '#model/pose'
import type { PropKind } from '#model/prop'
import type { Session } from '#model/session'
import { patternText } from '#core/breath'
import { protocolIn, techniqueIdIn, usualHold } from '#core/session'
import type { Catalog } from '#core/session'
import { directionNames } from '#words/directions'
import { targetNames } from '#words/targets'
import { counted } from '#words/text'
import type { ShelfThing } from '#web/shared/session/new-block.ts'

/** Something that stands on the shelf, as lists and filters need it. */
export interface ShelfEntry {
  readonly kind: 'pose' | 'movement' | 'breath' | 'piece'
  readonly id: string
  readonly name: string
  readonly sanskrit: string | undefined
  readonly others: readonly string[]
  readonly isOwn: boolean
  /** What is put into a session. */
  readonly thing: ShelfThing
  readonly base: BasePosition
  readonly sided: boolean
  readonly targets: readonly Target[]
  readonly directions: readonly Direction[]
  readonly practices: readonly ('restorative' | 'yin' | 'breath')[]
  readonly fromLevel: Level
  readonly props: readonly PropKind[]
  readonly kneels: boolean
  readonly needsWall: boolean
  /** In words, for the search. */
  readonly felt: readonly string[]
  /** Taught in person: found after all that is called alike. */
  readonly isRare?: boolean
  /** A piece that is breath work alone. */
  readonly isProtocol?: boolean
  /** Usual minutes, rounds, or the ratio. */
  readonly usual: string
}

type Wanted = Pick<Session, 'practice' | 'level'>

const kneeling: ReadonlySet<string> = new Set([
  'child',
  'puppy',
  'lunge',
  'recl_kneel',
  'heel_sit',
  'all_fours',
  'pigeon',
])
const kneelingPositions: ReadonlySet<string> = new Set(['kneeling', 'allFours'])
const minutesText = (seconds: number): string => String(Math.round(seconds / 6) / 10)

/** Pieces, and every pose, movement and technique of a catalog, own ones first among the poses of their position. */
export function shelfEntries(catalog: Catalog, wanted: Wanted, pieces: readonly Piece[] = []): ShelfEntry[] {
  const things = entriesOf(catalog, wanted)
  return [...pieces.map((piece) => pieceEntry(piece, things)), ...things]
}

function entriesOf(catalog: Catalog, wanted: Wanted): ShelfEntry[] {
  const shippedPoses = [...catalog.poses.values()].filter(({ id }) => !catalog.ownPoses.has(id))
  return [
    ...[...catalog.ownPoses.values()].map((pose) => poseEntry(pose, true, wanted)),
    ...shippedPoses.map((pose) => poseEntry(pose, false, wanted)),
    ...[...catalog.techniques.values()].map((technique): ShelfEntry => ({
      ...namesOf(technique),
      kind: 'breath',
      isOwn: false,
      isRare: technique.inPerson,
      thing: { kind: 'breath', id: technique.id },
      base: technique.basePosition,
      sided: false,
      targets: [],
      directions: [],
      practices: ['breath'],
      fromLevel: technique.inPerson ? 'experienced' : technique.forNew === undefined ? 'regular' : 'new',
      props: [],
      kneels: false,
      needsWall: false,
      felt: [],
      usual: technique.counted && technique.pattern ? patternText(technique.pattern) : 'natural',
    })),
    ...[...catalog.movements.values()].map((movement): ShelfEntry => ({
      ...namesOf(movement),
      kind: 'movement',
      isOwn: false,
      thing: { kind: 'movement', id: movement.id },
      base: movement.base.enter,
      sided: movement.sides !== undefined,
      targets: movement.targets,
      directions: movement.directions,
      practices: ['yin', 'restorative'],
      fromLevel: 'new',
      props: [],
      kneels: kneelingPositions.has(movement.base.enter),
      needsWall: false,
      felt: feltIn(movement),
      usual: counted(movement.rounds, 'round'),
    })),
  ]
}

const feltIn = ({ targets, directions }: Pick<Pose, 'targets' | 'directions'>): string[] => [
  ...targets.map((target) => targetNames[target]),
  ...directions.map((direction) => directionNames[direction]),
]

const namesOf = ({ id, names }: Pick<Pose, 'id' | 'names'>) => ({
  id,
  name: names.english,
  sanskrit: names.sanskrit,
  others: names.others,
})

function poseEntry(pose: Pose, isOwn: boolean, { practice, level }: Wanted): ShelfEntry {
  const { fromS, toS } = usualHold(pose, practice, level)
  const kinds = pose.props.map(({ kind }) => kind)
  return {
    ...namesOf(pose),
    kind: 'pose',
    isOwn,
    thing: { kind: 'hold', id: pose.id },
    base: pose.base.enter,
    sided: pose.sides !== undefined,
    targets: pose.targets,
    directions: pose.directions,
    practices: pose.practices,
    fromLevel: pose.fromLevel,
    props: kinds.filter((kind) => kind !== 'wall'),
    kneels: pose.families.some((family) => kneeling.has(family)) || kneelingPositions.has(pose.base.enter),
    needsWall: kinds.includes('wall') || pose.base.enter === 'atWall',
    felt: feltIn(pose),
    usual: `${minutesText(fromS)}–${minutesText(toS)} min`,
  }
}

/** A piece is found by what it holds, and fits where all of it does. */
function pieceEntry({ id, name, blocks }: Piece, things: readonly ShelfEntry[]): ShelfEntry {
  const protocol = protocolIn({ blocks })
  const held = blocks.flatMap((block) => {
    const on = idOn(block)
    return things.find(({ id: one }) => one === on) ?? []
  })
  const all = <T>(of: (entry: ShelfEntry) => readonly T[]): T[] => [...new Set(held.flatMap(of))]
  return {
    kind: 'piece',
    id,
    name,
    sanskrit: undefined,
    others: [],
    isOwn: true,
    thing: { kind: 'piece', id, blocks },
    base: held[0]?.base ?? 'seated',
    sided: false,
    targets: all(({ targets }) => targets),
    directions: all(({ directions }) => directions),
    practices: held.length === 0 ? ['restorative', 'yin', 'breath'] : all(({ practices }) => practices),
    fromLevel: levels.findLast((level) => held.some(({ fromLevel }) => fromLevel === level)) ?? 'new',
    props: all(({ props }) => props),
    kneels: held.some(({ kneels }) => kneels),
    needsWall: held.some(({ needsWall }) => needsWall),
    felt: all(({ name: one, felt }) => [one, ...felt]),
    isProtocol: protocol !== undefined,
    usual: protocol ? counted(protocol.sections.length, 'section') : counted(blocks.length, 'block'),
  }
}

function idOn(block: Block): string | undefined {
  if (block.kind === 'hold') return block.poseId
  if (block.kind === 'breath') return techniqueIdIn(block)
  return block.kind === 'movement' ? block.movementId : undefined
}
