import type { FormerOwnPose, FormerOwnVariant, OwnPose, OwnVariant, Pose } from '#model/pose'
import type { SetUp, SetUpItem } from '#model/set-up'

/** Whether these are the counts Zovrin itself wrote when that pose, or that form of it, was copied. */
export type IsShipped = (counts: Pose['props'], poseId: string, variantId?: string) => boolean

/** Own set-ups that were made of typed counts are called this. */
const listedName = 'As listed'
const mostOfId = 64

/** Props that were counted and never placed, as items: one for each entry, in its order. */
const listedItems = (counts: Pose['props']): SetUpItem[] =>
  counts.map(({ kind, count }, index) => ({ id: `${kind}-${String(index + 1)}`, kind, count }))

/** The set-up of an own pose, or of a form, of which only counts are known [settled A8]. */
export const listedSetUp = (counts: Pose['props'], poseId: string, variantId?: string): SetUp => ({
  id: [poseId, variantId ?? [], 'listed'].flat().join('-').slice(-mostOfId),
  poseId,
  ...(variantId === undefined ? {} : { variantId }),
  name: listedName,
  extent: 'full',
  items: listedItems(counts),
})

/**
 * An own pose with the counts typed into it, as schema 2 wrote it, and into its forms: the pose without them, and what
 * was typed as full set-ups of its own. A copy that still takes what was copied is set up as its original is.
 */
export function splitCounts(former: FormerOwnPose, isShipped: IsShipped): { pose: OwnPose; setUps: SetUp[] } {
  const { props, variants, ...pose } = former
  const typed = (counts: Pose['props'] | undefined, variantId?: string): SetUp[] => {
    if (counts === undefined) return []
    const asCopied = pose.copiedFrom !== undefined && isShipped(counts, pose.copiedFrom, variantId)
    // Nothing typed in a pose that stands on no other takes nothing, and needs no set-up to say so.
    const isNothing = counts.length === 0 && pose.copiedFrom === undefined && variantId === undefined
    return asCopied || isNothing ? [] : [listedSetUp(counts, pose.id, variantId)]
  }
  return {
    pose: { ...pose, variants: variants.map(withoutCounts) },
    setUps: [...typed(props), ...variants.flatMap((variant) => typed(variant.props, variant.id))],
  }
}

/** The same for a form of one's own. */
export function splitFormCounts(former: FormerOwnVariant): { variant: OwnVariant; setUps: SetUp[] } {
  const { id, poseId, props } = former
  return { variant: withoutCounts(former), setUps: props === undefined ? [] : [listedSetUp(props, poseId, id)] }
}

function withoutCounts<V extends { props?: Pose['props'] | undefined }>({ props: _, ...variant }: V): Omit<V, 'props'> {
  return variant
}
