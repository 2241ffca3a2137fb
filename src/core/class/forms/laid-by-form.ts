import type { Person } from '#model/person'
import type { Session } from '#model/session'
import type { SetUp, SetUpItem } from '#model/set-up'
import { extentOf, finalRestPose, setUpsFor, usualSetUp } from '#core/session'
import type { Catalog } from '#core/session'
import type { Choice } from './choices.ts'
import type { PersonThrough } from './who-takes-what.ts'

/** What lies at the mats of those who take something else in a block than the planned pose in its set-up. */
export interface LaidByForm {
  readonly blockId: string
  readonly who: readonly string[]
  readonly items: readonly SetUpItem[]
  readonly isAtWall: boolean
}

type Shelf = Pick<Catalog, 'poses' | 'ownPoses' | 'setUps' | 'keptForOne'>

/**
 * What lies at their mats instead, those together who take the same: the set-up that was kept for somebody, else the
 * form's own for the session's extent. Who changes the planned pose, or breathes or rests where they are, has its set-up:
 * that is planned for the one who comes already, where nobody else does.
 */
export function laidByForm(
  through: readonly PersonThrough[],
  catalog: Shelf,
  session: Pick<Session, 'extent' | 'setting' | 'blocks'>,
): readonly LaidByForm[] {
  const extent = extentOf(session)
  const closings = new Set(session.blocks.flatMap(({ id, kind }) => (kind === 'closing' ? [id] : [])))
  const groups = new Map<string, { entry: Omit<LaidByForm, 'who'>; who: string[] }>()
  for (const { comer, takings } of through) {
    for (const { blockId, does } of takings) {
      const inPose = does?.pose?.id ?? (closings.has(blockId) ? finalRestPose : undefined)
      const items = does && inPose && itemsOf(does, inPose, comer.person, catalog, extent)
      if (!does || !items) continue
      const isAtWall = does.base.enter === 'atWall' || items.some(({ kind }) => kind === 'wall')
      const key = JSON.stringify([blockId, isAtWall, items])
      const group = groups.get(key) ?? { entry: { blockId, items, isAtWall }, who: [] }
      group.who.push(comer.id)
      groups.set(key, group)
    }
  }
  return [...groups.values()].map(({ entry, who }) => ({ ...entry, who }))
}

/** Undefined where the block's own set-up stays. */
function itemsOf(
  { takes, variant }: Choice,
  poseId: string,
  { setUps = [] }: Person,
  catalog: Shelf,
  extent: SetUp['extent'],
): readonly SetUpItem[] | undefined {
  const isPlanned = takes.kind === 'asItStands' || takes.kind === 'changed'
  const kept = setUps.find((one) => one.poseId === poseId && one.variantId === variant?.id)
  if (kept && !(isPlanned && catalog.keptForOne)) return kept.items
  if (takes.kind === 'setUp')
    return setUpsFor(catalog, poseId, variant?.id).find(({ id }) => id === takes.setUpId)?.items
  if (takes.kind === 'pose') return usualSetUp(setUpsFor(catalog, poseId, variant?.id), extent)?.items ?? []
  if (takes.kind !== 'variant') return undefined
  // A form that is set up like its pose has what was planned for it.
  const own = setUpsFor(catalog, poseId, variant?.id).filter(({ variantId }) => variantId === variant?.id)
  return usualSetUp(own, extent)?.items
}
