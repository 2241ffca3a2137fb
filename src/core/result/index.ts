export { ok, refused, mapResult, orThrow } from './result.ts'
export type { Result, Refused, Facts } from './result.ts'
