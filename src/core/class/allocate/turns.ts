/** People of whom some are touched in a block: who they are, and how many. */
export interface TurnsOf {
  readonly people: readonly number[]
  readonly touched: number
}

/**
 * Who is touched where: nobody twice before everybody once who could take their place, and at the end of the list first,
 * so that people keep their set-ups in its order [handling book 3; settled C11]. One list of people for each of the given.
 */
export function turnsOf(all: readonly TurnsOf[], people: number): readonly (readonly number[])[] {
  const first = touchedOnce(all, people)
  const given = all.map((_, at) => first.flatMap((where, person) => (where === at ? [person] : [])))
  const times: number[] = first.map((where) => (where === undefined ? 0 : 1))
  return all.map(({ people: able, touched }, at) => {
    const mine = [...(given[at] ?? [])]
    while (mine.length < touched) {
      const left = able.filter((person) => !mine.includes(person))
      const least = Math.min(...left.map((person) => times[person] ?? 0))
      const next = left.findLast((person) => times[person] === least)
      if (next === undefined) break
      times[next] = least + 1
      mine.push(next)
    }
    return mine.sort((a, b) => a - b)
  })
}

/** How many people are touched at all. */
export const touchedIn = (all: readonly TurnsOf[], people: number): number =>
  touchedOnce(all, people).filter((where) => where !== undefined).length

/** The most people who can each be touched once, the last of the list first, by augmenting paths; where each of them is. */
function touchedOnce(all: readonly TurnsOf[], people: number): readonly (number | undefined)[] {
  const where: (number | undefined)[] = Array.from({ length: people }, () => undefined)
  const there = all.map((): number[] => [])
  const place = (person: number, seen: Set<number>): boolean => {
    for (const [at, { people: able, touched }] of all.entries()) {
      if (seen.has(at) || touched === 0 || !able.includes(person)) continue
      seen.add(at)
      const mine = there[at] as number[]
      const leaves = mine.length < touched ? undefined : mine.find((other) => place(other, seen))
      if (mine.length >= touched && leaves === undefined) continue
      if (leaves !== undefined) mine.splice(mine.indexOf(leaves), 1)
      mine.push(person)
      where[person] = at
      return true
    }
    return false
  }
  for (let person = people - 1; person >= 0; person -= 1) place(person, new Set())
  return where
}
