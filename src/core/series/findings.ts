import type { Series } from '#model/series'
import type { Session } from '#model/session'
import { findAll, worstFirst } from '#core/finding'
import type { Found, Grade, RuleOf } from '#core/finding'
import type { Catalog } from '#core/session'
import { growthTop } from './grow-block.ts'
import { furtherIn, isPast, practisedRounds } from './practised-breath.ts'
import type { Further } from './practised-breath.ts'
import type { ClassInWeeks } from './weeks.ts'

/** A class with the session it is really led by, and who is expected. */
export interface ClassLooked extends ClassInWeeks {
  /** The session of its own, where it has one. */
  readonly own: Session | undefined
  /** Led already, or its day is over: nothing of it is found any more. */
  readonly isOver: boolean
  readonly expected: number
}

/** What each finding of a series says. */
export interface SeriesFacts {
  /** Two things of one technique go further at once than in the class before [breath book 5]. */
  readonly TWO_THINGS_CHANGED: { readonly techniqueId: string; readonly further: readonly Further[] }
  /** Breath is practised past the step of the ladder for that week. */
  readonly STEP_UP_EARLY: { readonly techniqueId: string }
  /** The same as the class before it, in a series that grows. */
  readonly WEEK_REPEATS: { readonly until: number }
  /** A hold is to grow, and stands at its usual top or past it, in seconds. */
  readonly GROWS_PAST: { readonly blockId: string; readonly topS: number }
  /** Nobody is expected. */
  readonly NOBODY_COMES: Readonly<Record<string, never>>
}

interface Look {
  readonly series: Series
  readonly base: Session
  readonly catalog: Catalog
  readonly classes: readonly ClassLooked[]
}

/** Where in a series a finding stands: in one of its classes, or in the whole. */
interface Place {
  readonly n?: number
}
type Rule<Code extends keyof SeriesFacts = keyof SeriesFacts> = RuleOf<SeriesFacts, Look, Place, Code>

export type SeriesFinding = {
  readonly [Code in keyof SeriesFacts]: Place & {
    readonly code: Code
    readonly grade: Grade
    readonly facts: SeriesFacts[Code]
  }
}[keyof SeriesFacts]

const sessionOf = ({ own, session }: ClassLooked): Session => own ?? session
const held = ({ classes }: Look): readonly ClassLooked[] => classes.filter(({ leftOut }) => leftOut === undefined)

const twoThings: Rule<'TWO_THINGS_CHANGED'> = {
  code: 'TWO_THINGS_CHANGED',
  grade: 'look',
  find(look) {
    const classes = held(look)
    return classes.flatMap((one, at): (Found<SeriesFacts['TWO_THINGS_CHANGED']> & Place)[] => {
      const before = classes[at - 1]
      if (!before || one.isOver) return []
      const then = practisedRounds(sessionOf(before), look.catalog)
      return practisedRounds(sessionOf(one), look.catalog).flatMap((now) => {
        const same = then.find(({ techniqueId }) => techniqueId === now.techniqueId)
        const further = same ? furtherIn(same, now) : []
        return further.length > 1 ? [{ n: one.n, facts: { techniqueId: now.techniqueId, further } }] : []
      })
    })
  },
}

const stepUpEarly: Rule<'STEP_UP_EARLY'> = {
  code: 'STEP_UP_EARLY',
  grade: 'look',
  find(look) {
    const blocks = new Set(look.series.growth.flatMap((rule) => (rule.kind === 'ladder' ? [rule.blockId] : [])))
    return held(look).flatMap((one): (Found<SeriesFacts['STEP_UP_EARLY']> & Place)[] => {
      const { own } = one
      if (!own || one.isOver || blocks.size === 0) return []
      const grown = practisedRounds(one.session, look.catalog).filter(({ blockId }) => blocks.has(blockId))
      return practisedRounds(own, look.catalog).flatMap(({ techniqueId, blockId, pattern }) => {
        if (!blocks.has(blockId)) return []
        const isBeyond = grown.every((step) => isPast(pattern, step.pattern))
        return isBeyond ? [{ n: one.n, facts: { techniqueId } }] : []
      })
    })
  },
}

/** A week that waits repeats because it is to. */
const weekRepeats: Rule<'WEEK_REPEATS'> = {
  code: 'WEEK_REPEATS',
  grade: 'tip',
  find(look) {
    if (look.series.growth.length === 0) return []
    const found: { n: number; facts: { until: number } }[] = []
    const classes = held(look)
    const repeats = (one: ClassLooked): boolean =>
      !one.isOver && !one.waits && one.week > 1 && one.own === undefined && one.news.length === 0
    for (const [at, one] of classes.entries()) {
      if (!repeats(one) || classes[at - 1]?.week === one.week) continue
      const last = found.at(-1)
      if (last && classes[at - 1]?.week === last.facts.until) last.facts.until = one.week
      else found.push({ n: one.n, facts: { until: one.week } })
    }
    // Once is as it should be: what is practised twice is learned.
    return found.filter(({ n, facts }) => facts.until > (classes.find((one) => one.n === n)?.week ?? 0))
  },
}

const growsPast: Rule<'GROWS_PAST'> = {
  code: 'GROWS_PAST',
  grade: 'look',
  find: ({ series, base, catalog }) =>
    series.growth.flatMap((rule) => {
      if (rule.kind !== 'longer') return []
      const block = base.blocks.find(({ id }) => id === rule.blockId)
      const top = block?.kind === 'hold' ? growthTop(base, block, catalog) : undefined
      if (!top) return []
      const isPastTop = top.holdS >= top.topS || (rule.mostS ?? 0) > top.topS
      return isPastTop ? [{ facts: { blockId: rule.blockId, topS: top.topS } }] : []
    }),
}

const nobodyComes: Rule<'NOBODY_COMES'> = {
  code: 'NOBODY_COMES',
  grade: 'look',
  find(look) {
    const toCome = held(look).filter(({ isOver }) => !isOver)
    const alone = toCome.filter(({ expected }) => expected === 0)
    // Where nobody comes to any, nobody was said yet: that is told once.
    return toCome.length > 0 && alone.length === toCome.length
      ? { facts: {} }
      : alone.map(({ n }) => ({ n, facts: {} }))
  },
}

const rules = [twoThings, stepUpEarly, weekRepeats, growsPast, nobodyComes] as const

/** Everything in the weeks to come of a series that needs a look: worst first, then by the class it stands in. */
export function findInSeries(look: Look): readonly SeriesFinding[] {
  return findAll(rules, look).sort(worstFirst((a, b) => (a.n ?? 0) - (b.n ?? 0))) as SeriesFinding[]
}
