import type { Finds, Found, Grade } from './rule.ts'

const gradeOrder: readonly Grade[] = ['must', 'look', 'tip']

interface AnyRule<Look, F extends Found<unknown>> {
  readonly code: PropertyKey
  readonly grade: Grade
  readonly find: (look: Look) => Finds<F>
}

const several = <T>(found: Finds<T>): readonly T[] =>
  found === undefined || found === false ? [] : isList(found) ? found : [found]
const isList = <T>(found: readonly T[] | T): found is readonly T[] => Array.isArray(found)

type FoundOf<R> = R extends {
  readonly code: infer C
  readonly find: (look: never) => Finds<infer F>
}
  ? F extends Found<unknown>
    ? Omit<F, 'grade'> & { readonly code: C; readonly grade: Grade }
    : never
  : never

/** What every rule finds in a look, in the order of the rules. */
export function findAll<Look, R extends AnyRule<Look, Found<unknown>>>(rules: readonly R[], look: Look): FoundOf<R>[] {
  return rules.flatMap(({ code, grade, find }) =>
    // Each rule's code goes with the facts of its own table; the compiler cannot follow that through the union.
    several(find(look)).map((found) => ({ code, grade, ...found }) as FoundOf<R>),
  )
}

/** Orders findings worst first; `then` orders those of one grade. */
export const worstFirst =
  <T extends { readonly grade: Grade }>(then: (a: T, b: T) => number = () => 0) =>
  (a: T, b: T): number =>
    gradeOrder.indexOf(a.grade) - gradeOrder.indexOf(b.grade) || then(a, b)

/** How many of each grade. */
export const countGrades = (findings: readonly { readonly grade: Grade }[]): Readonly<Record<Grade, number>> => ({
  must: findings.filter(({ grade }) => grade === 'must').length,
  look: findings.filter(({ grade }) => grade === 'look').length,
  tip: findings.filter(({ grade }) => grade === 'tip').length,
})
