import type { SetUp } from '#model/set-up'
import { blanket, block, bolster, book, chair, cover, pillow, setUpsOf, towel } from './parts.ts'

/** Set-ups face down, kneeling, on all fours and on the side. */
export const setUpsFaceDown: readonly SetUp[] = [
  ...setUpsOf('wide-knee-fold', {
    full: [blanket('pelvis', 'narrow'), bolster('chest', 'lengthwise'), blanket('chest', 'narrow', { turn: 'lengthwise' }), towel('ankles', 'standard')],
    few: [bolster('chest', 'lengthwise'), blanket('pelvis', 'narrow')],
    household: [pillow('chest', 'lengthwise', { count: 2 }), towel('pelvis', 'narrow')],
  }),
  ...setUpsOf('knees-together-fold', {
    full: [blanket('pelvis', 'narrow'), blanket('head', 'narrow'), blanket('knees', 'longHalf', { turn: 'lengthwise' })],
    few: [blanket('pelvis', 'narrow'), blanket('head', 'square')],
    household: [towel('pelvis', 'narrow'), pillow('head', 'crosswise')],
  }),
  ...setUpsOf('heel-sit', {
    full: [blanket('shins', 'longHalf', { turn: 'lengthwise' }), block('pelvis', 'side'), towel('ankles', 'standard')],
    few: [block('pelvis', 'side')],
    household: [pillow('pelvis', 'crosswise')],
  }),
  ...setUpsOf('toes-tucked-kneel', {
    full: [blanket('knees', 'quarter'), blanket('pelvis', 'standard')],
    few: [blanket('knees', 'quarter')],
    household: [towel('knees', 'standard')],
  }),
  ...setUpsOf('ankle-lean', {
    full: [blanket('ankles', 'quarter')],
    few: [towel('ankles', 'standard')],
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
    full: [blanket('knees', 'quarter'), bolster('chest', 'lengthwise'), blanket('head', 'quarter')],
    few: [blanket('knees', 'quarter'), blanket('head', 'quarter')],
    household: [towel('knees', 'standard'), pillow('head', 'crosswise')],
  }),
  ...setUpsOf('low-lunge', {
    full: [blanket('knees', 'quarter'), block('hands', 'end', { count: 2, piles: 2 })],
    few: [block('hands', 'end', { count: 2, piles: 2 })],
    household: [towel('knees', 'standard'), chair('hands', undefined, { count: 2, piles: 2 })],
  }),
  ...setUpsOf('sleeping-swan', {
    full: [blanket('pelvis', 'standard'), bolster('chest', 'lengthwise')],
    few: [blanket('pelvis', 'standard'), blanket('head', 'narrow')],
    household: [towel('pelvis', 'square'), pillow('chest', 'lengthwise', { count: 2 })],
  }),
  ...setUpsOf('frog', {
    full: [blanket('knees', 'quarter', { count: 2, piles: 2 }), bolster('chest', 'lengthwise')],
    few: [bolster('chest', 'lengthwise')],
    household: [towel('knees', 'standard', { count: 2, piles: 2 }), pillow('chest', 'lengthwise', { count: 2 })],
  }),
  ...setUpsOf('long-dog-head-carried', {
    full: [bolster('head', 'crosswise'), blanket('head', 'quarter')],
    few: [bolster('head', 'crosswise')],
    household: [book('head', 'flat', { count: 4 }), towel('head', 'standard')],
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
    household: [towel('ankles', 'roll')],
  }),
  ...setUpsOf('belly-over-a-bolster', {
    full: [bolster('belly', 'lengthwise'), blanket('head', 'standard'), towel('ankles', 'roll'), cover],
    few: [bolster('belly', 'lengthwise'), towel('ankles', 'roll')],
    household: [pillow('belly', 'lengthwise', { count: 2 }), towel('ankles', 'roll')],
  }),
  ...setUpsOf('half-frog-on-the-belly', {
    full: [blanket('thighs', 'standard'), blanket('pelvis', 'quarter')],
    few: [blanket('thighs', 'standard')],
    household: [pillow('thighs', 'crosswise')],
  }),
  ...setUpsOf('side-rest', {
    full: [blanket('head', 'narrow'), bolster('knees', 'crosswise'), blanket('arms', 'standard')],
    few: [blanket('head', 'narrow'), blanket('knees', 'narrow')],
    household: [pillow('head', 'crosswise'), pillow('knees', 'crosswise')],
  }),
  ...setUpsOf('side-over-a-bolster', {
    full: [bolster('lowBack', 'crosswise'), blanket('head', 'narrow'), blanket('knees', 'narrow')],
    few: [blanket('lowBack', 'roll'), blanket('head', 'standard')],
    household: [pillow('lowBack', 'crosswise', { count: 2 }), pillow('head', 'crosswise')],
  }),
]
