export { changeover } from './changeover.ts'
export type { Changeover } from './changeover.ts'
export type { Action } from './actions.ts'
