import type { RequestHandler } from 'express'
import { pathText } from '#model/refusal'
import { ProblemError } from '#server/problems'

/** A session of two hundred blocks with all their words takes well under this. */
export const mostBodyKb = 1024

/** So many values no document of ours has: a year of sessions with all their words has under half of it. */
const mostValues = 300_000
/** The longest lists and tables of ours are the events and stretches of a long class. */
const mostInOne = 20_000
/** Deeper than any document of ours goes. */
const mostDeep = 40

interface Place {
  readonly value: unknown
  readonly path: readonly (string | number)[]
}

/**
 * Refuses what no document of ours can be, before anything reads it further: more values, longer lists or deeper ones
 * than any has; and texts with a null character or half a character, which cannot be stored as they are. Walks each
 * value once, without recursion.
 */
export function refuseUnreadableValue(document: unknown): void {
  const waiting: Place[] = [{ value: document, path: [] }]
  let seen = 0
  for (let place = waiting.pop(); place; place = waiting.pop()) {
    seen += 1
    const { value, path } = place
    if (typeof value === 'string') refuseText(value, path)
    else if (typeof value === 'object' && value !== null) {
      // Counted before its entries are made, which is what would take long.
      const count = Array.isArray(value) ? value.length : Object.keys(value).length
      if (count > mostInOne || path.length >= mostDeep || seen + waiting.length + count > mostValues)
        throw new ProblemError('DOCUMENT_TOO_MANIFOLD', { mostValues, mostInOne, mostDeep }, { path: pathText(path) })
      for (const [key, one] of Object.entries(value)) {
        refuseText(key, path)
        waiting.push({ value: one, path: [...path, Array.isArray(value) ? Number(key) : key] })
      }
    }
  }
}

/** The same of the body of a request, and of what is asked for in its address. */
export const refuseUnreadable: RequestHandler = (
  { body, query }: { body?: unknown; query: unknown },
  _response,
  next,
) => {
  refuseUnreadableValue(body)
  refuseUnreadableValue(query)
  next()
}

/** A null character, or half of a character that takes two. */
const unreadable = /\0|\p{Surrogate}/u

function refuseText(text: string, path: Place['path']): void {
  if (unreadable.test(text)) throw new ProblemError('TEXT_UNREADABLE', {}, { path: pathText(path) })
}
