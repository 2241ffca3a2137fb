import { msFromS } from '#core/units'
import type { Milliseconds } from '#core/units'
import type { SessionFacts } from '../facts.ts'
import { stepsOf } from '../steps-of.ts'
import { ownWords } from '../own-cues.ts'
import type { Held, Rule } from '../rule.ts'

/** The last minute of a hold [handbook: no planned change in the last minute]. */
const lastMs = 60_000

/**
 * Words that change a support: a prop is the very thing that something is done with. "Put no weight on the
 * chair" and "Move the attention to the block" do nothing with a prop.
 */
const changesSupport =
  /\b(?:take|slide|pull|push|bring|add|remove|lower|lift|swap|change|put|move)\b(?: (?!(?:no|not|on|onto|to|into|in|under|at|over|against|with|from|of|weight|attention|awareness|breath|gaze|mind)\b)[\w'’-]+){0,4} (?:bolster|blanket|block|pillow|strap|chair|belt|roll|support|prop)s?\b/i

/** A phase that begins, a support that words change, or a step of the set-up, in the last minute of a hold, on either side. */
export const lateChange: Rule<'LATE_CHANGE'> = {
  code: 'LATE_CHANGE',
  grade: 'look',
  find: ({ holds }) =>
    holds.flatMap((held) => {
      const late = latePhase(held) ?? lateStep(held) ?? lateCue(held)
      if (!late) return []
      const { atMs, endMs, what } = late
      return [{ blockId: held.id, atMs, facts: { leftS: Math.round((endMs - atMs) / 1000), what } }]
    }),
}

interface Late {
  readonly atMs: Milliseconds
  readonly endMs: Milliseconds
  readonly what: SessionFacts['LATE_CHANGE']['what']
}

const latePhase = ({ sides }: Held): Late | undefined =>
  sides.flatMap(({ segments, endMs }) =>
    segments
      .slice(1)
      .filter(({ startMs }) => startMs > endMs - lastMs)
      .map(({ startMs }) => ({ atMs: startMs, endMs, what: 'phase' as const })),
  )[0]

const lateStep = ({ hold, sides }: Held): Late | undefined =>
  sides.flatMap(({ holdS, startMs, endMs }) =>
    stepsOf(hold, holdS)
      .map(({ atS }) => startMs + msFromS(atS))
      .filter((atMs) => atMs > endMs - lastMs)
      .map((atMs) => ({ atMs, endMs, what: 'step' as const })),
  )[0]

const lateCue = (held: Held): Late | undefined =>
  ownWords(held)
    .filter(({ held: { endMs }, cue, text }) => cue.atMs > endMs - lastMs && changesSupport.test(text))
    .map(({ held: { endMs }, cue }) => ({ atMs: cue.atMs, endMs, what: 'support' as const }))[0]
