import type { Level } from '#model/common'
import type { SeenTime } from '#model/seen-time'
import type { TimeSaid } from '#model/settings'
import { orThrow } from '#core/result'
import { atLevel, learnedKey, taughtTimes } from '#core/session'
import type { Catalog, LearnedTimes } from '#core/session'
import { grouped, usualPace } from '#core/units'
import type { Seconds } from '#core/units'
import { learnedSeconds, leastSeen, mostS } from './learned-seconds.ts'

/** One time at one level: what it is without records, what they say, and what is used. */
export interface LearnedTime {
  readonly key: string
  readonly level: Level
  readonly defaultS: Seconds
  /** The records that count, oldest first. */
  readonly seenS: readonly Seconds[]
  /** The default where there are too few. */
  readonly learnedS: Seconds
  readonly setS?: Seconds
  readonly usedS: Seconds
  readonly from: 'set' | 'learned' | 'default'
}

/** Sizes of a class that are told apart [handling book 5]. */
const sizes = [1, 5, 12, Infinity] as const
const sizeOf = (people: number): number => sizes.findIndex((most) => people <= most)
/** The newest of a thing that count: an older one would weigh next to nothing. */
export const mostRecords = 60

interface LearnInput {
  readonly seen: readonly SeenTime[]
  /** What the teacher said, by key and level. */
  readonly said: Readonly<Record<string, TimeSaid>>
  readonly catalog: Pick<Catalog, 'poses' | 'ownPoses' | 'techniques' | 'changes'>
  /** How many are led; absent: classes of any size teach. */
  readonly people?: number | undefined
}

/** Every time of which there is a record or a word of the teacher, with what is used of it; what no shelf knows any more is left out. */
export function learnedTimes({ seen, said, catalog, people }: LearnInput): readonly LearnedTime[] {
  const groups = grouped(seen, ({ key, level }) => atLevel(key, level))
  for (const at of Object.keys(said)) if (!groups.has(at)) groups.set(at, [])
  return [...groups].flatMap(([at, all]): LearnedTime[] => {
    const [key, level] = splitKey(at)
    const defaultS = defaultOf(key, level, catalog)
    if (defaultS === undefined) return []
    const { setS, forgottenAt = '' } = said[at] ?? {}
    const counting = recordsFor(
      // What took longer than an hour was an interruption.
      all.filter(({ startedAt, s }) => startedAt > forgottenAt && s <= mostS),
      people,
    )
    const seenS = counting.map(({ s }) => s)
    const learnedS = orThrow(learnedSeconds({ defaultS, seenS }))
    const isLearned = seenS.length >= leastSeen
    return [
      {
        ...{ key, level, defaultS, seenS, learnedS },
        ...(setS === undefined ? {} : { setS }),
        usedS: setS ?? learnedS,
        from: setS === undefined ? (isLearned ? 'learned' : 'default') : 'set',
      },
    ]
  })
}

/** What is used in place of the shelf's times, for a catalog. */
export const usedTimes = (times: readonly LearnedTime[]): LearnedTimes =>
  new Map(times.flatMap(({ key, level, from, usedS }) => (from === 'default' ? [] : [[atLevel(key, level), usedS]])))

function splitKey(at: string): readonly [key: string, level: Level] {
  const [key = '', level = 'regular'] = at.split(' ')
  return [key, level as Level]
}

/** The records of classes of about that size, or not counted, oldest first; with too few, those of the next sizes too. */
function recordsFor(all: readonly SeenTime[], people: number | undefined): readonly SeenTime[] {
  const oldestFirst = all.toSorted((a, b) => (a.startedAt < b.startedAt ? -1 : a.startedAt > b.startedAt ? 1 : 0))
  if (people === undefined) return oldestFirst.slice(-mostRecords)
  const size = sizeOf(people)
  for (let reach = 0; reach < sizes.length; reach += 1) {
    const near = oldestFirst.filter((one) => one.people === 0 || Math.abs(sizeOf(one.people) - size) <= reach)
    if (near.length >= leastSeen || reach === sizes.length - 1) return near.slice(-mostRecords)
  }
  return []
}

/** What a thing takes without records: as the shelf, the table and the usual pace have it. */
function defaultOf(
  key: string,
  level: Level,
  { poses, ownPoses, techniques, changes }: LearnInput['catalog'],
): Seconds | undefined {
  if (key === learnedKey.changeover) return 100
  if (key === learnedKey.pace) return Math.round(6000 / usualPace)
  const [what = '', id = ''] = key.split(':')
  if (what === 'change') {
    const [from, to] = id.split('>')
    return (changes as Readonly<Record<string, Readonly<Record<string, Seconds>>>>)[from ?? '']?.[to ?? '']
  }
  const time = taughtTimes.find((name) => name === what)
  const pose = ownPoses.get(id) ?? poses.get(id)
  if (!pose) return what === 'setUp' ? techniques.get(id)?.setUpS : undefined
  if (time === 'setUp') return pose.times.setUpS[level]
  return time && pose.times[`${time}S`]
}
