import { nanoid } from 'nanoid'
import type { Block } from '#model/block'

/** Something of the shelf that can be put into a session. */
export type ShelfThing =
  | { readonly kind: 'hold'; readonly id: string }
  | { readonly kind: 'breath'; readonly id: string }
  | { readonly kind: 'movement'; readonly id: string }
  | { readonly kind: 'talk' | 'rest' | 'closing'; readonly id: string }

/** A new block of that kind; what it does not set is resolved from its pose, school and level. */
export function newBlock(thing: ShelfThing): Block {
  const id = nanoid()
  switch (thing.kind) {
    case 'hold':
      return { kind: 'hold', id, poseId: thing.id }
    case 'breath':
      return { kind: 'breath', id, techniqueId: thing.id }
    case 'movement':
      return { kind: 'movement', id, movementId: thing.id }
    case 'talk':
      return { kind: 'talk', id, title: 'Talk', s: 120 }
    case 'rest':
      return { kind: 'rest', id, s: 120 }
    case 'closing':
      return { kind: 'closing', id }
  }
}
