import type { Session } from '#model/session'
import type { Catalog } from '#core/session'
import { blockNameIn } from './blocks.ts'
import type { NamesOfSeries } from './series.ts'

/** What things of a series are called, by the session it grows from and the shelf as they are when that is asked. */
export function namesOfSeries(base: () => Session | undefined, catalog: () => Catalog): NamesOfSeries {
  const blockOf = (id: string) => base()?.blocks.find((one) => one.id === id)
  return {
    block(id) {
      const block = blockOf(id)
      return block ? blockNameIn(block, catalog()) : 'a block that is gone'
    },
    pose: (id) => catalog().poses.get(id)?.names.english ?? 'a pose that is gone',
    form(blockId, variantId) {
      const block = blockOf(blockId)
      const pose = block?.kind === 'hold' ? catalog().poses.get(block.poseId) : undefined
      return pose?.variants.find(({ id }) => id === variantId)?.name ?? 'a form that is gone'
    },
    technique: (id) => catalog().techniques.get(id)?.names.english ?? 'a breath that is gone',
  }
}
