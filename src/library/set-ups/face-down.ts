import type { SetUp } from '#model/set-up'
import { behind, belt, blanket, block, bolster, book, chair, cover, pillow, setUpsOf, strap, towel } from './parts.ts'

/** Set-ups face down, kneeling, on all fours and on the side. */
export const setUpsFaceDown: readonly SetUp[] = [
  ...setUpsOf('wide-knee-fold', {
    full: [
      blanket('pelvis', 'narrow'),
      bolster('chest', 'lengthwise'),
      blanket('chest', 'narrow', { turn: 'lengthwise' }),
      towel('ankles', 'narrow'),
      cover,
    ],
    few: [bolster('chest', 'lengthwise'), blanket('pelvis', 'narrow')],
    household: [pillow('chest', 'lengthwise', { count: 2 }), towel('pelvis', 'narrow')],
  }),
  ...setUpsOf('knees-together-fold', {
    full: [
      blanket('head', 'thirds'),
      blanket('knees', 'longHalf', { turn: 'lengthwise' }),
      towel('ankles', 'narrow'),
      cover,
    ],
    few: [blanket('head', 'thirds')],
    household: [pillow('head', 'crosswise', { count: 2 })],
  }),
  ...setUpsOf('heel-sit', {
    full: [
      blanket('shins', 'longHalf', { turn: 'lengthwise' }),
      block('pelvis', 'flat'),
      towel('pelvis', 'square', { turn: 'lengthwise' }),
      towel('ankles', 'narrow'),
      cover,
    ],
    few: [block('pelvis', 'flat'), towel('pelvis', 'square', { turn: 'lengthwise' })],
    household: [pillow('pelvis', 'crosswise')],
  }),
  ...setUpsOf('toes-tucked-kneel', {
    full: [blanket('knees', 'quarter'), block('pelvis', 'flat'), towel('pelvis', 'square', { turn: 'lengthwise' })],
    few: [blanket('knees', 'quarter')],
    household: [towel('knees', 'standard')],
  }),
  ...setUpsOf('ankle-lean', {
    full: [towel('ankles', 'narrow')],
    few: [towel('ankles', 'quarter')],
    household: [towel('ankles', 'single')],
  }),
  ...setUpsOf('level-all-fours', {
    full: [blanket('knees', 'quarter'), cover],
    few: [blanket('knees', 'single')],
    household: [towel('knees', 'standard')],
  }),
  ...setUpsOf('threaded-arm', {
    full: [blanket('knees', 'single'), blanket('head', 'standard'), cover],
    few: [towel('knees', 'quarter'), blanket('head', 'standard')],
    household: [towel('knees', 'standard'), towel('head', 'square')],
  }),
  ...setUpsOf('long-arm-kneel', {
    full: [blanket('knees', 'quarter'), bolster('chest', 'lengthwise'), blanket('head', 'single')],
    few: [blanket('knees', 'quarter'), blanket('head', 'quarter')],
    household: [towel('knees', 'standard'), pillow('head', 'crosswise')],
  }),
  ...setUpsOf('low-lunge', {
    full: [blanket('knees', 'standard'), block('hands', 'side', { count: 2, piles: 2 })],
    few: [blanket('knees', 'quarter'), block('hands', 'flat', { count: 2, piles: 2 })],
    household: [towel('knees', 'standard'), book('hands', 'flat', { count: 8, piles: 2 })],
  }),
  ...setUpsOf('half-split', {
    full: [blanket('knees', 'standard'), block('hands', 'side', { count: 2, piles: 2 })],
    few: [blanket('knees', 'quarter'), block('hands', 'flat', { count: 2, piles: 2 })],
    household: [towel('knees', 'standard'), book('hands', 'flat', { count: 8, piles: 2 })],
  }),
  ...setUpsOf('kneeling-backbend', {
    full: [blanket('knees', 'quarter'), chair('hands')],
    few: [blanket('knees', 'quarter')],
    household: [towel('knees', 'standard')],
  }),
  ...setUpsOf('thigh-and-turn', {
    full: [blanket('head', 'thirds'), bolster('knees', 'lengthwise'), strap('ankles')],
    few: [blanket('head', 'thirds'), blanket('knees', 'narrow', { turn: 'lengthwise' })],
    household: [pillow('head', 'crosswise'), pillow('knees', 'lengthwise', { count: 2 }), belt('ankles')],
  }),
  ...setUpsOf('sleeping-swan', {
    full: [blanket('pelvis', 'square'), bolster('chest', 'lengthwise')],
    few: [blanket('pelvis', 'square'), blanket('head', 'square')],
    household: [towel('pelvis', 'square'), pillow('chest', 'lengthwise', { count: 2 })],
  }),
  ...setUpsOf('frog', {
    full: [
      blanket('knees', 'quarter', { count: 2, piles: 2 }),
      bolster('chest', 'lengthwise'),
      blanket('head', 'single'),
    ],
    few: [blanket('knees', 'quarter', { count: 2, piles: 2 }), bolster('chest', 'lengthwise')],
    household: [towel('knees', 'standard', { count: 2, piles: 2 }), pillow('chest', 'lengthwise', { count: 2 })],
  }),
  ...setUpsOf('long-dog-head-carried', {
    full: [bolster('head', 'crosswise'), blanket('head', 'square')],
    few: [bolster('head', 'crosswise')],
    household: [book('head', 'flat', { count: 3 }), blanket('head', 'square')],
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
    full: [blanket('pelvis', 'standard'), towel('ankles', 'roll'), cover],
    few: [blanket('pelvis', 'quarter')],
    household: [towel('ankles', 'narrow')],
  }),
  ...setUpsOf('belly-over-a-bolster', {
    full: [bolster('belly', 'lengthwise'), blanket('head', 'thirds'), towel('ankles', 'roll'), cover],
    few: [bolster('belly', 'lengthwise'), towel('ankles', 'roll')],
    household: [pillow('belly', 'lengthwise', { count: 2 }), towel('ankles', 'roll')],
  }),
  ...setUpsOf('half-frog-on-the-belly', {
    full: [towel('thighs', 'square'), blanket('pelvis', 'quarter'), blanket('head', 'single')],
    few: [towel('thighs', 'square'), towel('head', 'single')],
    household: [towel('thighs', 'standard')],
  }),
  ...setUpsOf('side-rest', {
    full: [
      blanket('head', 'thirds'),
      bolster('knees', 'lengthwise'),
      blanket('arms', 'narrow', { turn: 'lengthwise' }),
      behind(blanket('upperBack', 'roll', { turn: 'lengthwise' })),
      cover,
    ],
    few: [
      blanket('head', 'thirds'),
      blanket('knees', 'narrow', { turn: 'lengthwise' }),
      behind(blanket('upperBack', 'roll', { turn: 'lengthwise' })),
    ],
    household: [
      pillow('head', 'crosswise', { count: 2 }),
      pillow('knees', 'lengthwise', { count: 2 }),
      behind(pillow('upperBack', 'lengthwise')),
    ],
  }),
  ...setUpsOf('side-over-a-bolster', {
    full: [
      bolster('lowBack', 'crosswise'),
      blanket('head', 'thirds'),
      towel('head', 'square'),
      blanket('knees', 'narrow', { turn: 'lengthwise' }),
      cover,
    ],
    few: [blanket('lowBack', 'roll'), blanket('head', 'thirds'), blanket('knees', 'narrow', { turn: 'lengthwise' })],
    household: [towel('lowBack', 'roll'), pillow('head', 'crosswise'), pillow('knees', 'lengthwise')],
  }),
  ...setUpsOf('child-supported', {
    full: [bolster('chest', 'lengthwise', { count: 2 }), blanket('pelvis', 'narrow'), towel('ankles', 'narrow'), cover],
    few: [bolster('chest', 'lengthwise'), blanket('chest', 'standard', { turn: 'lengthwise' })],
    household: [pillow('chest', 'lengthwise', { count: 3 })],
  }),
  ...setUpsOf('side-nest', {
    full: [
      blanket('head', 'thirds'),
      bolster('knees', 'lengthwise'),
      blanket('arms', 'narrow', { turn: 'lengthwise' }),
      behind(bolster('upperBack', 'lengthwise')),
      cover,
    ],
    few: [
      blanket('head', 'thirds'),
      bolster('knees', 'lengthwise'),
      behind(blanket('upperBack', 'roll', { turn: 'lengthwise' })),
    ],
    household: [
      pillow('head', 'crosswise', { count: 2 }),
      pillow('knees', 'lengthwise', { count: 2 }),
      pillow('arms', 'lengthwise'),
      behind(pillow('upperBack', 'lengthwise')),
    ],
  }),
  ...setUpsOf('hero-seat', {
    full: [
      blanket('shins', 'longHalf', { turn: 'lengthwise' }),
      block('pelvis', 'flat'),
      towel('pelvis', 'square', { turn: 'lengthwise' }),
      cover,
    ],
    few: [block('pelvis', 'flat'), towel('pelvis', 'standard', { turn: 'lengthwise' })],
    household: [book('pelvis', 'flat', { count: 3 }), towel('pelvis', 'square', { turn: 'lengthwise' })],
  }),
  ...setUpsOf('arms-crossed-prone', {
    full: [blanket('head', 'quarter'), blanket('pelvis', 'single')],
    few: [blanket('head', 'quarter')],
    household: [towel('head', 'standard')],
  }),
  ...setUpsOf('one-arm-wide-prone', {
    full: [blanket('head', 'standard'), blanket('pelvis', 'single')],
    few: [blanket('head', 'standard')],
    household: [towel('head', 'square')],
  }),
]
