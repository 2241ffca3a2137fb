import type { BreathBlock, ClosingBlock, HoldBlock, RestBlock } from '#model/block'
import type { Figure } from '#model/figure'
import type { Pose } from '#model/pose'
import type { PropKind } from '#model/prop'
import type { Session } from '#model/session'
import type { SetUp, SetUpItem } from '#model/set-up'
import type { Catalog } from './catalog.ts'
import { poseIn } from './own.ts'
import type { Resolved, SetUpInUse, Sourced } from './resolved.ts'

/** The closing's rest lies as this pose does. */
export const finalRestPose = 'final-rest-lying'

type Shelf = Pick<Catalog, 'poses' | 'ownPoses' | 'setUps' | 'keptForOne'>

/** By what a set-up that is kept for somebody is found. */
export const keptFor = (poseId: string, variantId?: string): string => JSON.stringify([poseId, variantId])

/**
 * The set-ups made for a pose in a form of it, shipped ones first, so that one the teacher keeps is offered everywhere and
 * changes nothing that is planned; after them, for a pose that was copied, those of the one it was copied from. A form
 * with a base of its own has set-ups of its own, every other uses the pose's after any that were made for it [settled A10].
 */
export function setUpsFor({ poses, ownPoses, setUps }: Shelf, poseId: string, variantId?: string): readonly SetUp[] {
  const all = withOriginals(poseId, ownPoses).flatMap((id) => setUps.get(id) ?? [])
  const variants = (ownPoses.get(poseId) ?? poses.get(poseId))?.variants ?? []
  const ofForm = all.filter((setUp) => variantId !== undefined && setUp.variantId === variantId)
  const isAnother = variants.some(({ id, base }) => id === variantId && base)
  return isAnother ? ofForm : [...ofForm, ...all.filter((setUp) => setUp.variantId === undefined)]
}

/** A pose, the one it was copied from, and so on. */
function withOriginals(poseId: string, ownPoses: Shelf['ownPoses'], before: readonly string[] = []): readonly string[] {
  if (before.includes(poseId)) return before
  const along = [...before, poseId]
  const origin = ownPoses.get(poseId)?.copiedFrom
  return origin === undefined ? along : withOriginals(origin, ownPoses, along)
}

/** The fullest of some set-ups, the first that is. */
export const fullOf = (all: readonly SetUp[]): SetUp | undefined =>
  all.find(({ extent }) => extent === 'full') ?? all[0]

/** How much the set-ups of a session take: as it says, else all there is, and at home or online what a house has [settled A21]. */
export const extentOf = ({ extent, setting = 'room' }: Pick<Session, 'extent' | 'setting'>): SetUp['extent'] =>
  extent ?? (setting === 'room' ? 'full' : 'household')

/** What stands in, in this order, where a pose has no set-up of an extent. */
const standsIn: Readonly<Record<SetUp['extent'], readonly SetUp['extent'][]>> = {
  full: ['full'],
  few: ['few', 'full'],
  household: ['household', 'few', 'full'],
}

/** Of some set-ups the one for an extent. */
export const usualSetUp = (all: readonly SetUp[], extent: SetUp['extent']): SetUp | undefined =>
  standsIn[extent].flatMap((wanted) => all.find((setUp) => setUp.extent === wanted) ?? [])[0] ?? all[0]

/**
 * A block's set-up, first found wins: its own items, in the figure of the set-up they were made from; what is kept for the
 * one who comes; the one it names; that of the pose for the session's extent; undefined without any.
 */
export function setUpOf(
  block: HoldBlock | ClosingBlock,
  catalog: Shelf,
  session: Pick<Session, 'extent' | 'setting'>,
): Sourced<SetUpInUse> | undefined {
  const { setUpId, setUpItems } = block
  const { poseId, variantId }: Partial<HoldBlock> & Pick<HoldBlock, 'poseId'> =
    block.kind === 'hold' ? block : { poseId: finalRestPose }
  const all = setUpsFor(catalog, poseId, variantId)
  const asked = setUpId === undefined ? undefined : all.find(({ id }) => id === setUpId)
  if (setUpItems)
    return { value: { items: setUpItems, ...(asked?.figure ? { figure: asked.figure } : {}) }, from: 'block' }
  const usual = usualSetUp(all, extentOf(session))
  const kept = catalog.keptForOne?.get(keptFor(poseId, variantId))
  if (kept) {
    const figure = (asked ?? usual)?.figure
    return { value: { items: kept, ...(figure ? { figure } : {}) }, from: 'person' }
  }
  if (asked) return { value: asked, from: 'block' }
  return usual && { value: usual, from: 'shipped' }
}

/** The set-up of breath work or a rest: its own items or the one it names; there is no usual one [settled A10]. */
export function namedSetUp(
  { setUpId, setUpItems }: BreathBlock | RestBlock,
  { setUps }: Pick<Shelf, 'setUps'>,
): Sourced<SetUpInUse> | undefined {
  if (setUpItems) return { value: { items: setUpItems }, from: 'block' }
  const named = setUpId === undefined ? undefined : [...setUps.values()].flat().find(({ id }) => id === setUpId)
  return named && { value: named, from: 'block' }
}

/** What a set-up takes, by kind in the order it is laid. */
export function propCounts(items: readonly Pick<SetUpItem, 'kind' | 'count'>[]): Pose['props'] {
  const counts = new Map<PropKind, number>()
  for (const { kind, count } of items) counts.set(kind, (counts.get(kind) ?? 0) + count)
  return [...counts].map(([kind, count]) => ({ kind, count }))
}

/** What a block's set-up is drawn with: its own figure, else its pose's; undefined where it is not drawn. */
export function figureIn(block: Resolved, catalog: Pick<Catalog, 'poses' | 'ownPoses'>): Figure | undefined {
  if (block.kind !== 'hold' && block.kind !== 'closing') return undefined
  const pose = block.kind === 'hold' ? block.pose : poseIn(catalog, finalRestPose)
  return block.setUp?.value.figure ?? pose?.figure
}
