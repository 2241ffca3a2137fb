import { joinedNews } from './news.ts'
import type { News } from './news.ts'

/** A class that was led, with who came by name; undefined where that was not noted. */
export interface ClassAttended {
  readonly n: number
  readonly week: number
  readonly news: readonly News[]
  readonly came: readonly string[] | undefined
}

/** What somebody has and has not done of a series. */
export interface Missed {
  /** Weeks of the classes they came to, and of those they missed. */
  readonly came: readonly number[]
  readonly missed: readonly number[]
  /** What was new in the classes since the last they came to. */
  readonly news: readonly News[]
  /** The step of the breath ladder they have done, where the group has gone on; both are offered [breath book 4]. */
  readonly step: { readonly done: number; readonly now: number } | undefined
}

/** What a person missed of the classes that were led so far; classes nobody's coming was noted in count for neither. */
export function missedBy(personId: string, classes: readonly ClassAttended[]): Missed {
  const noted = classes.filter(({ came }) => came !== undefined)
  const isThere = ({ came }: ClassAttended): boolean => came?.includes(personId) ?? false
  const last = classes.findLastIndex(isThere)
  return {
    came: noted.filter(isThere).map(({ week }) => week),
    missed: noted.filter((one) => !isThere(one)).map(({ week }) => week),
    news: joinedNews(classes.slice(last + 1).flatMap(({ news }) => news)),
    step: stepBehind(classes, last),
  }
}

function stepBehind(classes: readonly ClassAttended[], last: number): Missed['step'] {
  const steps = classes.slice(last + 1).flatMap(({ news }) => news.flatMap((one) => (one.is === 'step' ? [one] : [])))
  const [first] = steps
  const now = steps.at(-1)?.to
  return first === undefined || now === undefined || now <= first.from ? undefined : { done: first.from, now }
}
