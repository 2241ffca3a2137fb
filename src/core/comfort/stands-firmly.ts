import type { ComfortCode } from './facts.ts'
import type { ComfortFinding } from './rule.ts'

/** What tells that the props themselves may tip, roll, slide or sag, whatever the body does [props-geometry, stacks]. */
const unsteady: ReadonlySet<ComfortCode> = new Set<ComfortCode>([
  'STACK_TALL',
  'STACK_ORDER',
  'STACK_MANY',
  'ON_ROUND',
  'BLOCK_ON_END',
  'HANGS_FREE',
  'STEEP',
])

/** Whether nothing was found of a set-up that would make its props tip, roll, slide or sag. */
export const standsFirmly = (findings: readonly ComfortFinding[]): boolean =>
  !findings.some(({ code }) => unsteady.has(code))
