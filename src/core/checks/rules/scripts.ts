import { couldGo, withoutSentences } from '#core/session'
import type { Edit } from '#core/session'
import type { ScriptSaid } from '#core/timeline'
import type { Seconds } from '#core/units'
import { saidIn } from '../quiet.ts'
import type { Look, Rule } from '../rule.ts'

/** More than this of a rest or a hold talked over is no rest any more [estimate; settled, open thresholds]. */
const mostSaid = 0.4

const inSeconds = (ms: number): Seconds => Math.ceil(ms / 1000)
const spanS = ({ startMs, endMs }: ScriptSaid): Seconds => Math.round((endMs - startMs) / 1000)

/** What is said where more than one side says the same: the one with the least room for it. */
const tightest = ({ timeline }: Look): readonly ScriptSaid[] =>
  timeline.blocks.flatMap(({ block }) => {
    const of = timeline.scripts.filter(({ blockId }) => blockId === block.block.id)
    return of.toSorted((a, b) => spanS(a) - spanS(b)).slice(0, 1)
  })

/** A script that is longer than its time, even with the least pauses. */
export const scriptTooLong: Rule<'SCRIPT_TOO_LONG'> = {
  code: 'SCRIPT_TOO_LONG',
  grade: 'look',
  find: (look) =>
    tightest(look).flatMap((said) => {
      const { lackMs } = said.spoken
      if (lackMs <= 0) return []
      const goes = couldGo(said.script, said.endMs - said.startMs)
      const edits = leavingOut(look, said.blockId, goes)
      const facts = {
        ...{ overS: inSeconds(lackMs), lengthS: spanS(said), many: goes.length },
        first: said.script.sentences[goes[0] ?? -1]?.text ?? '',
      }
      return [{ blockId: said.blockId, facts, ...(edits ? { mend: { by: 'edits' as const, edits } } : {}) }]
    }),
}

function leavingOut({ session }: Look, blockId: string, goes: readonly number[]): Edit[] | undefined {
  const block = session.blocks.find(({ id }) => id === blockId)
  if (!block || !('script' in block) || !block.script || goes.length === 0) return undefined
  const script = withoutSentences(block.script, new Set(goes))
  return script && [{ type: 'replace', block: { ...block, script } }]
}

/** More than two fifths of a hold or a rest are talked over by its script; a talk may be full of words. */
export const talkTooFull: Rule<'TALK_TOO_FULL'> = {
  code: 'TALK_TOO_FULL',
  grade: 'look',
  find: (look) =>
    tightest(look).flatMap(({ blockId, script, firstSegment, side }) => {
      const doing = look.timeline.segments[firstSegment]?.doing
      if (doing?.kind === 'talk') return []
      const held = look.holds.find(({ id }) => id === blockId)?.sides.find((one) => one.side === side)
      const { startMs = 0, endMs = 0 } = held ?? look.timeline.segments[firstSegment] ?? {}
      const lengthS = Math.round((endMs - startMs) / 1000)
      const wordsS = script.sentences.reduce((sum, { sayMs }) => sum + sayMs, 0) / 1000
      const saidS = Math.min(lengthS, Math.round(wordsS + (held ? saidIn(held) : 0)))
      if (lengthS === 0 || saidS / lengthS <= mostSaid) return []
      return [{ blockId, facts: { saidS, lengthS, percent: Math.round((saidS / lengthS) * 100) } }]
    }),
}

/** A sentence of a script that falls into a held breath over the hold. */
export const scriptInHeldBreath: Rule<'SCRIPT_IN_HELD_BREATH'> = {
  code: 'SCRIPT_IN_HELD_BREATH',
  grade: 'look',
  find: ({ timeline }) => {
    const held = timeline.breathOver.filter(({ part }) => part === 'full' || part === 'empty')
    const found = timeline.scripts.flatMap(({ blockId, startMs, script, spoken }) => {
      const inHeld = spoken.sentences.flatMap((sentence, at) => {
        const [fromMs, toMs] = [startMs + sentence.startMs, startMs + sentence.endMs]
        const isIn = held.some((one) => one.blockId === blockId && fromMs < one.endMs && toMs > one.startMs)
        return isIn ? [{ atMs: fromMs, text: script.sentences[at]?.text ?? '' }] : []
      })
      const [first] = inHeld
      return first ? [{ blockId, atMs: first.atMs, facts: { text: first.text, many: inHeld.length } }] : []
    })
    // Told once a block, on the side that comes first.
    return found.filter(({ blockId }, at) => found.findIndex((one) => one.blockId === blockId) === at)
  },
}
