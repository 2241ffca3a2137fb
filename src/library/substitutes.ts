import type { BodyPart } from '#model/set-up'
import type { Substitute } from '#model/substitute'
import { namedFolds } from './prop-kinds.ts'

const knees: readonly BodyPart[] = ['knees', 'shins']
const trunk: readonly BodyPart[] = ['upperBack', 'lowBack', 'chest', 'belly']

const rolled = { folds: namedFolds.roll }
/** Folded long and stacked: as wide as a bolster, lengthwise as it lies. */
const stacked = { folds: namedFolds.narrow, turn: 'lengthwise' } as const

/**
 * What stands in for what, by task [handling book 3]. A missing wall is no matter of substitutes, nor is a mat.
 * Strap: round the sacrum two belts are joined.
 */
export const substitutes: readonly Substitute[] = [
  { kind: 'rectBolster', at: knees, by: 'roundBolster', n: 1, penalty: 0 },
  { kind: 'rectBolster', at: knees, by: 'longPillow', n: 2, penalty: 1 },
  { kind: 'rectBolster', at: knees, by: 'blanket', n: 2, ...rolled, penalty: 1 },
  { kind: 'rectBolster', at: trunk, by: 'blanket', n: 3, ...stacked, penalty: 1 },
  { kind: 'rectBolster', at: trunk, unless: 'onBlock', by: 'longPillow', n: 2, penalty: 2 },
  { kind: 'roundBolster', by: 'rectBolster', n: 1, penalty: 1 },
  { kind: 'roundBolster', by: 'blanket', n: 2, ...rolled, penalty: 1 },
  { kind: 'foamBlock', by: 'corkBlock', n: 1, penalty: 1 },
  { kind: 'foamBlock', only: 'underBolster', by: 'rectBolster', n: 1, penalty: 1 },
  { kind: 'foamBlock', by: 'book', n: 4, penalty: 2 },
  { kind: 'corkBlock', by: 'foamBlock', n: 1, penalty: 1 },
  { kind: 'corkBlock', by: 'book', n: 3, penalty: 1 },
  { kind: 'blanket', lies: ['under', 'between', 'behind', 'around'], by: 'towel', n: 2, penalty: 1 },
  { kind: 'blanket', lies: ['under', 'between', 'behind'], by: 'longPillow', n: 1, penalty: 2 },
  { kind: 'blanket', lies: ['over'], by: 'coat', n: 1, penalty: 1 },
  // Ours, not in the book: many set-ups pad with a towel, and few cupboards have any.
  { kind: 'towel', lies: ['under', 'between', 'behind'], by: 'blanket', n: 1, folds: namedFolds.standard, penalty: 1 },
  { kind: 'seatCushion', by: 'blanket', n: 2, folds: namedFolds.standard, penalty: 1 },
  { kind: 'seatCushion', by: 'longPillow', n: 1, penalty: 2 },
  { kind: 'strap', at: ['pelvis', 'lowBack'], by: 'belt', n: 2, penalty: 1 },
  { kind: 'strap', at: ['hands', 'arms', 'thighs', 'knees', 'shins', 'ankles', 'feet'], by: 'belt', n: 1, penalty: 1 },
  { kind: 'strap', by: 'scarf', n: 1, penalty: 1 },
  { kind: 'eyePillow', by: 'nothing', n: 0, penalty: 0 },
  { kind: 'eyePillow', by: 'towel', n: 1, folds: namedFolds.square, penalty: 1 },
  { kind: 'eyePillow', by: 'scarf', n: 1, penalty: 1 },
  { kind: 'sandbag', by: 'nothing', n: 0, penalty: 0 },
  { kind: 'sandbag', by: 'riceBag', n: 1, penalty: 1 },
  { kind: 'chair', at: ['shins'], by: 'rectBolster', n: 2, penalty: 1 },
  { kind: 'chair', by: 'sofa', n: 1, penalty: 2 },
]
