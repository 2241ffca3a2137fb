import type { Block } from '#model/block'
import type { Section } from '#model/section'
import type { Session } from '#model/session'
import { sectionMs } from '#core/breath'
import { applyEdit, withSection } from '#core/session'
import type { ResolvedBreath } from '#core/session'
import { compileTimeline } from '#core/timeline'
import type { Timeline } from '#core/timeline'
import type { Seconds } from '#core/units'
import { checkSession } from './check.ts'
import type { CheckInput, Noticed } from './check.ts'
import { locksLead } from './locks-lead.ts'

/** Natural breath in place of a section of breath work, or of the breath counted over a hold. */
export interface Instead {
  readonly blockId: string
  /** Which of the block's sections, from 0. */
  readonly section?: number
  readonly s: Seconds
}

/** A session as it may be led, and where natural breath stands in it for what may not. */
export interface Leadable {
  readonly session: Session
  readonly timeline: Timeline
  readonly instead: readonly Instead[]
}

/**
 * The session with natural breath of the same length in place of each section that keeps it from being led, and without
 * the breath counted over a hold that does; undefined where something is left that nothing can stand for. The same
 * session where nothing keeps it.
 */
export function leadable(input: CheckInput): Leadable | undefined {
  let [session, timeline] = [input.session, input.timeline]
  const instead: Instead[] = []
  for (;;) {
    const locked = checkSession({ ...input, session, timeline }).find(locksLead)
    if (!locked) return { session, timeline, instead }
    const given = withoutIt(locked, timeline)
    const edited = given && applyEdit(session, { type: 'replace', block: given.block })
    const compiled = edited?.ok ? compileTimeline(edited.value.session, input.catalog) : undefined
    if (!given || !edited?.ok || !compiled?.ok) return undefined
    session = edited.value.session
    timeline = compiled.value
    const { block, section, s } = given
    instead.push({ blockId: block.id, s, ...(section === undefined ? {} : { section }) })
  }
}

interface Given {
  readonly block: Block
  readonly section?: number
  readonly s: Seconds
}

/** The block of a finding with natural breath in the place of what is found. */
function withoutIt({ place, facts }: Noticed, timeline: Timeline): Given | undefined {
  const block = timeline.blocks.find((span) => span.block.block.id === place.blockId)?.block
  if (block?.kind === 'hold' && block.block.breathOver) {
    const { breathOver: _, ...kept } = block.block
    return { block: kept, s: Math.max(...block.sides.map(({ holdS }) => holdS)) }
  }
  if (block?.kind !== 'breath') return undefined
  const at = 'section' in facts ? facts.section - 1 : sectionAt(timeline, block, place.atMs)
  return naturalAt(block, at)
}

/** Which section of a block runs at an instant. */
const sectionAt = (timeline: Timeline, { block }: ResolvedBreath, atMs = 0): number =>
  timeline.segments
    .filter(({ blockId, startMs }) => blockId === block.id && startMs <= atMs)
    .reduce((at, { doing }) => (doing.kind === 'breath' ? doing.section : at), -1)

function naturalAt({ block, sections }: ResolvedBreath, at: number): Given | undefined {
  const [written, section] = [block.sections[at], sections[at]]
  if (!written || !section) return undefined
  const s = Math.max(1, Math.round(sectionMs(section) / 1000))
  const { id, seat } = written
  const natural: Section = { kind: 'natural', id, s, ...(seat ? { seat } : {}) }
  return { block: withSection(block, at, natural), section: at, s }
}
