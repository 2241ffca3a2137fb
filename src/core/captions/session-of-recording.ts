import type { Block, HoldBlock, HoldTime } from '#model/block'
import { blockLimits, holdLimits, mostBlocks, sessionLimits, textLimits } from '#model/limits'
import type { SecondsRange } from '#model/limits'
import type { Session } from '#model/session'
import type { Catalog } from '#core/session'
import type { Milliseconds, Seconds } from '#core/units'
import type { Caption, Span } from './captions.ts'
import { toldOfRecording } from './told-of-recording.ts'
import type { RecordedSides } from './told-of-recording.ts'

/** What a recording does not tell of the session that is made from it. */
export type SessionAs = Pick<Session, 'id' | 'name' | 'practice' | 'level' | 'schoolId'>

/** Shorter talk, movement and breath belong to what is around them, ms [estimate]. */
const leastStretchMs = 20_000
/** A last rest that is shorter is no final rest, ms [estimate]. */
const leastFinalRestMs = 60_000
/** Times heard in a recording are given in steps of it, s. */
const stepS = 5

const lengthOf = ({ startMs, endMs }: Pick<Span, 'startMs' | 'endMs'>): Milliseconds => endMs - startMs
const within = (ms: Milliseconds, { leastS, mostS }: SecondsRange): Seconds =>
  Math.min(mostS, Math.max(leastS, Math.round(ms / 1000 / stepS) * stepS))

/**
 * A session to plan from: what was held, with both sides of a shape in one block, what was talked, breathed and rested, in
 * the order of the recording. Sides that are no further apart than is doubtful are planned alike, with the longer. A shape
 * nobody named stands as talk of its length, so that nothing is lost; what comes between is left to the plan's own estimates.
 */
export function sessionOfRecording(
  captions: readonly Caption[],
  spans: readonly Span[],
  { poses }: Pick<Catalog, 'poses'>,
  as: SessionAs,
): Session {
  const { sides } = toldOfRecording(captions, spans)
  const finalRest = finalRestOf(spans)
  const blocks = spans.slice(0, finalRest ? spans.indexOf(finalRest) : undefined).flatMap((span, at): Block[] => {
    const id = `recorded-${String(at + 1)}`
    if (span.kind === 'hold') return holdOf(id, span, sides, poses)
    // What comes between the two sides belongs to their block.
    const isBetween = sides.some(
      ({ first, second }) =>
        poses.has(first.poseId ?? '') && span.startMs > first.startMs && span.startMs < second.startMs,
    )
    return isBetween ? [] : otherOf(id, span, captions)
  })
  const closing: Block[] = finalRest
    ? [{ id: 'closing', kind: 'closing', finalRestS: within(lengthOf(finalRest), blockLimits) }]
    : []
  const [start, end] = [spans[0]?.startMs ?? 0, spans.at(-1)?.endMs ?? 0]
  const lengthS = Math.ceil((end - start) / 60_000) * 60
  return {
    ...{ ...as, schema: 2 },
    lengthS: Math.min(sessionLimits.mostS, Math.max(sessionLimits.leastS, lengthS)),
    blocks: [...blocks.slice(0, mostBlocks - closing.length), ...closing],
  }
}

/** The long rest after which nothing is done. */
function finalRestOf(spans: readonly Span[]): Span | undefined {
  const last = spans.findLast(({ kind }) => kind === 'hold' || kind === 'breath' || kind === 'movement')
  const from = last === undefined ? 0 : spans.indexOf(last) + 1
  return spans.slice(from).find((span) => span.kind === 'rest' && lengthOf(span) >= leastFinalRestMs)
}

function holdOf(id: string, span: Span, sides: readonly RecordedSides[], poses: Catalog['poses']): Block[] {
  const pose = span.poseId === undefined ? undefined : poses.get(span.poseId)
  if (!pose) {
    const title = span.side === undefined ? 'Unknown shape' : `Unknown shape, ${span.side}`
    return [{ id, kind: 'talk', title, s: within(lengthOf(span), blockLimits) }]
  }
  if (!pose.sides) return [heldBlock(id, pose.id, { holdS: within(lengthOf(span), holdLimits) })]
  if (sides.some(({ second }) => second === span)) return []
  const pair = sides.find(({ first }) => first === span)
  const hold = pair ? bothSides(pair) : { holdS: within(lengthOf(span), holdLimits) }
  return [{ ...heldBlock(id, pose.id, hold), ...(span.side === undefined ? {} : { firstSide: span.side }) }]
}

const heldBlock = (id: string, poseId: string, hold: HoldTime): HoldBlock => ({ id, kind: 'hold', poseId, hold })

function bothSides({ first, second, apartMs }: RecordedSides): HoldTime {
  const [firstS, secondS] = [within(lengthOf(first), holdLimits), within(lengthOf(second), holdLimits)]
  const isAlike = firstS === secondS || Math.abs(apartMs) <= first.doubtMs + second.doubtMs
  if (isAlike) return { holdS: Math.max(firstS, secondS) }
  const [leftS, rightS] = first.side === 'left' ? [firstS, secondS] : [secondS, firstS]
  return { leftS, rightS, why: 'as it was recorded' }
}

function otherOf(id: string, span: Span, captions: readonly Caption[]): Block[] {
  const s = within(lengthOf(span), blockLimits)
  if (span.kind === 'rest') return [{ id, kind: 'rest', s }]
  if (lengthOf(span) < leastStretchMs) return []
  if (span.kind === 'breath') return [{ id, kind: 'breath', sections: [{ id: 'natural', kind: 'natural', s }] }]
  if (span.kind !== 'talk' && span.kind !== 'movement') return []
  const text = captions
    .filter(({ startMs }) => startMs >= span.startMs && startMs < span.endMs)
    .map((caption) => caption.text.trim())
    .join(' ')
    .slice(0, textLimits.text)
  return [{ id, kind: 'talk', title: span.kind === 'talk' ? 'Talk' : 'Movement', s, ...(text === '' ? {} : { text }) }]
}
