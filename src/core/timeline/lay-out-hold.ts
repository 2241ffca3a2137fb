import { mirrorText, momentS } from '#core/session'
import type { ResolvedHold } from '#core/session'
import { msFromS } from '#core/units'
import { begun, betweenSidesMovement } from './phrases.ts'
import { bowl, piece, withScript } from './piece.ts'
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
          piece({ kind: 'betweenSides', form: answers.betweenSides }, null, times.betweenSidesS.value, between(hold)),
          piece({ kind: 'setUp', second }, side, times.secondSetUpS.value, setUp(hold, side)),
        ]
      : [piece({ kind: 'setUp', second }, side, times.setUpS.value, setUp(hold, side))]
    return wordsKept([
      ...before.filter(({ doing, lengthMs }) => doing.kind !== 'betweenSides' || lengthMs > 0),
      piece({ kind: 'settle' }, side, times.settleS.value, settling(hold)),
      ...phasePieces(hold, held),
      piece({ kind: 'comingOut' }, side, times.comingOutS.value),
    ])
  })
  return [...sides, piece({ kind: 'afterRest', form: answers.afterHold }, 'both', times.afterRestS.value)]
}

/** Which movement stands between the sides. */
const between = ({ answers, pose }: ResolvedHold): readonly PieceCue[] =>
  answers.betweenSides === 'movement'
    ? [{ id: 'between', at: { fromStartS: 0 }, text: betweenSidesMovement[pose.base.leave] }]
    : []

/** What would be said in a set-up or a settling of no length is said as the next begins, on each side alike. */
function wordsKept(pieces: readonly Piece[]): Piece[] {
  let waiting: readonly PieceCue[] = []
  return pieces.map((one) => {
    const cues = [...waiting, ...one.cues]
    waiting = one.lengthMs > 0 ? [] : cues
    return { ...one, cues: one.lengthMs > 0 ? cues : [] }
  })
}

/** The phase a cue stands in: its own; "the rest of it" where it names none, or one that is there no more. */
function phaseOf(hold: ResolvedHold, { phaseId }: ResolvedHold['cues'][number]): number {
  const phases = hold.block.phases ?? []
  const own = phases.findIndex(({ id }) => id === phaseId)
  return Math.max(0, own >= 0 ? own : phases.findIndex(({ length }) => 'rest' in length))
}

/** What is said of a step of the set-up that says nothing itself. */
const stepText = 'The props change, only what a hand reaches'

/** The steps of the set-up that begin in a phase, told on each side alike. */
function stepsIn(
  hold: ResolvedHold,
  { side, phases, holdS }: ResolvedHold['sides'][number],
  index: number,
): PieceCue[] {
  const beginS = phases.slice(0, index).reduce((sum, { s }) => sum + s, 0)
  const endS = beginS + (phases[index]?.s ?? 0)
  return (hold.block.steps ?? [])
    .map(({ id, at, text }) => ({ id, text, atS: momentS(at, holdS) }))
    .filter(({ atS }) => atS >= beginS && (atS < endS || index === phases.length - 1))
    .map(({ id, text, atS }) => ({
      id: `step-${id}`,
      at: { fromStartS: atS - beginS },
      text: said([text ?? stepText], side),
    }))
}

function phasePieces(hold: ResolvedHold, held: ResolvedHold['sides'][number]): Piece[] {
  const { side, phases, holdS } = held
  return phases.map((phase, index) => {
    const own = hold.cues
      .filter((cue) => phaseOf(hold, cue) === index)
      .map((cue): PieceCue => ({
        id: cue.id,
        at: cue.at,
        ...(cue.text === undefined ? {} : { text: said([cue.text], side) }),
        ...(cue.sound === undefined ? {} : { sound: cue.sound }),
      }))
    const cues = [
      ...(index === 0 ? [settled(hold, side)] : [{ id: `phase-${phase.id}`, at: { fromStartS: 0 }, text: phase.name }]),
      ...own,
      ...stepsIn(hold, held, index),
      ...(index === phases.length - 1 ? [comeOut(hold, side)] : []),
    ]
    const made = piece({ kind: 'hold', phase: { id: phase.id, name: phase.name, index } }, side, phase.s, cues)
    if (index > 0) return made
    const over = hold.breathOver
    const first = withScript(made, hold.script, { lengthMs: msFromS(holdS) })
    return over ? { ...first, breathOver: { over, lengthMs: msFromS(holdS) } } : first
  })
}

type Sided = ResolvedHold['sides'][number]['side']

/** Lines said one after the other: steps as one sentence, words for arranging as a sentence each. */
function said(lines: readonly string[], side: Sided, as: 'one sentence' | 'sentences' = 'one sentence'): string {
  const last = lines.length - 1
  const each = lines.map((one, at) => {
    const line = at < last ? one.replace(/\.$/, '') : one
    const told = mirrorText(line, side)
    return at === 0 || as === 'sentences' ? begun(line, told) : told
  })
  return each.join(as === 'sentences' ? '. ' : '; ')
}

/** The form and what the school's answers mean in it, said on both sides alike. */
const setUp = ({ setUpWords }: ResolvedHold, side: Sided): PieceCue[] =>
  setUpWords.length === 0 ? [] : [{ id: 'setUp', at: { fromStartS: 0 }, text: said(setUpWords, side, 'sentences') }]

/** Sensation up to which nothing stretches [handbook: restorative aims at 0 to 2 of 10]. */
const noStretch = 2

/** How strong it may get, and whether muscles hold a line: only where something is felt. */
function settling({ pose, answers }: ResolvedHold): PieceCue[] {
  if (pose.sensation.to <= noStretch) return []
  const muscles = answers.muscles === 'released' ? 'Muscles soft' : 'A light tone keeps the line'
  const most = `no more than ${String(answers.sensationCeiling)} of 10`
  const text =
    answers.sensationCeiling <= noStretch ? `Ease off until nothing stretches, ${most}` : `${muscles}; ${most}`
  return [{ id: 'settling', at: { fromStartS: 0 }, text }]
}

function settled({ answers, stillness, sides }: ResolvedHold, side: Sided): PieceCue {
  const tail = sides[0]?.side === side ? stillness.first : stillness.again
  const asked = answers.movementInHold === 'none' ? 'Be still' : 'Small adjustments are welcome'
  return { id: 'settled', at: { fromStartS: 0 }, sound: bowl, text: `${asked}; ${tail}` }
}

const comeOut = ({ pose }: ResolvedHold, side: Sided): PieceCue => ({
  id: 'comeOut',
  at: 'end',
  sound: bowl,
  text: said(pose.comingOut, side),
})
