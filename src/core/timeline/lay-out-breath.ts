import { boundaryMs, fill, roundHalfCounts, roundParts } from '#core/breath'
import type { ResolvedBreath } from '#core/session'
import { msFromS } from '#core/units'
import type { Milliseconds } from '#core/units'
import { lowBell, piece } from './piece.ts'
import type { Piece, PieceCue } from './piece.ts'

/** Breath work: natural breath, counted sets with rests between, natural breath again. */
export function layOutBreath(breath: ResolvedBreath): Piece[] {
  const { amount, naturalBeforeS, naturalAfterS } = breath
  const middle = 'naturalS' in amount ? [natural(msFromS(amount.naturalS))] : counted(breath, amount)
  const pieces = [
    piece({ kind: 'setUp', second: false }, 'both', breath.setUpS.value),
    natural(msFromS(naturalBeforeS)),
    ...middle,
    natural(msFromS(naturalAfterS)),
  ].filter((made) => made.lengthMs > 0)
  return withOpening(breath, pieces)
}

const natural = (lengthMs: Milliseconds): Piece => ({
  doing: { kind: 'breath', part: 'natural', set: 0, round: 0, counts: 0 },
  side: 'both',
  lengthMs,
  cues: [],
})

type Counted = Exclude<ResolvedBreath['amount'], { naturalS: number }>

function counted(breath: ResolvedBreath, amount: Counted): Piece[] {
  const { pattern, pace } = breath
  const restMs = msFromS(breath.restBetweenSetsS)
  if (!pattern) {
    // An uncounted technique has no rounds: only a time to fill can be kept.
    return 'fillS' in amount ? [natural(msFromS(amount.fillS))] : []
  }
  const filled =
    'fillS' in amount
      ? fill({
          timeMs: msFromS(amount.fillS),
          halfCounts: roundHalfCounts(pattern),
          pace,
          roundsPerSet: amount.roundsPerSet,
          restMs,
        })
      : { sets: new Array<number>(amount.sets).fill(amount.roundsPerSet), leftMs: 0 }
  let halfCount = 0
  const pieces = filled.sets.flatMap((rounds, index): Piece[] => {
    const parts = roundParts(pattern, rounds, halfCount)
    halfCount = parts.at(-1)?.to ?? halfCount
    const set = index + 1
    const made = parts.map(({ part, round, from, to }): Piece => ({
      doing: { kind: 'breath', part, set, round, counts: (to - from) / 2 },
      side: 'both',
      // From the start of counting, so that odd paces never add up.
      lengthMs: boundaryMs(to, pace) - boundaryMs(from, pace),
      cues: [],
    }))
    const rest: Piece = { ...natural(restMs), doing: { kind: 'breath', part: 'rest', set, round: 0, counts: 0 } }
    return index === 0 ? made : [rest, ...made]
  })
  return [...pieces, natural(filled.leftMs)]
}

/** The bells of the block, and the retentions' lengths said before the first round. */
function withOpening(breath: ResolvedBreath, pieces: readonly Piece[]): Piece[] {
  const first = pieces.findIndex((made) => made.doing.kind === 'breath')
  const last = pieces.length - 1
  const begin: PieceCue = { id: 'begin', at: { fromStartS: 0 }, sound: lowBell, text: announcement(breath) }
  const end: PieceCue = { id: 'end', at: 'end', sound: lowBell, text: 'Let the breath go its own way' }
  return pieces.map((made, index) => {
    const cues = [...(index === first ? [begin] : []), ...(index === last ? [end] : [])]
    return cues.length === 0 ? made : { ...made, cues: [...made.cues, ...cues] }
  })
}

function announcement({ technique, pattern, answers }: ResolvedBreath): string {
  const meant = (technique.meanings ?? []).filter(({ question, answer }) => answers[question] === answer)
  return [countsText(technique.names.english, pattern), ...meant.map(({ says }) => says)].join('; ')
}

function countsText(name: string, pattern: ResolvedBreath['pattern']): string {
  if (!pattern) return name
  const held = [
    ...(pattern.full > 0 ? [`hold full ${String(pattern.full / 2)}`] : []),
    ...(pattern.empty > 0 ? [`hold empty ${String(pattern.empty / 2)}`] : []),
  ]
  const counts = `in ${String(pattern.in / 2)}, out ${String(pattern.out / 2)}`
  return held.length === 0 ? `${name}: ${counts}` : `${name}: ${counts}, ${held.join(', ')}; leave it at any breath`
}
