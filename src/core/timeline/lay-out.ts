import type { Change, Resolved, ResolvedClosing, ResolvedRest, ResolvedTalk } from '#core/session'
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

const layOutRest = ({ block, stillness, script }: ResolvedRest): Piece[] => [
  withScript(
    piece({ kind: 'rest' }, 'both', block.s, [
      { id: 'rest', at: { fromStartS: 0 }, text: `${block.text ?? 'Rest'}; ${stillness.first}` },
    ]),
    script,
  ),
]

function layOutClosing(closing: ResolvedClosing): Piece[] {
  const step = (name: 'finalRest' | 'comingOut' | 'roll' | 'sittingUp', seconds: number, text: string, sound = true) =>
    piece({ kind: 'closing', step: name }, 'both', seconds, [
      { id: name, at: { fromStartS: 0 }, text, ...(sound ? { sound: bowl } : {}) },
    ])
  const rest = step(
    'finalRest',
    closing.finalRestS.value,
    `On the back, ${orPreferred}; ${closing.stillness.first}`,
    false,
  )
  return [
    withScript(rest, closing.script),
    step('comingOut', closing.comingOutS.value, 'Fuller breath, fingers and toes, bend the knees'),
    step('roll', closing.rollS.value, capital(closing.rollText), false),
    step(
      'sittingUp',
      closing.sittingUpS.value,
      withOwnWords('Press up with the hands, head last, and sit', closing.block.text),
      false,
    ),
  ]
}

/** The teacher's own words for the end follow what is always said. */
const withOwnWords = (always: string, own: string | undefined): string =>
  own === undefined || own.trim() === '' ? always : `${always}. ${own.trim()}`
