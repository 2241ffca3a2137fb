import type { ClassSounds } from '#model/settings'
import type { PlayedSound } from './part-sounds.ts'

/** Where nothing is set everything sounds as it is written. */
export const usualClassSounds: ClassSounds = {
  bowl: { kind: 'bowl', loudness: 50 },
  lowBell: { kind: 'lowBell', loudness: 50 },
  wood: { kind: 'wood', loudness: 50 },
}

/** A sound of a class as the teacher chose to hear it; undefined where it is silent. What breathes keeps its own. */
export function asChosen(sound: PlayedSound, chosen: ClassSounds): PlayedSound | undefined {
  if (sound.kind !== 'bowl' && sound.kind !== 'lowBell' && sound.kind !== 'wood') return sound
  const { kind, loudness } = chosen[sound.kind]
  if (kind === 'none' || loudness === 0) return undefined
  const { strokes } = sound
  const gain = ((sound.gain ?? 1) * loudness) / 50
  const loud = gain === 1 ? {} : { gain }
  if (kind !== 'own') return { strokes, kind, ...loud }
  if (sound.kind === 'wood') return { strokes, kind: 'wood', ...loud }
  const { soundId } = chosen[sound.kind]
  if (soundId === undefined) return { strokes, kind: sound.kind, ...loud }
  return { kind: 'own', soundId, instead: sound.kind, strokes, ...loud }
}
