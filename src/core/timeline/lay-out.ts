import type { Change, Resolved, ResolvedClosing, ResolvedRest, ResolvedTalk } from '#core/session'
import { layOutBreath } from './lay-out-breath.ts'
import { layOutHold } from './lay-out-hold.ts'
import { layOutMovement } from './lay-out-movement.ts'
import { capital, orPreferred } from './phrases.ts'
import { bowl, piece } from './piece.ts'
import type { Piece } from './piece.ts'

/** The pieces of a block in order, from the change before it to its last rest. */
export const layOut = (block: Resolved, change: Change | undefined): readonly Piece[] => [
  ...(change && block.kind !== 'talk' ? [changePiece(block, change)] : []),
  ...layOutItself(block),
]

/** The change of base position and props that borders on the block before. */
const changePiece = ({ block }: Exclude<Resolved, ResolvedTalk>, { from, to, changeS }: Change): Piece =>
  piece({ kind: 'change', from, to, text: block.changeText }, null, changeS.value)

function layOutItself(block: Resolved): readonly Piece[] {
  switch (block.kind) {
    case 'talk':
      return layOutTalk(block)
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

const layOutTalk = ({ block }: ResolvedTalk): Piece[] => [piece({ kind: 'talk' }, null, block.s)]

const layOutRest = ({ block, stillness }: ResolvedRest): Piece[] => [
  piece({ kind: 'rest' }, 'both', block.s, [
    { id: 'rest', at: { fromStartS: 0 }, text: `${block.text ?? 'Rest'}; ${stillness.first}` },
  ]),
]

function layOutClosing(closing: ResolvedClosing): Piece[] {
  const step = (name: 'finalRest' | 'comingOut' | 'roll' | 'sittingUp', seconds: number, text: string, sound = true) =>
    piece({ kind: 'closing', step: name }, 'both', seconds, [
      { id: name, at: { fromStartS: 0 }, text, ...(sound ? { sound: bowl } : {}) },
    ])
  return [
    step('finalRest', closing.finalRestS.value, `On the back, ${orPreferred}; ${closing.stillness.first}`, false),
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
