import type { LedStart } from '#model/led-class'
import type { Changed, InTheWay, Way } from '#core/lead'
import { formatMs } from '#core/units'
import { counted, joined, namesInWords } from './text.ts'

type Blocks = LedStart['blocks']
type Clock = (runMs: number) => string

const nameOf = (blocks: Blocks, id: string): string => blocks[id]?.name ?? ''

/** What a way is called. */
export function wayTitle({ way, out }: Way, blocks: Blocks): string {
  switch (way) {
    case 'lessBetween':
      return 'Less between'
    case 'leaveOut':
    case 'left':
      return `Leave out ${namesInWords(out.map((id) => nameOf(blocks, id)))}`
    case 'moved':
      return 'In another order'
    case 'endLater':
      return 'End later'
    case 'shorter':
      return 'Shorter holds'
    case 'fewerRounds':
      return 'Fewer rounds'
    case 'finalRest':
      return 'A shorter rest'
    case 'longer':
      return 'Longer'
  }
}

/** What is lost or gained by it, and the new end, as in “Deer 3:00 a side, rest 8:40. Ends 20:00”. */
export function wayWords(way: Way, { blocks, plan }: Pick<LedStart, 'blocks' | 'plan'>, clock: Clock): string {
  const ends = `Ends ${clock(way.endsMs)}.`
  if (way.way === 'endLater') return `Everything stays. ${ends}`
  const between = way.changed.filter(({ of }) => of === 'talk' || of === 'afterRest')
  const lessMs = between.reduce((sum, { fromMs, toMs }) => sum + fromMs - toMs, 0)
  const isEachSide = new Set(plan.segments.flatMap(({ blockId, side }) => (side === 'right' ? [blockId] : [])))
  const held = way.changed.filter(({ of }) => of === 'hold').map((one) => heldWords(one, blocks, isEachSide))
  const rest = way.changed.find(({ of }) => of === 'finalRest')
  const lost = joined(
    [
      way.out.length > 0 ? 'all else as written' : '',
      lessMs > 0 ? `${formatMs(lessMs)} less in ${counted(between.length, 'talk or rest', 'talks and rests')}` : '',
      ...held,
      ...way.changed.flatMap((one) => roundsWords(one, blocks)),
      rest ? `rest ${formatMs(rest.toMs)}` : '',
    ],
    ', ',
  )
  return joined([lost === '' ? '' : `${lost.charAt(0).toUpperCase()}${lost.slice(1)}.`, ends], ' ')
}

const heldWords = ({ blockId, toMs }: Changed, blocks: Blocks, isEachSide: ReadonlySet<string>): string =>
  `${nameOf(blocks, blockId)} ${formatMs(toMs)}${isEachSide.has(blockId) ? ' a side' : ''}`

const roundsWords = ({ blockId, rounds }: Changed, blocks: Blocks): string[] =>
  rounds ? [`${nameOf(blocks, blockId)} ${String(rounds.to)} of ${String(rounds.from)} rounds`] : []

/** What keeps the class from ending when it is to; nothing where nothing does. */
export function inTheWayWords(stands: readonly InTheWay[], blocks: Blocks): string {
  const named = (of: InTheWay['of']) =>
    stands.filter((one) => one.of === of).map(({ blockId }) => nameOf(blocks, blockId))
  const [must, holds] = [named('block'), named('hold')]
  const parts = [
    must.length > 0 ? `${namesInWords(must)} must stay` : '',
    holds.length > 0 ? `${namesInWords(holds)} as short as ${holds.length === 1 ? 'it goes' : 'they go'}` : '',
    stands.some(({ of }) => of === 'finalRest') ? 'the rest at its least' : '',
  ]
  const said = joined(parts, '; ')
  return said === '' ? '' : `In the way: ${said}.`
}

/** How far behind or ahead of what was said, as the head of Lead tells it; nothing within what is not told. */
export function behindWords(behindMs: number, toldFromMs: number, aheadFromMs: number): string {
  if (behindMs >= toldFromMs) return `${formatMs(Math.round(behindMs / 1000) * 1000)} behind`
  if (-behindMs >= aheadFromMs) return `${formatMs(Math.round(-behindMs / 1000) * 1000)} ahead`
  return ''
}
