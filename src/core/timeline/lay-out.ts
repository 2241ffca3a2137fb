import type { Sound } from '#model/cue'
import type { Change, ComingUp, Resolved, ResolvedClosing, ResolvedRest, ResolvedTalk, Sourced } from '#core/session'
import { leastPauseMs, sayMs } from '#core/session'
import type { Seconds } from '#core/units'
import { layOutBreath } from './lay-out-breath.ts'
import { layOutHold } from './lay-out-hold.ts'
import { layOutMovement } from './lay-out-movement.ts'
import { capital, orPreferred } from './phrases.ts'
import { bowl, piece, withScript } from './piece.ts'
import type { Piece, PieceCue } from './piece.ts'

/** The pieces of a block in order, from the change before it to its last rest; a talk with what is asked in it. */
export const layOut = (block: Resolved, change: Change | undefined, asked: readonly string[] = []): readonly Piece[] =>
  block.kind === 'talk'
    ? layOutTalk(block, asked)
    : [...(change ? [changePiece(block, change)] : []), ...layOutItself(block)]

/** The change of base position and props that borders on the block before. */
const changePiece = ({ block }: Exclude<Resolved, ResolvedTalk>, { from, to, changeS }: Change): Piece =>
  piece({ kind: 'change', from, to, text: block.changeText }, null, changeS.value)

function layOutItself(block: Exclude<Resolved, ResolvedTalk>): readonly Piece[] {
  switch (block.kind) {
    case 'hold':
      return layOutHold(block)
    case 'movement':
      return layOutMovement(block)
    case 'breath':
      return layOutBreath(block)
    case 'rest':
      return layOutRest(block)
    case 'closing':
      return layOutClosing(block)
  }
}

/** What is asked in a talk takes at least so long a line, s. */
const leastLineS = 10

/** A talk, with what is asked in it after its own words, spread over its time, in fewer cues where it is short. */
function layOutTalk({ block, script }: ResolvedTalk, asked: readonly string[]): Piece[] {
  if (script) {
    const talk = piece({ kind: 'talk' }, null, block.s, askedLast(block.s, asked, script.wordsAMinute))
    return [withScript(talk, script, { first: block.text ?? '', last: asked })]
  }
  const own = (block.text ?? '').trim() === '' ? 0 : 1
  const cues = Math.min(asked.length, Math.max(1, Math.floor(block.s / leastLineS) - own))
  const said = Array.from({ length: cues }, (_, at) => {
    const [from, to] = [at, at + 1].map((edge) => Math.round((edge * asked.length) / cues))
    return {
      id: `asked-${String(at)}`,
      at: { fromStartS: Math.floor(((at + own) * block.s) / (cues + own)) },
      text: asked.slice(from, to).join(' '),
    }
  })
  return [piece({ kind: 'talk' }, null, block.s, said)]
}

/** What is asked after a script, line by line up to the end of the talk. */
function askedLast(s: Seconds, asked: readonly string[], wordsAMinute: number): PieceCue[] {
  let beforeEndMs = 0
  return asked
    .toReversed()
    .map((text, at): PieceCue => {
      beforeEndMs += sayMs(text, wordsAMinute) + leastPauseMs
      return {
        id: `asked-${String(asked.length - 1 - at)}`,
        at: { fromStartMs: Math.max(0, s * 1000 - beforeEndMs) },
        text,
      }
    })
    .toReversed()
}

function layOutRest({ block, stillness, script, ending }: ResolvedRest): Piece[] {
  const rest = piece({ kind: 'rest' }, 'both', block.s, [
    { id: 'rest', at: { fromStartS: 0 }, text: `${block.text ?? 'Rest'}; ${stillness.first}` },
  ])
  return [withScript(rest, script), ...(ending ? layOutComingUp(ending, undefined) : [])]
}

function layOutClosing(closing: ResolvedClosing): Piece[] {
  const rest = piece({ kind: 'closing', step: 'finalRest' }, 'both', closing.finalRestS.value, [
    {
      id: 'finalRest',
      at: { fromStartS: 0 },
      text: `On the back, ${orPreferred}; ${closing.stillness.first}`,
    },
  ])
  return [withScript(rest, closing.script), ...layOutComingUp(closing, closing.block.text)]
}

/** The bell and the steps up from lying: out of the rest, over the side, to sitting. */
function layOutComingUp({ comingOutS, rollS, rollText, sittingUpS }: ComingUp, ownWords: string | undefined): Piece[] {
  const step = (name: 'comingOut' | 'roll' | 'sittingUp', { value }: Sourced<Seconds>, text: string, sound?: Sound) =>
    piece({ kind: 'closing', step: name }, 'both', value, [
      { id: name, at: { fromStartS: 0 }, text, ...(sound ? { sound } : {}) },
    ])
  return [
    step('comingOut', comingOutS, 'Fuller breath, fingers and toes, bend the knees', bowl),
    step('roll', rollS, capital(rollText)),
    step('sittingUp', sittingUpS, withOwnWords('Press up with the hands, head last, and sit', ownWords)),
  ]
}

/** The teacher's own words for the end follow what is always said. */
const withOwnWords = (always: string, own: string | undefined): string =>
  own === undefined || own.trim() === '' ? always : `${always}. ${own.trim()}`
