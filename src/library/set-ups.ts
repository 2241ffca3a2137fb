import type { SetUp } from '#model/set-up'
import { setUpsFaceDown } from './set-ups/face-down.ts'
import { setUpsOnTheBack } from './set-ups/on-the-back.ts'
import { setUpsOfForms } from './set-ups/forms.ts'
import { setUpsSitting } from './set-ups/sitting.ts'

/** The shipped set-ups: for every pose that uses props, full, with few, and with what a house has. */
export const setUps: readonly SetUp[] = [...setUpsOnTheBack, ...setUpsFaceDown, ...setUpsSitting, ...setUpsOfForms]
