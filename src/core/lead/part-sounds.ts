import type { Sound } from '#model/cue'
import type { BreathSounds } from '#model/settings'
import type { Milliseconds } from '#core/units'
import { atTick } from './counted-run.ts'
import type { CountedRun, PartOfRun } from './counted-run.ts'

/**
 * What is handed to the audio clock: a bell or tick, as loud as `gain` (absent: 1); or a soft tone that glides with the
 * lungs, from how full they are (0 to 1) as it begins to how full they are as it ends.
 */
export type PlayedSound =
  | (Omit<Sound, 'kind'> & {
      readonly kind: Sound['kind'] | 'highBowl' | 'lowBowl' | 'heldTone' | 'tap'
      readonly gain?: number
    })
  /** The teacher's own sound; where it is not there, the bell it stands for. */
  | {
      readonly kind: 'own'
      readonly soundId: string
      readonly instead: 'bowl' | 'lowBell'
      readonly strokes: number
      readonly gain?: number
    }
  /** Words in the teacher's recorded voice; where they are not at hand nothing is heard. */
  | { readonly kind: 'voice'; readonly voiceId: string; readonly lengthMs: Milliseconds; readonly gain?: number }
  | {
      readonly kind: 'tone'
      readonly from: number
      readonly to: number
      readonly lengthMs: Milliseconds
      readonly gain: number
    }

/** Where nothing is set: wood at each turn. */
export const usualBreathSounds: BreathSounds = {
  in: { kind: 'turn', loudness: 50 },
  out: { kind: 'turn', loudness: 50 },
}

export interface SoundIn {
  readonly name: string
  readonly atMs: Milliseconds
  readonly sound: PlayedSound
}

/** How rounds sound that are not counted aloud. */
export type Silent = 'none' | 'turns' | 'counts'

/** As loud as usual is 1. */
const gainOf = (loudness: number): number => loudness / 50
const wood = (loudness: number): PlayedSound => ({
  kind: 'wood',
  strokes: 1,
  ...(loudness === 50 ? {} : { gain: gainOf(loudness) }),
})

/**
 * What sounds in a part of a counted breath from an instant on: as the teacher chose for the inhale and the exhale, a
 * held breath as the one before it, but with no more than wood where it begins; every count where silent rounds were
 * planned so.
 */
export function* soundsIn(
  run: CountedRun,
  part: PartOfRun,
  fromMs: Milliseconds,
  sounds: BreathSounds,
  silent: Silent,
): Generator<SoundIn> {
  if (silent === 'none') return
  const { kind, loudness } = sounds[part.part === 'out' || part.part === 'empty' ? 'out' : 'in']
  const isMoving = part.part === 'in' || part.part === 'out'
  const name = `turn-${String(part.k)}`
  const asTurn = silent === 'counts' || kind === 'turn' || kind === 'counts' || (kind === 'bowl' && !isMoving)
  if (kind === 'tone' && isMoving && silent !== 'counts') {
    const [from, to] = part.fill
    const begunMs = Math.max(part.startMs, fromMs)
    const share = (begunMs - part.startMs) / (part.endMs - part.startMs)
    const sound = { kind, from: from + share * (to - from), to, lengthMs: part.endMs - begunMs, gain: gainOf(loudness) }
    yield { name, atMs: begunMs, sound }
  } else if (part.turns && asTurn) yield { name, atMs: part.startMs, sound: wood(loudness) }
  else if (part.turns && kind === 'bowl')
    yield {
      name,
      atMs: part.startMs,
      sound: { kind: part.part === 'in' ? 'highBowl' : 'lowBowl', strokes: 1, gain: gainOf(loudness) },
    }
  if (silent === 'counts' || kind === 'counts') yield* countsIn(run, part, wood(loudness))
}

/** Every count of a part after the one it turns on. */
function* countsIn(run: CountedRun, part: PartOfRun, sound: PlayedSound): Generator<SoundIn> {
  const { k, ticks, whole, turns: isTurn } = part
  const count = 2 * run.over
  const first = isTurn ? count : (count - (whole.before % count)) % count
  for (let at = first; at < ticks; at += count)
    yield { name: `count-${String(k + at)}`, atMs: atTick(run, k + at), sound }
}
