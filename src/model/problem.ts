import type { Refusal } from './refusal.ts'

/** An error reply of the API (`application/problem+json`). */
export interface Problem {
  readonly type: string
  readonly code: string
  readonly status: number
  readonly title: string
  /** One sentence for the teacher: what is wrong, where, what to do. */
  readonly detail: string
  readonly path?: string
  readonly refusals?: readonly Refusal[]
  readonly facts?: Readonly<Record<string, string | number | boolean>>
}
