import type { Order } from '../order.ts'
import type { RefitBook } from './book.ts'

const made = new WeakMap<RefitBook, Map<string, RefitBook>>()

/** The book with its blocks in the order in which they are led: places in it mean places in that order. */
export function orderedBook(book: RefitBook, order: Order): RefitBook {
  if (order === null) return book
  const known = made.get(book) ?? new Map<string, RefitBook>()
  made.set(book, known)
  const name = order.join(' ')
  const now = known.get(name) ?? rearranged(book, order)
  known.set(name, now)
  return now
}

function rearranged(book: RefitBook, order: readonly number[]): RefitBook {
  const rank = new Map(order.map((index, at) => [index, at]))
  const was = (at: number | undefined): number | undefined => (at === undefined ? undefined : order[at])
  const now = (index: number | undefined): number | undefined => (index === undefined ? undefined : rank.get(index))
  return {
    ...book,
    blocks: order.flatMap((index, at) => {
      const candidate = book.blocks[index]
      if (!candidate) return []
      const { counters, changeS, leaves } = candidate
      return [
        {
          ...candidate,
          index: at,
          counters: now(counters),
          changeS: (before: number | undefined) => changeS(was(before)),
          leaves: (before: number | undefined) => now(leaves(was(before))),
        },
      ]
    }),
  }
}
