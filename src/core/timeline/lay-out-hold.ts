import { mirrorText } from '#core/session'
import type { ResolvedHold } from '#core/session'
import { msFromS } from '#core/units'
import { ifAnythingTingles } from './phrases.ts'
import { bowl, piece } from './piece.ts'
import type { Piece, PieceCue } from './piece.ts'

/**
 * A hold as decided: set-up, settle, hold, coming out for each side, with what comes between the sides
 * and a shorter second set-up, then the after-rest.
 */
export function layOutHold(hold: ResolvedHold): Piece[] {
  const { times, answers } = hold
  const sides = hold.sides.flatMap((held, turn): Piece[] => {
    const second = turn > 0
    const { side } = held
    const before = second
      ? [
          piece({ kind: 'betweenSides', form: answers.betweenSides }, null, times.betweenSidesS.value),
          piece({ kind: 'setUp', second }, side, times.secondSetUpS.value),
        ]
      : [piece({ kind: 'setUp', second }, side, times.setUpS.value)]
    return [
      ...before,
      piece({ kind: 'settle' }, side, times.settleS.value),
      ...phasePieces(hold, held),
      piece({ kind: 'comingOut' }, side, times.comingOutS.value),
    ]
  })
  return [...sides, piece({ kind: 'afterRest', form: answers.afterHold }, 'both', times.afterRestS.value)]
}

function phasePieces(hold: ResolvedHold, { side, phases, holdS }: ResolvedHold['sides'][number]): Piece[] {
  const restIndex = Math.max(0, hold.block.phases?.findIndex((phase) => 'rest' in phase.length) ?? 0)
  return phases.map((phase, index) => {
    const own = hold.cues
      .filter((cue) => (cue.phaseId === undefined ? index === restIndex : cue.phaseId === phase.id))
      .map((cue): PieceCue => ({
        id: cue.id,
        at: cue.at,
        ...(cue.text === undefined ? {} : { text: mirrorText(cue.text, side) }),
        ...(cue.sound === undefined ? {} : { sound: cue.sound }),
      }))
    const cues = [
      ...(index === 0 ? [settled(hold)] : [{ id: `phase-${phase.id}`, at: { fromStartS: 0 }, text: phase.name }]),
      ...own,
      ...(index === phases.length - 1 ? [comeOut(hold, side)] : []),
    ]
    const made = piece({ kind: 'hold', phase: { id: phase.id, name: phase.name, index } }, side, phase.s, cues)
    const over = hold.breathOver
    return over && index === 0 ? { ...made, breathOver: { over, lengthMs: msFromS(holdS) } } : made
  })
}

const settled = ({ answers }: ResolvedHold): PieceCue => ({
  id: 'settled',
  at: { fromStartS: 0 },
  sound: bowl,
  text:
    answers.movementInHold === 'none'
      ? `Be still; ${ifAnythingTingles}`
      : `Small adjustments are welcome; ${ifAnythingTingles}`,
})

const comeOut = ({ pose }: ResolvedHold, side: ResolvedHold['sides'][number]['side']): PieceCue => ({
  id: 'comeOut',
  at: 'end',
  sound: bowl,
  text: mirrorText(pose.comingOut.join('; '), side),
})
