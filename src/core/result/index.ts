export { ok, refused, mapResult, orThrow } from './result.ts'
export type { Extra, Refused, Result } from './result.ts'
