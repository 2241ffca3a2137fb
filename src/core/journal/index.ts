export { meantAndDone, visitsOf } from './meant-and-done.ts'
export type { HeldRow, MeantAndDone, OtherRow } from './meant-and-done.ts'
