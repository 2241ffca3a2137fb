import type { z } from 'zod'

type Issue = z.core.$ZodIssue
/** What a field may be refused for, with the numbers of each rule. Words are made elsewhere. */
export interface RefusalFacts {
  MISSING: { expected: string }
  WRONG_TYPE: { expected: string }
  TOO_SMALL: { least: number; of: string }
  TOO_BIG: { most: number; of: string }
  NOT_A_CHOICE: { choices: string }
  UNKNOWN_FIELD: { fields: string }
  WRONG_FORM: { form: string }
  NO_FORM_FITS: object
  UNKNOWN_REFERENCE: { id: string }
  TECHNIQUE_NOT_COUNTED: { id: string }
  CLOSING_NOT_LAST: { last: number }
  ROUND_LENGTH: { isS: number; leastS: number; mostS: number }
  BREATH_LONG: { isS: number; mostS: number }
  RETENTION_LONG: { isS: number; mostS: number }
  ROUNDS_MANY: { is: number; most: number }
  COMPOSED_LONG: { isS: number; mostS: number }
  CHIN_BEFORE_BELLY: object
  CUE_EMPTY: object
  EVENTS_OUT_OF_ORDER: object
  HOLD_UNDER_PHASES: { leastS: number }
  HOLD_RANGE_ORDER: object
  ID_RESERVED: object
  ID_TWICE: { first: number }
  LOCKS_DIFFER: object
  NOSTRILS_OPEN: object
  PACE_RANGE: object
  PHASE_REST: object
  PILES_UNEVEN: object
  QUIET_AFTER_END: object
  SENSATION_ORDER: object
  SESSIONS_OR_BLOCKS: object
  ONE_SESSION: object
  SIDE_IN_SYMMETRIC: object
  TIME_ZONE_UNKNOWN: object
  SIDES_ALIKE: object
  SLOPE_STANDS: object
  SLOPE_WITHOUT_SETS: object
  STATIONS_ALONE: object
  TIME_OR_BREATHS: object
}
export type RefusalCode = keyof RefusalFacts

/** A rule of its own kind, as a schema tells it to zod: `.refine(…, told('CUE_EMPTY', {}))`. */
export const told = <Code extends RefusalCode>(code: Code, facts: RefusalFacts[Code]) => ({
  params: { code, facts },
})

/** Why a document is refused: by which rule, where, and the numbers of the rule. */
export type Refusal = {
  readonly [Code in RefusalCode]: {
    readonly code: Code
    /** As a program writes it: `blocks[3].hold.holdS`. */
    readonly path: string
    readonly facts: RefusalFacts[Code]
  }
}[RefusalCode]

/** Every refusal in a zod error's issues, unions opened down to the branch that came closest. */
export function refusalsOf(issues: readonly Issue[]): Refusal[] {
  return issues.flatMap((issue) => fromIssue(issue, []))
}

export function pathText(path: readonly PropertyKey[]): string {
  const text = path.reduce<string>(
    (made, key) =>
      typeof key === 'number' ? `${made}[${String(key)}]` : made === '' ? String(key) : `${made}.${String(key)}`,
    '',
  )
  return text === '' ? 'document' : text
}

function fromIssue(issue: Issue, before: readonly PropertyKey[]): Refusal[] {
  const path = [...before, ...issue.path]
  if (issue.code === 'invalid_union' && issue.errors.length > 0) {
    const closest = closestBranch(issue.errors)
    if (closest.some((inner) => inner.path.length > 0 || inner.code === 'unrecognized_keys')) {
      return closest.flatMap((inner) => fromIssue(inner, path))
    }
  }
  return [{ path: pathText(path), ...read(issue) }]
}

/** The branch whose complaints lie deepest is the one that was meant; ties go to the fewest complaints. */
function closestBranch(branches: readonly (readonly Issue[])[]): readonly Issue[] {
  const strangeness = (issues: readonly Issue[]) =>
    issues.length + issues.filter((issue) => issue.code === 'unrecognized_keys').length * 2
  return [...branches].sort((a, b) => strangeness(a) - strangeness(b))[0] ?? []
}

/** The first of many names, and how many more there are. */
const namesTold = 5
const someOf = (names: readonly string[]): string => {
  const told = names
    .slice(0, namesTold)
    .map((name) => name.slice(0, 60))
    .join(', ')
  return names.length > namesTold ? `${told} and ${String(names.length - namesTold)} more` : told
}

type Reading = {
  readonly [Code in RefusalCode]: { readonly code: Code; readonly facts: RefusalFacts[Code] }
}[RefusalCode]

function read(issue: Issue): Reading {
  switch (issue.code) {
    case 'invalid_type': {
      const isMissing = issue.input === undefined && issue.message.includes('received undefined')
      return { code: isMissing ? 'MISSING' : 'WRONG_TYPE', facts: { expected: issue.expected } }
    }
    case 'too_small':
      return { code: 'TOO_SMALL', facts: { least: Number(issue.minimum), of: issue.origin } }
    case 'too_big':
      return { code: 'TOO_BIG', facts: { most: Number(issue.maximum), of: issue.origin } }
    case 'invalid_value':
      return { code: 'NOT_A_CHOICE', facts: { choices: issue.values.join(', ') } }
    case 'unrecognized_keys':
      return { code: 'UNKNOWN_FIELD', facts: { fields: someOf(issue.keys) } }
    case 'invalid_format':
      return { code: 'WRONG_FORM', facts: { form: issue.format } }
    case 'custom':
      // Only `told` makes rules of our own, so what comes back is what went in.
      return issue.params as Reading
    default:
      return { code: 'NO_FORM_FITS', facts: {} }
  }
}
