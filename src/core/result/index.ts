export { amiss } from './amiss.ts'
export type { Checked } from './amiss.ts'
export { ok, refused, mapResult, orThrow } from './result.ts'
export type { Extra, Refused, Result } from './result.ts'
