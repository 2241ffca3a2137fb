import type { OwnDocument } from '#model/own'
import type { SetUp } from '#model/set-up'
import type { Catalog } from './catalog.ts'
import { poseIn } from './own.ts'
import { unknownInBlocks } from './unknown-references.ts'
import type { UnknownReference } from './unknown-references.ts'

/** Every id that something of the teacher's own names and the catalog does not have, with its path. */
export function unknownInOwn(thing: OwnDocument, catalog: Catalog): UnknownReference[] {
  if (thing.kind === 'variant') {
    const { poseId } = thing.document
    return poseIn(catalog, poseId) ? [] : [{ path: 'poseId', id: poseId }]
  }
  if (thing.kind === 'setUp') return unknownInSetUp(thing.document, catalog)
  if (thing.kind === 'school' || thing.kind === 'script') return []
  if (thing.kind === 'piece') return unknownInBlocks(thing.document.blocks, catalog)
  const { counterposes, id: ownId } = thing.document
  return counterposes.flatMap((id, at) =>
    id === ownId || poseIn(catalog, id) ? [] : [{ path: `counterposes[${String(at)}]`, id }],
  )
}

function unknownInSetUp({ poseId, variantId }: SetUp, catalog: Catalog): UnknownReference[] {
  const pose = poseIn(catalog, poseId)
  if (!pose) return [{ path: 'poseId', id: poseId }]
  const hasForm = variantId === undefined || pose.variants.some(({ id }) => id === variantId)
  return hasForm ? [] : [{ path: 'variantId', id: variantId }]
}
