import type { PropKind } from '#model/prop'
import type { FetchItem, FetchList, Fetching } from '#core/class'
import { formatDuration } from '#core/units'
import { countedProp } from './props.ts'
import { counted } from './text.ts'

const listed = (items: readonly FetchItem[], times: number): string =>
  items.map(({ kind, count }) => countedProp(kind, count * times)).join(', ')

/** What is fetched, as lines: at the start, what is only wanted once the body is in place, and what stands ready. */
export function fetchLines(
  { items, ready }: FetchList,
  { people = 1, nameOf }: { readonly people?: number; readonly nameOf: (blockId: string) => string },
): readonly string[] {
  const late = items.filter((item) => item.late)
  const first = items.filter((item) => !item.late)
  return [
    ...(first.length > 0 ? [listed(first, people)] : []),
    ...(late.length > 0 ? [`once the body is in place: ${listed(late, people)}`] : []),
    ...ready.map(
      ({ kind, count, blockId }) => `${countedProp(kind, count * people)} standing ready for ${nameOf(blockId)}`,
    ),
  ]
}

/** What the cupboard has too little of for so many people. */
export function shortLines(
  { items, ready }: FetchList,
  people: number,
  cupboard: readonly { readonly kind: PropKind; readonly count: number }[],
): readonly string[] {
  const here = (kind: PropKind): number =>
    cupboard.reduce((sum, item) => sum + (item.kind === kind ? item.count : 0), 0)
  return [...items, ...ready].flatMap(({ kind, count }) =>
    count * people > here(kind) ? [`${countedProp(kind, count * people)} wanted, ${String(here(kind))} here`] : [],
  )
}

/** How much is carried and how long that takes, with the teacher's own time to lay it out. */
export const fetchingWords = ({ things, s, aloneS }: Fetching): string =>
  things === 0
    ? 'Nothing to fetch.'
    : `${counted(things, 'thing')}, about ${formatDuration(Math.round(s / 5) * 5)} to fetch and as long to put away; laid out by you, about ${formatDuration(Math.round(aloneS / 30) * 30)}.`
