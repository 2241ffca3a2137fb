import type { Figure } from '#model/figure'
import type { PropKind } from '#model/prop'
import type { BodyPart, PropTurn, SetUp, SetUpItem } from '#model/set-up'
import { namedFolds } from '../prop-kinds.ts'
import type { FoldName } from '../prop-kinds.ts'

type Laid = Omit<SetUpItem, 'id'>
type More = Partial<Pick<Laid, 'count' | 'piles' | 'lies' | 'turn' | 'note'>>

const lay = (kind: PropKind, under: BodyPart, more: More): Laid => ({ kind, count: 1, under, ...more })

/** One of a kind as it comes, turned. */
const turned =
  (kind: PropKind) =>
  (under: BodyPart, turn?: PropTurn, more: More = {}): Laid =>
    lay(kind, under, { ...(turn ? { turn } : {}), ...more })

/** A sheet in one of the folds teachers name. */
const folded =
  (kind: PropKind) =>
  (under: BodyPart, fold: FoldName, more: More = {}): Laid => ({
    ...lay(kind, under, more),
    folds: [...namedFolds[fold]],
  })

export const blanket = folded('blanket')
export const towel = folded('towel')
export const bolster = turned('rectBolster')
export const roundBolster = turned('roundBolster')
export const block = turned('foamBlock')
export const corkBlock = turned('corkBlock')
export const pillow = turned('longPillow')
export const cushion = turned('seatCushion')
export const book = turned('book')
export const chair = turned('chair')
/** On the top of its back and its seat's edge: its back is a slope. */
export const upturnedChair = (under: BodyPart): Laid => chair(under, 'upturned')
/** What stands in for a strap. */
export const belt = (around: BodyPart): Laid => lay('belt', around, { lies: 'around' })
export const scarf = (around: BodyPart): Laid => lay('scarf', around, { lies: 'around' })
/** Something laid between the two sides, or behind. */
export const between = (item: Laid): Laid => ({ ...item, lies: 'between' })
export const behind = (item: Laid): Laid => ({ ...item, lies: 'behind' })
/** What is laid over the eyes, round the legs, or over the body. */
export const eyePillow = lay('eyePillow', 'eyes', { lies: 'over' })
export const cover: Laid = { ...lay('blanket', 'belly', { lies: 'over' }), folds: [{ op: 'halfL' }] }
export const strap = (around: BodyPart): Laid => lay('strap', around, { lies: 'around' })
export const sandbag = (over: BodyPart): Laid => lay('sandbag', over, { lies: 'over' })
export const wall = (part: BodyPart): Laid => lay('wall', part, { lies: 'behind' })
export const door = (part: BodyPart): Laid => lay('door', part, { lies: 'behind' })

export interface Told {
  readonly full: readonly Laid[]
  readonly few: readonly Laid[]
  readonly household: readonly Laid[]
  /** What each is called beyond how much it takes. */
  readonly names?: Partial<Record<SetUp['extent'], string>>
  readonly figures?: Partial<Record<SetUp['extent'], Figure>>
  readonly notes?: Partial<Record<SetUp['extent'], string>>
}

const usualNames: Readonly<Record<SetUp['extent'], string>> = {
  full: 'With all of it',
  few: 'With few props',
  household: 'With what a house has',
}

/** The set-ups of one pose, or of a form of it that is another position: full, with few props, and with household things or none. */
export function setUpsOf(
  poseId: string,
  { names = {}, figures = {}, notes = {}, ...by }: Told,
  variantId?: string,
): SetUp[] {
  return (['full', 'few', 'household'] as const).map((extent) => ({
    id: [poseId, variantId, extent].filter((part) => part !== undefined).join('-'),
    poseId,
    ...(variantId === undefined ? {} : { variantId }),
    name: names[extent] ?? usualNames[extent],
    extent,
    items: by[extent].map((item, at) => ({ id: `i${String(at + 1)}`, ...item })),
    ...(figures[extent] ? { figure: figures[extent] } : {}),
    ...(notes[extent] ? { note: notes[extent] } : {}),
  }))
}
