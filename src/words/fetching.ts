import type { PropKind } from '#model/prop'
import type { FetchedAlike, FetchItem, FetchList, Fetching, LedgerRow } from '#core/class'
import type { PlannedClass, WayOfFetching } from '#model/planned-class'
import { formatDuration, hourOfDay, minutesOfDay } from '#core/units'
import { countedProp, propNames } from './props.ts'
import { counted } from './text.ts'

/** How what a class takes comes to the mats, to be chosen. */
export const fetchingNames: Readonly<Record<WayOfFetching, string>> = {
  talk: 'by all, in the first talk',
  before: 'by all, before the class',
  byMe: 'laid out by me',
}

const listed = (items: readonly FetchItem[]): string =>
  items.map(({ kind, count }) => countedProp(kind, count)).join(', ')

/** What is fetched, as lines: at the start, what is only wanted once the body is in place, and what stands ready. */
export function fetchLines(
  { items, ready }: FetchList,
  { nameOf }: { readonly nameOf: (blockId: string) => string },
): readonly string[] {
  const late = items.filter((item) => item.late)
  const first = items.filter((item) => !item.late)
  return [
    ...(first.length > 0 ? [listed(first)] : []),
    ...(late.length > 0 ? [`once the body is in place: ${listed(late)}`] : []),
    ...ready.map(({ kind, count, blockId }) => `${countedProp(kind, count)} standing ready for ${nameOf(blockId)}`),
  ]
}

/** What each person fetches: the lines of what most do, and one of each who fetch otherwise. */
export function fetchLinesOfEach(
  [most, ...rest]: readonly FetchedAlike[],
  how: { readonly nameOf: (blockId: string) => string },
): { readonly most: readonly string[]; readonly others: readonly string[] } {
  const lines = most ? fetchLines(most, how) : []
  return {
    most: lines.length > 0 || rest.length === 0 ? lines : ['nothing'],
    others: rest.map((other) => {
      const who = counted(other.people, 'person', 'people')
      const differs = most ? differences(most, other) : []
      if (differs.length > 0 && differs.length <= fewDifferences) return `${who}: ${differs.join(', ')}`
      return `${who} otherwise: ${fetchLines(other, how).join('; ') || 'nothing'}`
    }),
  }
}

/** More of them are not easier to follow than all that is fetched. */
const fewDifferences = 2

/** What somebody fetches more, fewer or nothing of than most; when it is wanted does not count. */
function differences(most: FetchList, other: FetchList): readonly string[] {
  const usual = countsOf(most)
  const theirs = countsOf(other)
  return [...new Set([...usual.keys(), ...theirs.keys()])].flatMap((kind) => {
    const [before, now] = [usual.get(kind) ?? 0, theirs.get(kind) ?? 0]
    if (now === before) return []
    if (now === 0) return [`no ${propNames[kind].one}`]
    return [now > before ? `${countedProp(kind, now - before)} more` : `${countedProp(kind, before - now)} fewer`]
  })
}

const countsOf = ({ items, ready }: FetchList): ReadonlyMap<PropKind, number> =>
  new Map([...items, ...ready].map(({ kind, count }) => [kind, count]))

/** What there is too little of for what is in use at once. */
export const shortLines = (
  rows: readonly Pick<LedgerRow, 'kind' | 'atOnce'>[],
  stock: Readonly<Partial<Record<PropKind, number>>>,
): readonly string[] =>
  rows.flatMap(({ kind, atOnce }) => {
    const here = stock[kind] ?? 0
    return atOnce > here ? [`${countedProp(kind, atOnce)} wanted, ${String(here)} here`] : []
  })

/** How much is carried and how long that takes, or when the teacher is there to lay it out. */
export function fetchingWords(
  { things, s, aloneS }: Fetching,
  planned: Pick<PlannedClass, 'fetching' | 'startsAt'> = {},
): string {
  if (things === 0) return 'Nothing to fetch.'
  const toFetch = `about ${formatDuration(Math.round(s / 5) * 5)} to fetch and as long to put away`
  const { fetching: way = 'talk', startsAt } = planned
  if (way === 'byMe') {
    const by = startsAt === undefined ? undefined : thereBy(startsAt, aloneS)
    return `${counted(things, 'thing')}, laid out by you in about ${formatDuration(Math.round(aloneS / 30) * 30)}${by === undefined ? '' : `: be there ${by}`}.`
  }
  return way === 'before'
    ? `${counted(things, 'thing')}, ${toFetch}: before the class and after it.`
    : `${counted(things, 'thing')}, ${toFetch}.`
}

/** When one has to be there to lay out before a class begins: to the five minutes before that. */
export function thereBy(startsAt: string, aloneS: number): string {
  const at = minutesOfDay(startsAt) - Math.ceil(aloneS / 60)
  return hourOfDay(Math.floor(at / 5) * 5)
}
