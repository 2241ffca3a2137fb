import { nanoid } from 'nanoid'
import type { Block } from '#model/block'
import type { Section } from '#model/section'
import { shippedCatalog } from '#library/shipped'
import { techniqueSection } from './technique-section.ts'

/** Something of the shelf that can be put into a session; a piece is a run of blocks. */
export type ShelfThing =
  | { readonly kind: 'hold'; readonly id: string }
  | { readonly kind: 'breath'; readonly id: string }
  | { readonly kind: 'movement'; readonly id: string }
  | { readonly kind: 'piece'; readonly id: string; readonly blocks: readonly Block[] }
  | { readonly kind: 'talk' | 'rest' | 'closing'; readonly id: string }

type OfOne = Exclude<ShelfThing, { readonly kind: 'piece' }>

/** A new block of that kind; what it does not set is resolved from its pose, school and level. */
export function newBlock(thing: OfOne): Block {
  const id = nanoid()
  switch (thing.kind) {
    case 'hold':
      return { kind: 'hold', id, poseId: thing.id }
    case 'breath':
      return { kind: 'breath', id, sections: [breathOf(thing.id)] }
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

/** What a technique leaves open stays open; only strokes have to be said. */
function breathOf(techniqueId: string): Section {
  const technique = shippedCatalog.techniques.get(techniqueId)
  return technique?.strokes ? techniqueSection(technique) : { kind: 'rounds', id: nanoid(), techniqueId }
}

/** The blocks a thing of the shelf comes to: those of a piece as they were kept, with ids of their own. */
export const newBlocks = (thing: ShelfThing): Block[] =>
  thing.kind === 'piece'
    ? thing.blocks.map((block) => ({ ...structuredClone(block), id: nanoid() }))
    : [newBlock(thing)]
