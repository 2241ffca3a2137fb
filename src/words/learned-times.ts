import type { BasePosition } from '#model/common'
import { learnedKey, poseIn } from '#core/session'
import type { Catalog } from '#core/session'
import type { Moved } from '#core/journal'
import { formatMs } from '#core/units'
import { basePositionNames } from './positions.ts'

type Shelf = Pick<Catalog, 'poses' | 'ownPoses' | 'techniques'>

const doing: Readonly<Record<string, string>> = {
  setUp: 'set-up of',
  settle: 'settling into',
  comingOut: 'coming out of',
}

const positionIn = (id: string | undefined): string => basePositionNames[id as BasePosition]

/** What such a time is of without what is done with it: things are listed by it. */
export function learnedThing(key: string, catalog: Shelf): string {
  const [what, id = ''] = key.split(':')
  return what === 'change'
    ? ''
    : (poseIn(catalog, id)?.names.english ?? catalog.techniques.get(id)?.names.english ?? '')
}

/** What a time that led classes teach is of, as a teacher says it. */
export function learnedWords(key: string, catalog: Shelf): string {
  if (key === learnedKey.changeover) return 'changes that the props make'
  if (key === learnedKey.pace) return 'how fast you speak'
  const [what = '', id = '', variantId] = key.split(':')
  if (what === 'change') {
    const [from, to] = id.split('>')
    return `coming over: ${positionIn(from)} → ${positionIn(to)}`
  }
  const pose = poseIn(catalog, id)
  const name = pose?.names.english ?? catalog.techniques.get(id)?.names.english ?? id
  const form = pose?.variants.find((one) => one.id === variantId)?.name
  return `${doing[what] ?? what} ${name}${form === undefined ? '' : `, ${form.toLowerCase()}`}`
}

/** Some figures of such a time one after the other, their unit said once. */
export const learnedFigures = (key: string, values: readonly number[]): string =>
  key === learnedKey.changeover || key === learnedKey.pace
    ? values.map((value) => learnedFigure(key, value)).join(' · ')
    : `${values.join(' · ')} s`

/** A figure of such a time: seconds, of props by hand how many times the estimate, of speech words a minute. */
export function learnedFigure(key: string, value: number): string {
  if (key === learnedKey.changeover) return `× ${(value / 100).toFixed(2)}`
  if (key === learnedKey.pace) return value === 0 ? '—' : `${String(Math.round(6000 / value))} words a minute`
  return `${String(value)} s`
}

/** How many of the times that moved a plan are named. */
const mostNamed = 3

/** By how much a plan is longer or shorter by what classes taught, and by which times most. */
export function movedWords({ byMs, parts }: Moved, catalog: Shelf): string {
  const named = parts.slice(0, mostNamed).map(({ key, byMs: part }) => {
    return `${learnedWords(key, catalog)} (${part < 0 ? '−' : '+'}${formatMs(Math.abs(part))})`
  })
  const more = parts.length > mostNamed ? [`${String(parts.length - mostNamed)} more`] : []
  const by = `${formatMs(Math.abs(byMs))} ${byMs < 0 ? 'shorter' : 'longer'}`
  return `${by} by what your classes took: ${[...named, ...more].join(', ')}.`
}
