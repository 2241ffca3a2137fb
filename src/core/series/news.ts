import type { Seconds } from '#core/units'

/** One thing that is otherwise in a block than the week before. */
export type News = { readonly blockId: string } & (
  | { readonly is: 'longer'; readonly fromS: Seconds; readonly toS: Seconds }
  /** Things said in it. */
  | { readonly is: 'quieter'; readonly from: number; readonly to: number }
  | { readonly is: 'form'; readonly variantId: string | null }
  | { readonly is: 'instead'; readonly poseId: string; readonly before: string }
  | { readonly is: 'comes' }
  | { readonly is: 'goes' }
  /** Of the breath ladder. */
  | { readonly is: 'step'; readonly from: number; readonly to: number }
  /** Which of a technique's lessons, from 1. */
  | { readonly is: 'lesson'; readonly techniqueId: string; readonly lesson: number }
)

/** News of several weeks as one: what went on growing stands once, from where it began to where it is. */
export function joinedNews(news: readonly News[]): readonly News[] {
  const joined: News[] = []
  for (const one of news) {
    const at = joined.findIndex((other) => other.blockId === one.blockId && other.is === one.is)
    const before = joined[at]
    if (before) joined[at] = goingOn(before, one)
    else joined.push(one)
  }
  return joined
}

function goingOn(before: News, after: News): News {
  if (before.is === 'longer' && after.is === 'longer') return { ...after, fromS: before.fromS }
  if (before.is === 'quieter' && after.is === 'quieter') return { ...after, from: before.from }
  if (before.is === 'step' && after.is === 'step') return { ...after, from: before.from }
  return before.is === 'instead' && after.is === 'instead' ? { ...after, before: before.before } : after
}
