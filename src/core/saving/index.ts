export { isAsKept, openSaving } from './saving.ts'
export type { Kept, SaveStatus, Saving, SavingEffect, SavingEvent } from './saving.ts'
export { step as stepSaving } from './step.ts'
export { rebased } from './rebased.ts'
