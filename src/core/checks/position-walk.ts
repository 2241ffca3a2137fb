import type { BasePosition } from '#model/common'
import type { Look } from './rule.ts'

/** The base positions people come to, one after the other, with the block of each; the closing's is left out. */
export const positionWalk = ({ blocks }: Look): { position: BasePosition; id: string }[] =>
  blocks
    .flatMap((block) =>
      block.kind === 'talk' || block.kind === 'closing' ? [] : [{ position: block.toPosition, id: block.block.id }],
    )
    .filter(({ position }, at, all) => position !== all[at - 1]?.position)
