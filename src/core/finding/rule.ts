import type { Finding } from '#model/finding'

export type Grade = Finding['grade']

/** What a rule finds: its numbers, and its grade where that is not the rule's usual one. */
export interface Found<F> {
  readonly grade?: Grade
  readonly facts: F
}

/** None, one, or several: a rule gives what comes naturally. */
export type Finds<T> = readonly T[] | T | undefined | false

/**
 * The rules over a look: pure, and knowing nothing of words or the interface. `Table` says which facts each code
 * has; `More` is what this kind of finding brings besides: its place, its mend.
 */
export type RuleOf<Table, Look, More, Code extends keyof Table = keyof Table> = {
  [C in Code]: {
    readonly code: C
    readonly grade: Grade
    readonly find: (look: Look) => Finds<Found<Table[C]> & More>
  }
}[Code]
