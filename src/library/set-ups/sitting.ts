import type { SetUp } from '#model/set-up'
import {
  between,
  blanket,
  block,
  bolster,
  book,
  chair,
  cover,
  cushion,
  door,
  pillow,
  scarf,
  setUpsOf,
  strap,
  towel,
  wall,
} from './parts.ts'

/** Set-ups sitting, on a chair and standing. */
export const setUpsSitting: readonly SetUp[] = [
  ...setUpsOf('long-leg-fold', {
    full: [
      blanket('pelvis', 'narrow'),
      towel('knees', 'roll'),
      bolster('head', 'crosswise', { count: 2 }),
      blanket('head', 'square'),
      cover,
    ],
    few: [blanket('pelvis', 'narrow'), chair('head'), blanket('head', 'square')],
    household: [blanket('pelvis', 'narrow'), chair('head'), towel('head', 'square')],
    names: { few: 'Head on a chair' },
  }),
  ...setUpsOf('one-leg-fold', {
    full: [blanket('pelvis', 'narrow'), bolster('head', 'crosswise', { count: 2 }), blanket('head', 'square'), cover],
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
      cover,
    ],
    few: [blanket('pelvis', 'narrow'), chair('head'), blanket('head', 'standard')],
    household: [blanket('pelvis', 'narrow'), chair('head'), towel('head', 'standard')],
  }),
  ...setUpsOf('cross-legged-fold', {
    full: [
      blanket('pelvis', 'narrow'),
      chair('head'),
      blanket('head', 'standard'),
      towel('knees', 'thirds', { count: 2, piles: 2 }),
      cover,
    ],
    few: [blanket('pelvis', 'narrow'), chair('head'), blanket('head', 'standard')],
    household: [blanket('pelvis', 'narrow'), chair('head'), towel('head', 'square')],
    names: { full: 'Head on a chair, knees supported', few: 'Head on a chair' },
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
    full: [cushion('pelvis'), towel('knees', 'thirds', { count: 2, piles: 2 }), cover],
    few: [blanket('pelvis', 'narrow')],
    household: [pillow('pelvis', 'crosswise', { count: 2 })],
  }),
  ...setUpsOf('twist-over-a-bolster', {
    full: [
      bolster('chest', 'lengthwise'),
      blanket('head', 'single'),
      between(blanket('knees', 'standard')),
      blanket('arms', 'standard', { count: 2, piles: 2 }),
      cover,
    ],
    few: [bolster('chest', 'lengthwise'), between(blanket('knees', 'quarter'))],
    household: [pillow('chest', 'lengthwise', { count: 2 }), between(towel('knees', 'square'))],
  }),
  ...setUpsOf('seated-twist', {
    full: [blanket('pelvis', 'narrow'), block('hands', 'flat', { count: 2, piles: 2 })],
    few: [blanket('pelvis', 'narrow')],
    household: [cushion('pelvis')],
  }),
  ...setUpsOf('side-bend-seated', {
    full: [blanket('pelvis', 'narrow'), block('hands', 'side', { count: 2, piles: 2 }), cover],
    few: [blanket('pelvis', 'narrow')],
    household: [cushion('pelvis')],
  }),
  ...setUpsOf('crossed-arms-seated', {
    full: [blanket('pelvis', 'narrow'), towel('knees', 'thirds', { count: 2, piles: 2 })],
    few: [blanket('pelvis', 'narrow')],
    household: [cushion('pelvis')],
  }),
  ...setUpsOf('hands-clasped-behind', {
    full: [blanket('pelvis', 'narrow'), towel('knees', 'thirds', { count: 2, piles: 2 }), strap('hands')],
    few: [blanket('pelvis', 'narrow'), strap('hands')],
    household: [cushion('pelvis'), scarf('hands')],
  }),
  ...setUpsOf('chair-seat', {
    full: [chair('pelvis'), blanket('feet', 'narrow'), cover],
    few: [chair('pelvis'), blanket('feet', 'standard')],
    household: [chair('pelvis'), book('feet', 'flat', { count: 2, piles: 2 })],
  }),
  ...setUpsOf('lean-on-a-chair', {
    full: [chair('pelvis'), blanket('head', 'thirds'), blanket('feet', 'standard'), cover],
    few: [chair('pelvis'), blanket('head', 'thirds'), towel('feet', 'square', { count: 2, piles: 2 })],
    household: [chair('pelvis'), pillow('head', 'crosswise'), book('feet', 'flat', { count: 2, piles: 2 })],
  }),
  ...setUpsOf('chair-twist', {
    full: [
      chair('pelvis'),
      blanket('feet', 'standard'),
      between(block('thighs', 'side')),
      blanket('hands', 'quarter'),
      cover,
    ],
    few: [chair('pelvis'), blanket('feet', 'standard'), between(block('thighs', 'side'))],
    household: [chair('pelvis'), between(book('thighs', 'flat')), book('feet', 'flat', { count: 2, piles: 2 })],
  }),
  ...setUpsOf('chair-figure-four', {
    full: [chair('pelvis'), blanket('feet', 'standard'), towel('thighs', 'quarter')],
    few: [chair('pelvis'), blanket('feet', 'standard')],
    household: [chair('pelvis'), book('feet', 'flat')],
  }),
  ...setUpsOf('chair-side-bend', {
    full: [chair('pelvis'), blanket('feet', 'standard'), towel('pelvis', 'quarter')],
    few: [chair('pelvis'), blanket('feet', 'standard')],
    household: [chair('pelvis'), book('feet', 'flat', { count: 2, piles: 2 })],
  }),
  ...setUpsOf('chair-fold', {
    full: [chair('pelvis'), blanket('feet', 'standard'), chair('head'), blanket('head', 'thirds'), cover],
    few: [chair('pelvis'), blanket('feet', 'standard'), chair('head'), blanket('head', 'thirds')],
    household: [
      chair('pelvis'),
      book('feet', 'flat', { count: 2, piles: 2 }),
      chair('head'),
      pillow('head', 'crosswise', { count: 2 }),
    ],
  }),
  ...setUpsOf('chair-leg-long', {
    full: [chair('pelvis'), blanket('feet', 'standard'), towel('pelvis', 'quarter')],
    few: [chair('pelvis'), blanket('feet', 'standard')],
    household: [chair('pelvis'), book('feet', 'flat')],
  }),
  ...setUpsOf('wide-standing-fold', {
    full: [chair('head'), bolster('head', 'crosswise')],
    few: [chair('head'), blanket('head', 'standard')],
    household: [chair('head'), towel('head', 'standard')],
  }),
  ...setUpsOf('half-fold-at-the-wall', {
    full: [wall('hands'), between(block('thighs', 'flat'))],
    few: [wall('hands')],
    household: [door('hands')],
  }),
  ...setUpsOf('low-squat', {
    full: [
      towel('feet', 'narrow', { count: 2, piles: 2 }),
      block('pelvis', 'flat', { count: 2 }),
      towel('pelvis', 'standard'),
    ],
    few: [blanket('feet', 'quarter', { count: 2, piles: 2 })],
    household: [towel('feet', 'narrow', { count: 2, piles: 2 })],
  }),
  ...setUpsOf('accomplished-seat', {
    full: [cushion('pelvis'), towel('knees', 'thirds', { count: 2, piles: 2 }), cover],
    few: [blanket('pelvis', 'narrow')],
    household: [pillow('pelvis', 'crosswise', { count: 2 })],
  }),
  ...setUpsOf('half-lotus-seat', {
    full: [cushion('pelvis'), towel('knees', 'thirds', { count: 2, piles: 2 })],
    few: [blanket('pelvis', 'narrow')],
    household: [pillow('pelvis', 'crosswise', { count: 2 })],
  }),
  ...setUpsOf('cow-face-arms', {
    full: [blanket('pelvis', 'narrow'), strap('hands'), towel('knees', 'thirds', { count: 2, piles: 2 })],
    few: [blanket('pelvis', 'narrow'), strap('hands')],
    household: [cushion('pelvis'), scarf('hands')],
  }),
]
