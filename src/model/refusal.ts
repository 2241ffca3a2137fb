import type { z } from 'zod'

type Issue = z.core.$ZodIssue
export type Facts = Record<string, string | number | boolean>

/** Why a document is refused: where, by which rule, and the numbers of the rule. */
export interface Refusal {
  readonly code: string
  /** As a person would write it: `blocks[3].hold.holdS`. */
  readonly path: string
  readonly facts: Facts
  /** One sentence that names the field and the mend. */
  readonly sentence: string
}

/** Every refusal in a zod error, unions opened down to the branch that came closest. */
export function refusalsOf(error: z.ZodError): Refusal[] {
  return error.issues.flatMap((issue) => fromIssue(issue, []))
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
  const where = pathText(path)
  const { code, facts, mend } = read(issue)
  return [{ code, path: where, facts, sentence: `${where} ${mend}.` }]
}

/** The branch whose complaints lie deepest is the one that was meant; ties go to the fewest complaints. */
function closestBranch(branches: readonly (readonly Issue[])[]): readonly Issue[] {
  const strangeness = (issues: readonly Issue[]) =>
    issues.length + issues.filter((issue) => issue.code === 'unrecognized_keys').length * 2
  return [...branches].sort((a, b) => strangeness(a) - strangeness(b))[0] ?? []
}

interface Reading {
  code: string
  facts: Facts
  mend: string
}

function read(issue: Issue): Reading {
  switch (issue.code) {
    case 'invalid_type':
      return issue.input === undefined && issue.message.includes('received undefined')
        ? { code: 'MISSING', facts: { expected: issue.expected }, mend: `is missing: give ${typeWord(issue.expected)}` }
        : {
            code: 'WRONG_TYPE',
            facts: { expected: issue.expected },
            mend: `has the wrong type: give ${typeWord(issue.expected)}`,
          }
    case 'too_small':
      return {
        code: 'TOO_SMALL',
        facts: { least: Number(issue.minimum) },
        mend: `is too small: ${sizeWord(issue.origin, 'least', Number(issue.minimum))}`,
      }
    case 'too_big':
      return {
        code: 'TOO_BIG',
        facts: { most: Number(issue.maximum) },
        mend: `is too large: ${sizeWord(issue.origin, 'most', Number(issue.maximum))}`,
      }
    case 'invalid_value':
      return {
        code: 'NOT_A_CHOICE',
        facts: { choices: issue.values.join(', ') },
        mend: `must be one of: ${issue.values.join(', ')}`,
      }
    case 'unrecognized_keys':
      return {
        code: 'UNKNOWN_FIELD',
        facts: { fields: issue.keys.join(', ') },
        mend: `has a field that is not known: remove ${issue.keys.join(', ')}`,
      }
    case 'invalid_format':
      return {
        code: 'WRONG_FORM',
        facts: { form: issue.format },
        mend: `is not written as it should be: ${formWord(issue.format)}`,
      }
    case 'custom': {
      const { code, ...facts } = (issue.params ?? {}) as { code?: string } & Facts
      return { code: code ?? 'REFUSED', facts, mend: issue.message }
    }
    case 'invalid_union':
      return { code: 'NO_FORM_FITS', facts: {}, mend: 'fits none of the forms it may have: compare it with the schema' }
    default:
      return { code: 'REFUSED', facts: {}, mend: `is refused: ${issue.message}` }
  }
}

const typeWords: Record<string, string> = {
  int: 'a whole number',
  number: 'a number',
  string: 'text',
  array: 'a list',
  object: 'an object',
  boolean: 'true or false',
  record: 'an object',
}
const typeWord = (expected: string): string => typeWords[expected] ?? expected

function sizeWord(origin: string, end: 'least' | 'most', size: number): string {
  const what = origin === 'string' ? ' characters' : origin === 'array' ? ' entries' : ''
  return `give at ${end} ${String(size)}${what}`
}

function formWord(format: string): string {
  if (format === 'datetime') return 'give an instant like 2026-03-12T19:00:00+01:00'
  if (format === 'date') return 'give a day like 2026-03-12'
  return 'use letters, figures, - and _ only, at most 64'
}
