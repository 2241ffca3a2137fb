import type { SetUp } from '#model/set-up'
import { blanket, block, bolster, book, chair, cover, cushion, pillow, setUpsOf, strap, towel, wall } from './parts.ts'

/** Set-ups sitting, on a chair and standing. */
export const setUpsSitting: readonly SetUp[] = [
  ...setUpsOf('long-leg-fold', {
    full: [
      blanket('pelvis', 'narrow'),
      towel('knees', 'roll'),
      bolster('head', 'crosswise', { count: 2 }),
      blanket('head', 'square'),
    ],
    few: [blanket('pelvis', 'narrow'), chair('head'), blanket('head', 'square')],
    household: [blanket('pelvis', 'narrow'), chair('head'), towel('head', 'square')],
    names: { few: 'Head on a chair' },
  }),
  ...setUpsOf('one-leg-fold', {
    full: [blanket('pelvis', 'narrow'), bolster('head', 'crosswise', { count: 2 }), blanket('head', 'square')],
    few: [blanket('pelvis', 'narrow'), chair('head'), blanket('head', 'square')],
    household: [blanket('pelvis', 'narrow'), chair('head'), towel('head', 'square')],
    names: { few: 'Head on a chair' },
  }),
  ...setUpsOf('straddle-fold', {
    full: [blanket('pelvis', 'narrow'), chair('head'), bolster('head', 'crosswise')],
    few: [blanket('pelvis', 'narrow'), chair('head'), blanket('head', 'square')],
    household: [blanket('pelvis', 'narrow'), chair('head'), towel('head', 'square')],
    names: { full: 'Head on a chair' },
  }),
  ...setUpsOf('bound-angle-seated', {
    full: [
      blanket('pelvis', 'narrow'),
      blanket('knees', 'narrow', { count: 2, piles: 2, turn: 'lengthwise' }),
      chair('head'),
      blanket('head', 'standard'),
    ],
    few: [blanket('pelvis', 'narrow'), chair('head')],
    household: [blanket('pelvis', 'narrow'), chair('head'), towel('head', 'standard')],
  }),
  ...setUpsOf('cross-legged-fold', {
    full: [blanket('pelvis', 'narrow'), chair('head'), blanket('head', 'standard')],
    few: [blanket('pelvis', 'narrow'), chair('head')],
    household: [blanket('pelvis', 'narrow'), chair('head'), towel('head', 'square')],
    names: { few: 'Head on a chair' },
  }),
  ...setUpsOf('deer', {
    full: [blanket('pelvis', 'standard'), block('hands', 'side', { count: 2, piles: 2 })],
    few: [blanket('pelvis', 'standard')],
    household: [towel('pelvis', 'square')],
  }),
  ...setUpsOf('stacked-knees', {
    full: [blanket('pelvis', 'narrow'), towel('knees', 'thirds', { count: 2, piles: 2 })],
    few: [blanket('pelvis', 'narrow')],
    household: [cushion('pelvis')],
  }),
  ...setUpsOf('double-shin', {
    full: [blanket('pelvis', 'narrow'), towel('knees', 'thirds', { count: 2, piles: 2 })],
    few: [blanket('pelvis', 'narrow')],
    household: [cushion('pelvis')],
  }),
  ...setUpsOf('cross-legged-seat', {
    full: [cushion('pelvis'), towel('knees', 'thirds', { count: 2, piles: 2 })],
    few: [blanket('pelvis', 'narrow')],
    household: [pillow('pelvis', 'crosswise', { count: 2 })],
  }),
  ...setUpsOf('twist-over-a-bolster', {
    full: [bolster('chest', 'lengthwise'), towel('pelvis', 'standard')],
    few: [bolster('chest', 'lengthwise')],
    household: [pillow('chest', 'lengthwise', { count: 2 })],
  }),
  ...setUpsOf('seated-twist', {
    full: [blanket('pelvis', 'narrow'), block('hands', 'flat', { count: 2, piles: 2 })],
    few: [blanket('pelvis', 'narrow')],
    household: [cushion('pelvis')],
  }),
  ...setUpsOf('side-bend-seated', {
    full: [blanket('pelvis', 'narrow'), block('hands', 'side', { count: 2, piles: 2 })],
    few: [blanket('pelvis', 'narrow')],
    household: [cushion('pelvis')],
  }),
  ...setUpsOf('crossed-arms-seated', {
    full: [blanket('pelvis', 'narrow'), towel('knees', 'thirds', { count: 2, piles: 2 })],
    few: [blanket('pelvis', 'narrow')],
    household: [cushion('pelvis')],
  }),
  ...setUpsOf('hands-clasped-behind', {
    full: [blanket('pelvis', 'narrow'), strap('hands')],
    few: [strap('hands')],
    household: [cushion('pelvis')],
  }),
  ...setUpsOf('chair-seat', {
    full: [chair('pelvis'), blanket('feet', 'standard'), cover],
    few: [chair('pelvis'), blanket('feet', 'standard')],
    household: [chair('pelvis'), book('feet', 'flat', { count: 2, piles: 2 })],
  }),
  ...setUpsOf('lean-on-a-chair', {
    full: [
      chair('pelvis'),
      chair('head'),
      bolster('head', 'crosswise', { count: 2 }),
      blanket('head', 'square'),
      blanket('feet', 'standard'),
    ],
    few: [chair('pelvis'), chair('head'), bolster('head', 'crosswise', { count: 2 })],
    household: [
      chair('pelvis'),
      chair('head'),
      pillow('head', 'crosswise', { count: 4 }),
      book('feet', 'flat', { count: 2, piles: 2 }),
    ],
  }),
  ...setUpsOf('chair-twist', {
    full: [chair('pelvis'), blanket('feet', 'standard'), { ...block('thighs', 'side'), lies: 'between' }],
    few: [chair('pelvis'), { ...block('thighs', 'side'), lies: 'between' }],
    household: [
      chair('pelvis'),
      { ...book('thighs', 'flat'), lies: 'between' },
      book('feet', 'flat', { count: 2, piles: 2 }),
    ],
  }),
  ...setUpsOf('chair-figure-four', {
    full: [chair('pelvis'), blanket('feet', 'standard')],
    few: [chair('pelvis')],
    household: [chair('pelvis'), book('feet', 'flat')],
  }),
  ...setUpsOf('wide-standing-fold', {
    full: [chair('head'), bolster('head', 'crosswise')],
    few: [chair('head'), blanket('head', 'standard')],
    household: [chair('head'), towel('head', 'standard')],
  }),
  ...setUpsOf('half-fold-at-the-wall', {
    full: [wall('hands')],
    few: [wall('hands')],
    household: [wall('hands')],
  }),
  ...setUpsOf('low-squat', {
    full: [towel('feet', 'narrow', { count: 2, piles: 2 }), block('pelvis', 'side'), towel('pelvis', 'standard')],
    few: [towel('feet', 'narrow', { count: 2, piles: 2 })],
    household: [towel('feet', 'narrow', { count: 2, piles: 2 })],
  }),
]
