import type { LedDoing } from '#model/led-class'
import { countedRun } from './counted-run.ts'
import type { LeadCue, LeadPlan, LeadSegment } from './lead-plan.ts'
import type { LeadState } from './lead-state.ts'
import { orderedPlan, remember, wholePlan } from './order.ts'

type Counting = Exclude<LeadState['counting'], 'all'>

/** The plans that were made of one. */
const madeOf = new WeakMap<LeadPlan, Partial<Record<Counting, LeadPlan>>>()

/**
 * The plan as it is led now. After a stop sign every counted section, retention and stroke stands as natural breath of
 * the same length; once the teacher counts again, only what holds the breath or is stroked does [breath book 5].
 * Segments keep their places, so that a state means the same in each.
 */
export function planNow(plan: LeadPlan, { counting, order }: Pick<LeadState, 'counting' | 'order'>): LeadPlan {
  const made = wholePlan(plan)
  const whole = orderedPlan(made, order)
  if (counting === 'all') return whole
  const before = madeOf.get(whole)
  const now = before?.[counting] ?? without(whole, counting)
  if (before?.[counting]) return now
  madeOf.set(whole, { ...before, [counting]: now })
  remember(now, made)
  return now
}

function without(plan: LeadPlan, counting: Counting): LeadPlan {
  const stopped = new Set(plan.segments.filter((segment) => isStopped(segment, counting)).map(whereOf))
  const stands = (segment: LeadSegment) => stopped.has(whereOf(segment))
  return {
    ...plan,
    segments: plan.segments.map((segment) => (stands(segment) ? asNatural(segment) : segment)),
    cues: plan.cues.flatMap((cue) => {
      const at = plan.segments[cue.segment]
      if (!at || !(stands(at) || announces(plan, cue, at, stands))) return [cue]
      return isBlockBell(cue) ? [wordless(cue)] : []
    }),
    over: Object.fromEntries(
      Object.entries(plan.over).filter(
        ([, { pattern }]) => counting === 'plain' && pattern.full === 0 && pattern.empty === 0,
      ),
    ),
  }
}

/** A section of a breath, or a whole movement with its set-up: it is led whole or not at all. */
const whereOf = ({ blockId, doing }: LeadSegment): string =>
  doing.kind === 'breath' ? `${blockId} ${String(doing.section)}` : blockId

function isStopped({ doing }: LeadSegment, counting: Counting): boolean {
  if (isHeld(doing)) return true
  return counting === 'none' && doing.kind === 'breath' && stoppedParts.has(doing.part)
}

const stoppedParts: ReadonlySet<string> = new Set(['counted', 'uncounted', 'strokes'])

/** Whether a breath is held or stroked in it: what is not put back today. */
export function isHeld(doing: LedDoing): boolean {
  if (doing.kind === 'breath' && doing.part === 'strokes') return true
  const run = countedRun(doing)
  return run !== undefined && run.parts.some(({ part }) => part === 'full' || part === 'empty' || part === 'retention')
}

const asNatural = (segment: LeadSegment): LeadSegment => {
  const { doing } = segment
  const [section, set] = doing.kind === 'breath' ? [doing.section, doing.set] : [0, 0]
  return { ...segment, doing: { kind: 'breath', part: 'natural', section, set, stopped: true } }
}

const wordless = ({ text: _, ...bell }: LeadCue): LeadCue => bell

/** The bells a block begins and ends with are rung whatever is breathed in it. */
const isBlockBell = ({ sound }: LeadCue): boolean => sound?.kind === 'lowBell'

/** Whether a cue is said in the quiet before a section that is not led: it would announce it. */
function announces(
  plan: LeadPlan,
  { offsetMs, sound }: LeadCue,
  { index, blockId, doing }: LeadSegment,
  stands: (segment: LeadSegment) => boolean,
): boolean {
  if (doing.kind !== 'breath' || offsetMs === 0 || sound !== undefined) return false
  const next = plan.segments.slice(index + 1).find(({ lengthMs }) => lengthMs > 0)
  return next?.blockId === blockId && stands(next)
}
