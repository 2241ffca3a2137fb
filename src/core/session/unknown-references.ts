import type { Block } from '#model/block'
import type { Session } from '#model/session'
import type { Catalog } from './catalog.ts'
import { poseIn } from './own.ts'

export interface UnknownReference {
  readonly path: string
  readonly id: string
}

/** Every id that a session names and the catalog does not have, with its path; empty when it can be compiled. */
export function unknownReferences(session: Pick<Session, 'schoolId' | 'blocks'>, catalog: Catalog): UnknownReference[] {
  const school = catalog.schools.has(session.schoolId) ? [] : [{ path: 'schoolId', id: session.schoolId }]
  return [...school, ...unknownInBlocks(session.blocks, catalog)]
}

/** Every id that some blocks name and the catalog does not have. */
export const unknownInBlocks = (blocks: readonly Block[], catalog: Catalog): UnknownReference[] =>
  blocks.flatMap((block, index) => unknownIn(block, `blocks[${String(index)}]`, catalog))

function unknownIn(block: Block, path: string, catalog: Catalog): UnknownReference[] {
  switch (block.kind) {
    case 'hold': {
      const pose = poseIn(catalog, block.poseId)
      if (!pose) return [{ path: `${path}.poseId`, id: block.poseId }]
      const { variantId, breathOver } = block
      const noVariant = variantId !== undefined && !pose.variants.some(({ id }) => id === variantId)
      const noTechnique = breathOver !== undefined && !catalog.techniques.has(breathOver.techniqueId)
      return [
        ...(noVariant ? [{ path: `${path}.variantId`, id: variantId }] : []),
        ...(noTechnique ? [{ path: `${path}.breathOver.techniqueId`, id: breathOver.techniqueId }] : []),
      ]
    }
    case 'breath':
      return block.sections.flatMap((section, at) => {
        const id = section.kind === 'retention' ? undefined : section.techniqueId
        return id === undefined || catalog.techniques.has(id)
          ? []
          : [{ path: `${path}.sections[${String(at)}].techniqueId`, id }]
      })
    case 'movement':
      return catalog.movements.has(block.movementId) ? [] : [{ path: `${path}.movementId`, id: block.movementId }]
    default:
      return []
  }
}
