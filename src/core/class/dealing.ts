import type { Place } from '#model/place'
import type { SubstituteTaken } from '#model/planned-class'
import type { PropKind } from '#model/prop'
import type { Session } from '#model/session'
import type { SetUp } from '#model/set-up'
import { extentOf, finalRestPose, setUpsFor } from '#core/session'
import type { Catalog } from '#core/session'
import type { Timeline } from '#core/timeline'
import type { GivenItems } from './allocate/allocate.ts'
import type { PoseOfPerson } from './allocate/poses.ts'
import type { Stock } from './allocate/ways.ts'
import { laidIn } from './laid.ts'

/** From all there is down to what a house has. */
const downwards: readonly SetUp['extent'][] = ['full', 'few', 'household']

/** The poses of a session with the set-ups one may have for each: those of a lesser extent besides its own [settled C11]. */
export function posesToDeal(
  { blocks, segments }: Pick<Timeline, 'blocks' | 'segments'>,
  catalog: Pick<Catalog, 'poses' | 'ownPoses' | 'setUps'>,
  session: Pick<Session, 'extent' | 'setting'>,
): readonly PoseOfPerson[] {
  const laid = laidIn({ blocks, segments })
  const lesser = downwards.slice(downwards.indexOf(extentOf(session)) + 1)
  return blocks.flatMap(({ block }): PoseOfPerson[] => {
    const blockId = block.block.id
    const own = laid.find((one) => one.blockId === blockId)?.items ?? []
    if (own.length === 0) return []
    const poseId = block.kind === 'hold' ? block.block.poseId : block.kind === 'closing' ? finalRestPose : undefined
    const variantId = block.kind === 'hold' ? block.block.variantId : undefined
    const all = poseId === undefined ? [] : setUpsFor(catalog, poseId, variantId)
    const of = (extent: SetUp['extent']) =>
      lesser.includes(extent) ? all.find((setUp) => setUp.extent === extent)?.items : undefined
    return [{ blockId, setUps: { own, few: of('few'), household: of('household') } }]
  })
}

/** How many there are of each kind, however many sizes they come in. */
export function stockOf(cupboard: Place['cupboard']): Stock {
  const stock: Partial<Record<PropKind, number>> = {}
  for (const { kind, count } of cupboard) stock[kind] = (stock[kind] ?? 0) + count
  return stock
}

/**
 * What is kept for a class of so many of a deal: what each group has in a block, block by block, the largest first; for
 * all where everybody has the same.
 */
export function takenOf(given: readonly GivenItems[], count: number): readonly SubstituteTaken[] {
  const groups = new Map<string, Omit<SubstituteTaken, 'who'> & { who: string[] }>()
  for (const { personId, blockId, way, replaced, items, from } of given) {
    if (way === 'setUp') continue
    const key = JSON.stringify([blockId, way, items, from])
    const group: Omit<SubstituteTaken, 'who'> & { who: string[] } = groups.get(key) ?? {
      ...{ blockId, way, replaced: [...replaced], from: [...from], items: [...items], who: [] },
    }
    group.who.push(personId)
    groups.set(key, group)
  }
  const order = [...new Set(given.map(({ blockId }) => blockId))]
  const inOrder = [...groups.values()].sort(
    (a, b) => order.indexOf(a.blockId) - order.indexOf(b.blockId) || b.who.length - a.who.length,
  )
  // Whoever comes later has it too, where all have it.
  return inOrder.map(({ who, ...taken }) => (who.length === count ? taken : { ...taken, who }))
}
