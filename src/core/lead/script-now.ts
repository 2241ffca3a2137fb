import { spokenIn } from '#core/session'
import type { SpokenScript } from '#core/session'
import type { Milliseconds } from '#core/units'
import { breathNow } from './breath-now.ts'
import type { LeadPlan } from './lead-plan.ts'
import type { LeadState } from './lead-state.ts'
import { elapsedInPart } from './run.ts'
import { expectedLengths, heldMs } from './sides.ts'

/** Where a script is. */
export interface ScriptNow {
  /** The sentence that is said, or was said last; absent before the first. */
  readonly says: string | undefined
  /** Whether it is being said, and not quiet after it. */
  readonly isSaid: boolean
  readonly next: { readonly text: string; readonly inMs: Milliseconds } | undefined
  /** How long it is quiet from now on: to the next sentence, or to the end; 0 while a sentence is said. */
  readonly quietMs: Milliseconds
  readonly isLongQuiet: boolean
  /** Which of how many sentences, from 1; 0 before the first. */
  readonly at: number
  readonly of: number
}

export type LedScript = NonNullable<LeadPlan['scripts']>[number]

/**
 * The script that runs over what is led now, as long as that lasts now: a re-fit, a stay or a matched side stretches it
 * anew. It waits while the class does. Under a held breath nothing moves: what is in sight stays until it is let go.
 */
export function scriptNow(plan: LeadPlan, state: LeadState): ScriptNow | undefined {
  const script = plan.scripts?.find(({ from, to }) => state.index >= from && state.index < to)
  if (!script || state.natural || state.phase === 'ended') return undefined
  const breath = breathNow(plan, state)
  const isHeld = breath?.part === 'full' || breath?.part === 'empty'
  const heldForMs = isHeld ? state.nowMs - breath.startMs : 0
  const nowMs = elapsedInPart(plan, state) - heldForMs - script.afterMs
  const endMs = Math.max(0, lengthOfAll(plan, state, script) - script.afterMs - script.beforeEndMs)
  return at(script, spoken(script, state, endMs), nowMs, endMs)
}

/** How long what a script runs over lasts, as it was led so far and will be. */
export function lengthOfAll(plan: LeadPlan, state: LeadState, { from, to }: LedScript): Milliseconds {
  const lengths = expectedLengths(plan, state)
  let sum = 0
  for (let index = from; index < to; index += 1) {
    const ms = lengths[index] ?? 0
    sum += index < state.index ? Math.min(ms, heldMs(state, index)) : ms
  }
  return sum
}

/** The script as it was begun, with what was added since: to the long quiet, or once that is over to where it was then. */
export function spoken(script: LedScript, { grown }: LeadState, endMs: Milliseconds): SpokenScript {
  const begun = spokenIn(script, Math.max(0, endMs - grown.reduce((sum, { byMs }) => sum + byMs, 0)))
  return grown.reduce<SpokenScript>((said, { elapsedMs, byMs }) => {
    const moreMs = Math.max(0, byMs - said.lackMs)
    const fromMs = Math.max(said.quiet.fromMs, elapsedMs - script.afterMs)
    const isQuiet = fromMs < said.quiet.toMs
    return {
      sentences: said.sentences.map((one) =>
        one.startMs > fromMs ? { startMs: one.startMs + moreMs, endMs: one.endMs + moreMs } : one,
      ),
      quiet: isQuiet ? { fromMs: said.quiet.fromMs, toMs: said.quiet.toMs + moreMs } : said.quiet,
      lackMs: Math.max(0, said.lackMs - byMs),
    }
  }, begun)
}

function at(
  script: LedScript,
  { sentences, quiet }: SpokenScript,
  nowMs: Milliseconds,
  endMs: Milliseconds,
): ScriptNow {
  const last = sentences.findLastIndex(({ startMs }) => startMs <= nowMs)
  const now = sentences[last]
  const next = sentences[last + 1]
  const isSaid = now !== undefined && nowMs < now.endMs
  const inMs = (ms: Milliseconds): Milliseconds => Math.max(0, ms - nowMs)
  return {
    ...{ says: script.sentences[last]?.text, isSaid },
    next:
      next && next.startMs < endMs
        ? { text: script.sentences[last + 1]?.text ?? '', inMs: inMs(next.startMs) }
        : undefined,
    quietMs: isSaid ? 0 : inMs(next && next.startMs < endMs ? next.startMs : endMs),
    isLongQuiet: !isSaid && nowMs >= quiet.fromMs && nowMs < quiet.toMs,
    ...{ at: last + 1, of: sentences.length },
  }
}
