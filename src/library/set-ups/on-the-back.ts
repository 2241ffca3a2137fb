import type { SetUp } from '#model/set-up'
import {
  blanket,
  block,
  bolster,
  book,
  chair,
  corkBlock,
  cover,
  eyePillow,
  pillow,
  setUpsOf,
  strap,
  towel,
  wall,
} from './parts.ts'

/** Set-ups on the back and at the wall. */
export const setUpsOnTheBack: readonly SetUp[] = [
  ...setUpsOf('constructive-rest', {
    full: [blanket('head', 'standard'), strap('thighs'), cover, eyePillow],
    few: [blanket('head', 'standard')],
    household: [towel('head', 'square')],
  }),
  ...setUpsOf('knees-over-a-bolster', {
    full: [bolster('knees', 'crosswise'), blanket('ankles', 'standard'), blanket('head', 'standard'), eyePillow],
    few: [blanket('knees', 'roll'), blanket('head', 'standard')],
    household: [pillow('knees', 'crosswise', { count: 2 }), towel('head', 'square')],
    names: { few: 'Rolled blanket' },
  }),
  ...setUpsOf('inclined-rest', {
    full: [
      blanket('pelvis', 'standard'),
      block('upperBack', 'side'),
      bolster('upperBack', 'lengthwise'),
      corkBlock('lowBack', 'flat'),
      blanket('head', 'standard'),
      blanket('arms', 'standard', { count: 2, piles: 2, turn: 'lengthwise' }),
      blanket('knees', 'roll'),
    ],
    few: [
      blanket('pelvis', 'standard'),
      block('upperBack', 'side'),
      bolster('upperBack', 'lengthwise'),
      blanket('head', 'standard'),
      blanket('knees', 'roll'),
    ],
    household: [
      blanket('pelvis', 'standard'),
      pillow('upperBack', 'lengthwise', { count: 2 }),
      towel('head', 'square'),
      blanket('knees', 'roll'),
    ],
  }),
  ...setUpsOf('reclined-bound-angle', {
    full: [
      blanket('pelvis', 'spinePad'),
      block('upperBack', 'flat'),
      bolster('upperBack', 'lengthwise'),
      blanket('head', 'standard'),
      block('knees', 'lengthwise', { count: 2, piles: 2 }),
      blanket('knees', 'narrow', { count: 2, piles: 2, turn: 'lengthwise' }),
      eyePillow,
    ],
    few: [
      blanket('pelvis', 'spinePad'),
      bolster('upperBack', 'lengthwise'),
      blanket('head', 'standard'),
      blanket('knees', 'roll', { count: 2, piles: 2, turn: 'lengthwise' }),
    ],
    household: [towel('head', 'square'), blanket('knees', 'roll', { count: 2, piles: 2, turn: 'lengthwise' })],
  }),
  ...setUpsOf('calves-on-a-chair', {
    full: [chair('shins'), blanket('pelvis', 'narrow'), blanket('head', 'quarter'), eyePillow],
    few: [bolster('shins', 'crosswise', { count: 2 }), blanket('head', 'standard')],
    household: [pillow('shins', 'crosswise', { count: 3 }), towel('head', 'square')],
    names: { few: 'Calves on bolsters' },
  }),
  ...setUpsOf('final-rest-lying', {
    full: [bolster('knees', 'crosswise'), blanket('head', 'quarter'), cover, eyePillow],
    few: [blanket('head', 'quarter'), cover],
    household: [towel('head', 'square'), pillow('knees', 'crosswise', { count: 2 })],
  }),
  ...setUpsOf('figure-four-lying', {
    full: [blanket('head', 'quarter'), block('feet', 'flat')],
    few: [blanket('head', 'quarter')],
    household: [towel('head', 'square')],
  }),
  ...setUpsOf('knees-across-twist', {
    full: [bolster('knees', 'lengthwise'), blanket('head', 'quarter')],
    few: [blanket('knees', 'narrow', { turn: 'lengthwise' }), blanket('head', 'quarter')],
    household: [pillow('knees', 'lengthwise'), towel('head', 'square')],
  }),
  ...setUpsOf('knees-to-chest', {
    full: [blanket('head', 'standard'), strap('shins')],
    few: [blanket('head', 'quarter')],
    household: [towel('head', 'square')],
  }),
  ...setUpsOf('soles-to-the-ceiling', {
    full: [blanket('head', 'quarter'), strap('feet'), strap('feet')],
    few: [blanket('head', 'quarter')],
    household: [towel('head', 'square')],
  }),
  ...setUpsOf('leg-up-with-a-strap', {
    full: [blanket('head', 'quarter'), strap('feet')],
    few: [blanket('head', 'quarter')],
    household: [towel('head', 'square')],
  }),
  ...setUpsOf('heart-over-a-roll', {
    full: [blanket('upperBack', 'thinRoll'), blanket('head', 'spinePad'), blanket('knees', 'roll')],
    few: [blanket('upperBack', 'standard'), blanket('head', 'standard')],
    household: [towel('upperBack', 'thinRoll'), towel('head', 'square')],
  }),
  ...setUpsOf('long-heart-opener', {
    full: [
      blanket('pelvis', 'standard'),
      bolster('upperBack', 'lengthwise'),
      blanket('head', 'standard'),
      blanket('knees', 'roll'),
      blanket('arms', 'standard', { count: 2, piles: 2, turn: 'lengthwise' }),
    ],
    few: [blanket('upperBack', 'spinePad', { turn: 'lengthwise' }), blanket('head', 'standard')],
    household: [pillow('upperBack', 'lengthwise'), towel('head', 'square')],
  }),
  ...setUpsOf('draped-over-rolls', {
    full: [
      blanket('upperBack', 'thinRoll'),
      blanket('head', 'spinePad'),
      towel('neck', 'roll'),
      bolster('knees', 'crosswise'),
    ],
    few: [blanket('upperBack', 'standard'), blanket('head', 'quarter'), blanket('knees', 'roll')],
    household: [towel('upperBack', 'thinRoll'), towel('head', 'square'), pillow('knees', 'crosswise', { count: 2 })],
  }),
  ...setUpsOf('supported-bridge', {
    full: [block('pelvis', 'flat'), towel('pelvis', 'standard'), blanket('head', 'single')],
    few: [blanket('pelvis', 'narrow')],
    household: [book('pelvis', 'flat', { count: 3 }), towel('pelvis', 'standard')],
  }),
  ...setUpsOf('reclined-hero', {
    full: [
      block('upperBack', 'side'),
      bolster('upperBack', 'lengthwise'),
      corkBlock('pelvis', 'flat'),
      towel('pelvis', 'square'),
      blanket('head', 'standard'),
    ],
    few: [
      corkBlock('pelvis', 'flat'),
      towel('pelvis', 'square'),
      bolster('upperBack', 'lengthwise'),
      blanket('head', 'standard'),
    ],
    household: [
      book('pelvis', 'flat'),
      towel('pelvis', 'square'),
      pillow('upperBack', 'lengthwise', { count: 2 }),
      towel('head', 'square'),
    ],
  }),
  ...setUpsOf('half-reclined-hero', {
    full: [
      corkBlock('pelvis', 'flat'),
      towel('pelvis', 'square'),
      block('upperBack', 'side'),
      bolster('upperBack', 'lengthwise'),
      blanket('head', 'standard'),
    ],
    few: [
      corkBlock('pelvis', 'flat'),
      towel('pelvis', 'square'),
      bolster('upperBack', 'lengthwise'),
      blanket('head', 'quarter'),
    ],
    household: [
      book('pelvis', 'flat'),
      towel('pelvis', 'square'),
      pillow('upperBack', 'lengthwise', { count: 2 }),
      towel('head', 'square'),
    ],
  }),
  ...setUpsOf('legs-up-the-wall', {
    full: [wall('feet'), blanket('head', 'quarter'), cover, eyePillow],
    few: [wall('feet'), blanket('head', 'quarter')],
    household: [chair('shins'), blanket('pelvis', 'narrow'), towel('head', 'standard')],
    figures: { household: { kind: 'lying', legs: 'chair' } },
    notes: { household: 'Where there is no wall: calves on a chair or a sofa.' },
  }),
  ...setUpsOf('legs-up-pelvis-raised', {
    full: [wall('feet'), bolster('pelvis', 'crosswise'), blanket('head', 'single'), eyePillow],
    few: [wall('feet'), blanket('pelvis', 'narrow')],
    household: [wall('feet'), pillow('pelvis', 'crosswise', { count: 2 })],
  }),
  ...setUpsOf('wide-legs-at-the-wall', {
    full: [wall('feet'), blanket('head', 'quarter'), eyePillow],
    few: [wall('feet'), blanket('head', 'quarter')],
    household: [wall('feet'), towel('head', 'square')],
  }),
  ...setUpsOf('figure-four-at-the-wall', {
    full: [wall('feet'), blanket('head', 'quarter')],
    few: [wall('feet'), towel('head', 'square')],
    household: [wall('feet'), towel('head', 'square')],
  }),
]
