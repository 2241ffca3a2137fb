export { breathDone, breathOf } from './breath-done.ts'
export type { BreathRow } from './breath-done.ts'
export { meantAndDone, visitsOf } from './meant-and-done.ts'
export type { HeldRow, MeantAndDone, OtherRow } from './meant-and-done.ts'
