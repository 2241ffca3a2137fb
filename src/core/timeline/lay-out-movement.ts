import { boundaryMs } from '#core/breath'
import { mirrorText } from '#core/session'
import type { HoldSide, ResolvedMovement } from '#core/session'
import { begun } from './phrases.ts'
import { piece } from './piece.ts'
import type { Piece } from './piece.ts'

/** Breath-timed movement: its parts by counts for each round, side after side, then a rest. */
export function layOutMovement(movement: ResolvedMovement): Piece[] {
  const sides = movement.sides.flatMap((side, turn): Piece[] => [
    turn === 0
      ? piece({ kind: 'setUp', second: false }, side, movement.setUpS.value)
      : piece({ kind: 'betweenSides', form: 'nothing' }, null, movement.betweenSidesS.value),
    ...rounds(movement, side),
  ])
  const rest = piece(
    { kind: 'movement', part: 'rest', round: 0, counts: 0, does: 'Rest, breathing freely' },
    'both',
    movement.restS.value,
  )
  return [...sides, rest]
}

function rounds({ movement, rounds: count, pace }: ResolvedMovement, side: HoldSide): Piece[] {
  let from = 0
  return Array.from({ length: count }, (_, index) => index + 1).flatMap((round) =>
    movement.parts.map((part): Piece => {
      const to = from + part.halfCounts
      const lengthMs = boundaryMs(to, pace) - boundaryMs(from, pace)
      from = to
      const does = mirrorText(part.does, side)
      return {
        doing: { kind: 'movement', part: part.part, round, counts: part.halfCounts / 2, does },
        side,
        lengthMs,
        cues: round === 1 ? [{ id: part.part, at: { fromStartS: 0 }, text: begun(part.does, does) }] : [],
      }
    }),
  )
}
