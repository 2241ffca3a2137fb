import type { SetUp } from '#model/set-up'
import { behind, blanket, bolster, book, chair, cover, door, pillow, setUpsOf, towel, wall } from './parts.ts'

/** Trunk level, forearms or hands on what stands firm at hip height. */
const atHipHeight = {
  full: [behind(chair('hands')), blanket('arms', 'thirds'), cover],
  few: [behind(chair('hands')), blanket('arms', 'thirds')],
  household: [behind(chair('hands')), pillow('arms', 'crosswise')],
}

/** Set-ups of forms that are another position than their pose. */
export const setUpsOfForms: readonly SetUp[] = [
  ...setUpsOf('hanging-fold', atHipHeight, 'on-a-chair'),
  ...setUpsOf('wide-standing-fold', atHipHeight, 'on-a-chair'),
  ...setUpsOf(
    'long-dog-head-carried',
    {
      full: [behind(chair('hands')), blanket('arms', 'thirds')],
      few: [behind(chair('hands'))],
      household: [door('hands')],
    },
    'on-a-chair',
  ),
  ...setUpsOf(
    'knees-together-fold',
    {
      full: [blanket('knees', 'longHalf', { turn: 'lengthwise' }), chair('head'), blanket('head', 'standard'), cover],
      few: [chair('head'), blanket('head', 'standard')],
      household: [chair('head'), pillow('head', 'crosswise')],
    },
    'on-a-chair',
  ),
  ...setUpsOf(
    'level-all-fours',
    {
      full: [blanket('knees', 'quarter'), chair('hands'), blanket('hands', 'standard'), cover],
      few: [blanket('knees', 'single'), chair('hands'), towel('hands', 'standard')],
      household: [towel('knees', 'standard'), chair('hands'), towel('hands', 'standard')],
    },
    'on-a-chair',
  ),
  ...setUpsOf(
    'final-rest-lying',
    {
      full: [
        blanket('head', 'thirds'),
        bolster('knees', 'lengthwise'),
        blanket('arms', 'narrow', { turn: 'lengthwise' }),
        behind(blanket('upperBack', 'roll')),
        cover,
      ],
      few: [blanket('head', 'thirds'), blanket('knees', 'narrow', { turn: 'lengthwise' })],
      household: [pillow('head', 'crosswise', { count: 2 }), pillow('knees', 'lengthwise', { count: 2 }), cover],
    },
    'on-the-side',
  ),
  ...setUpsOf(
    'soles-to-the-ceiling',
    {
      full: [wall('feet'), blanket('head', 'standard'), cover],
      few: [wall('feet'), blanket('head', 'quarter')],
      household: [wall('feet'), towel('head', 'standard')],
    },
    'at-the-wall',
  ),
  ...setUpsOf(
    'stacked-knees',
    { full: [blanket('head', 'standard')], few: [blanket('head', 'quarter')], household: [towel('head', 'standard')] },
    'lying',
  ),
  ...setUpsOf(
    'cross-legged-seat',
    {
      full: [chair('pelvis'), blanket('feet', 'narrow'), cover],
      few: [chair('pelvis'), blanket('feet', 'standard')],
      household: [chair('pelvis'), book('feet', 'flat', { count: 2, piles: 2 })],
    },
    'on-a-chair',
  ),
  ...setUpsOf(
    'arms-crossed-prone',
    {
      full: [blanket('pelvis', 'narrow'), towel('knees', 'thirds', { count: 2, piles: 2 })],
      few: [blanket('pelvis', 'narrow')],
      household: [pillow('pelvis', 'crosswise', { count: 2 })],
    },
    'seated',
  ),
  ...setUpsOf(
    'legs-up-the-wall',
    {
      full: [wall('feet'), blanket('pelvis', 'narrow'), blanket('head', 'single'), cover],
      few: [wall('feet'), blanket('pelvis', 'thirds')],
      household: [wall('feet'), towel('pelvis', 'narrow'), towel('head', 'standard')],
    },
    'on-blankets',
  ),
  ...setUpsOf(
    'legs-up-pelvis-raised',
    {
      full: [chair('shins'), blanket('head', 'quarter'), cover],
      few: [chair('shins'), blanket('head', 'standard')],
      household: [chair('shins'), towel('head', 'standard')],
    },
    'calves-on-a-chair',
  ),
]
