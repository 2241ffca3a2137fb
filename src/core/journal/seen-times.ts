import type { Block } from '#model/block'
import type { BasePosition } from '#model/common'
import type { LeadEvent, LedClass, LedPlan, Visit } from '#model/led-class'
import type { SeenTime } from '#model/seen-time'
import { peopleHere } from '#core/lead'
import { factorFor, learnedKey } from '#core/session'
import type { ChangeTable } from '#core/session'
import { wordCount } from '#core/units'
import type { Milliseconds, Seconds } from '#core/units'
import { visitsOf } from './meant-and-done.ts'

/** Fewer words say nothing of how fast somebody speaks. */
const leastWords = 40

type Segment = LedPlan['segments'][number]
/** Parts of which a pause belongs to what they took: people are still busy [handling book 5]. */
const pausesCount: ReadonlySet<Segment['doing']['kind']> = new Set(['change', 'setUp', 'settle'])
const taught: ReadonlySet<Segment['doing']['kind']> = new Set(['change', 'setUp', 'settle', 'comingOut', 'talk'])

/**
 * What a record teaches of how long things take [handling book 5]: of a class that came to its end, each part the teacher
 * ended, said to be settled, or stayed in. What ran out by the clock, was begun again, or slept through teaches nothing.
 */
export function seenTimes(led: LedClass, table: ChangeTable): readonly SeenTime[] {
  if (led.format !== 2 || led.endedAt === null || led.left) return []
  const events = led.events.map(({ event }) => event)
  const blocks = new Map(led.document.blocks.map((block) => [block.id, block]))
  const people = peopleHere({ start: led, events: led.events })
  const about = { level: led.document.level, people, startedAt: led.startedAt }
  return visitsOf(led).flatMap((visit) => {
    const segment = visit.segment === null ? undefined : led.plan.segments[visit.segment]
    const block = blocks.get(visit.blockId)
    if (!segment || !block || !teaches(visit, segment, events)) return []
    const found = seenOf(segment, block, (visit.endMs - visit.startMs) / 1000, {
      ...{ table, people, plannedS: segment.lengthMs / 1000 },
      estimate: led.plan.changes?.[visit.blockId],
    })
    return found ? [{ ...found, ...about }] : []
  })
}

function teaches({ startMs, endMs, again }: Visit, { doing }: Segment, events: readonly LeadEvent[]): boolean {
  if (again || !taught.has(doing.kind)) return false
  const within = events.filter(({ atMs }) => atMs > startMs && atMs <= endMs)
  const slept = within.some(({ type }) => type === 'gap')
  const paused = within.some(({ type }) => type === 'pause')
  if (slept || (paused && !pausesCount.has(doing.kind))) return false
  return within.some(({ type, atMs }) => type === 'stay' || ((type === 'end' || type === 'settled') && atMs === endMs))
}

interface House {
  readonly table: ChangeTable
  readonly people: number
  readonly plannedS: Seconds
  readonly estimate: { readonly by: 'position' | 'props'; readonly usualMs: Milliseconds } | undefined
}

function seenOf(
  { doing }: Segment,
  block: Block,
  tookS: Seconds,
  house: House,
): Pick<SeenTime, 'key' | 's'> | undefined {
  const s = Math.round(tookS)
  if (doing.kind === 'talk') return ofTalk(block, tookS)
  if (doing.kind === 'change')
    return doing.from === undefined ? undefined : ofChange({ from: doing.from, to: doing.to }, block, tookS, house)
  if (doing.kind === 'setUp' && doing.second) return undefined
  if (doing.kind !== 'setUp' && doing.kind !== 'settle' && doing.kind !== 'comingOut') return undefined
  if (block.kind === 'hold') return { key: learnedKey.ofPose(doing.kind, block.poseId, block.variantId), s }
  const techniqueId = block.kind === 'breath' && doing.kind === 'setUp' ? techniqueOf(block) : undefined
  return techniqueId === undefined ? undefined : { key: learnedKey.ofTechnique(techniqueId), s }
}

const techniqueOf = (block: Extract<Block, { kind: 'breath' }>): string | undefined =>
  block.sections.flatMap((section) => ('techniqueId' in section ? (section.techniqueId ?? []) : []))[0]

/** A change counts for whichever was the larger in its plan, coming over or the props [settled B18]; one set by hand for none. */
function ofChange(
  { from, to }: { readonly from: BasePosition; readonly to: BasePosition },
  block: Block,
  tookS: Seconds,
  { table, people, plannedS, estimate }: House,
): Pick<SeenTime, 'key' | 's'> | undefined {
  if (block.kind === 'talk' || block.times?.changeS !== undefined) return undefined
  const factor = factorFor(people)
  const overS = from === to ? 0 : table[from][to]
  // A record from before plans said it: as the table has it.
  const by = estimate?.by ?? (plannedS <= Math.round(overS * factor) ? 'position' : 'props')
  if (by === 'position')
    return from === to ? undefined : { key: learnedKey.change(from, to), s: Math.round(tookS / factor) }
  const usualS = estimate ? estimate.usualMs / 1000 : plannedS
  return usualS === 0 ? undefined : { key: learnedKey.changeover, s: Math.round((tookS / usualS) * 100) }
}

function ofTalk(block: Block, tookS: Seconds): Pick<SeenTime, 'key' | 's'> | undefined {
  if (block.kind !== 'talk') return undefined
  const sentences = block.script?.sentences.map(({ text }) => text) ?? []
  const words = wordCount([block.text ?? '', ...sentences].join(' '))
  return words < leastWords ? undefined : { key: learnedKey.pace, s: Math.round((tookS * 100) / words) }
}
