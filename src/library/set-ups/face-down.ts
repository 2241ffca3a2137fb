import type { SetUp } from '#model/set-up'
import { blanket, block, bolster, book, cover, pillow, setUpsOf, towel } from './parts.ts'

/** Set-ups face down, kneeling, on all fours and on the side. */
export const setUpsFaceDown: readonly SetUp[] = [
  ...setUpsOf('wide-knee-fold', {
    full: [
      blanket('pelvis', 'narrow'),
      bolster('chest', 'lengthwise'),
      blanket('chest', 'narrow', { turn: 'lengthwise' }),
      towel('ankles', 'narrow'),
    ],
    few: [bolster('chest', 'lengthwise'), blanket('pelvis', 'narrow')],
    household: [pillow('chest', 'lengthwise', { count: 2 }), towel('pelvis', 'narrow')],
  }),
  ...setUpsOf('knees-together-fold', {
    full: [
      blanket('pelvis', 'narrow'),
      blanket('head', 'narrow'),
      blanket('knees', 'longHalf', { turn: 'lengthwise' }),
    ],
    few: [blanket('pelvis', 'narrow'), blanket('head', 'square')],
    household: [towel('pelvis', 'narrow'), pillow('head', 'crosswise')],
  }),
  ...setUpsOf('heel-sit', {
    full: [
      blanket('shins', 'longHalf', { turn: 'lengthwise' }),
      block('pelvis', 'flat'),
      towel('pelvis', 'square', { turn: 'lengthwise' }),
      towel('ankles', 'narrow'),
    ],
    few: [block('pelvis', 'flat'), towel('pelvis', 'square', { turn: 'lengthwise' })],
    household: [pillow('pelvis', 'crosswise')],
  }),
  ...setUpsOf('toes-tucked-kneel', {
    full: [blanket('knees', 'narrow'), blanket('pelvis', 'narrow')],
    few: [blanket('knees', 'quarter')],
    household: [towel('knees', 'standard')],
  }),
  ...setUpsOf('ankle-lean', {
    full: [towel('ankles', 'narrow')],
    few: [towel('ankles', 'quarter')],
    household: [],
  }),
  ...setUpsOf('level-all-fours', {
    full: [blanket('knees', 'quarter')],
    few: [blanket('knees', 'single')],
    household: [towel('knees', 'standard')],
  }),
  ...setUpsOf('threaded-arm', {
    full: [blanket('knees', 'single'), blanket('head', 'standard')],
    few: [blanket('head', 'standard')],
    household: [towel('head', 'square')],
  }),
  ...setUpsOf('long-arm-kneel', {
    full: [blanket('knees', 'quarter'), bolster('chest', 'lengthwise'), blanket('head', 'single')],
    few: [blanket('knees', 'quarter'), blanket('head', 'quarter')],
    household: [towel('knees', 'standard'), pillow('head', 'crosswise')],
  }),
  ...setUpsOf('low-lunge', {
    full: [blanket('knees', 'quarter'), block('hands', 'side', { count: 2, piles: 2 })],
    few: [block('hands', 'side', { count: 2, piles: 2 })],
    household: [towel('knees', 'standard'), book('hands', 'flat', { count: 8, piles: 2 })],
  }),
  ...setUpsOf('sleeping-swan', {
    full: [blanket('pelvis', 'square'), bolster('chest', 'lengthwise')],
    few: [blanket('pelvis', 'square'), blanket('head', 'square')],
    household: [towel('pelvis', 'square'), pillow('chest', 'lengthwise', { count: 2 })],
  }),
  ...setUpsOf('frog', {
    full: [blanket('knees', 'quarter', { count: 2, piles: 2 }), bolster('chest', 'lengthwise')],
    few: [bolster('chest', 'lengthwise')],
    household: [towel('knees', 'standard', { count: 2, piles: 2 }), pillow('chest', 'lengthwise', { count: 2 })],
  }),
  ...setUpsOf('long-dog-head-carried', {
    full: [bolster('head', 'crosswise'), blanket('head', 'square')],
    few: [bolster('head', 'crosswise')],
    household: [book('head', 'flat', { count: 3 }), towel('head', 'square')],
  }),
  ...setUpsOf('sphinx', {
    full: [blanket('pelvis', 'quarter'), blanket('arms', 'single')],
    few: [blanket('pelvis', 'single')],
    household: [],
  }),
  ...setUpsOf('straight-arm-backbend', {
    full: [blanket('pelvis', 'quarter')],
    few: [blanket('pelvis', 'single')],
    household: [],
  }),
  ...setUpsOf('belly-rest', {
    full: [blanket('pelvis', 'standard'), towel('ankles', 'roll')],
    few: [blanket('pelvis', 'quarter')],
    household: [towel('ankles', 'narrow')],
  }),
  ...setUpsOf('belly-over-a-bolster', {
    full: [bolster('belly', 'lengthwise'), blanket('head', 'standard'), towel('ankles', 'roll'), cover],
    few: [bolster('belly', 'lengthwise'), towel('ankles', 'roll')],
    household: [pillow('belly', 'lengthwise', { count: 2 }), towel('ankles', 'roll')],
  }),
  ...setUpsOf('half-frog-on-the-belly', {
    full: [towel('thighs', 'square'), blanket('pelvis', 'quarter')],
    few: [towel('thighs', 'square')],
    household: [towel('thighs', 'standard')],
  }),
  ...setUpsOf('side-rest', {
    full: [
      blanket('head', 'square'),
      bolster('knees', 'lengthwise'),
      blanket('arms', 'narrow', { turn: 'lengthwise' }),
    ],
    few: [blanket('head', 'square'), blanket('knees', 'narrow', { turn: 'lengthwise' })],
    household: [pillow('head', 'crosswise'), pillow('knees', 'lengthwise', { count: 2 })],
  }),
  ...setUpsOf('side-over-a-bolster', {
    full: [
      bolster('lowBack', 'crosswise'),
      blanket('head', 'thirds'),
      blanket('knees', 'narrow', { turn: 'lengthwise' }),
    ],
    few: [blanket('lowBack', 'roll'), blanket('head', 'thirds')],
    household: [towel('lowBack', 'roll'), pillow('head', 'crosswise')],
  }),
]
