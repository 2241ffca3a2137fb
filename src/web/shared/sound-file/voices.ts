import type { DueSound, PlayedSound } from '#core/lead'
import { frameOf } from '#formats/sound-file/mix'
import type { Placed } from '#formats/sound-file/mix'
import { strokeGapS } from '#web/shared/audio/audio-port.ts'
import { holdTone, sing, strike } from '#web/shared/audio/synthesis.ts'

/** One stroke of a sound: what is rendered once. */
export type Voice = Exclude<PlayedSound, { kind: 'tone' }> | Extract<PlayedSound, { kind: 'tone' }>

/** What sounds in a class: each voice once, and where each begins, in order of time. */
export function voicesOf(
  due: readonly DueSound[],
  rate: number,
): { readonly voices: readonly Voice[]; readonly placed: readonly Placed[] } {
  const numbers = new Map<string, number>()
  const voices: Voice[] = []
  const placed = due.flatMap(({ atMs, sound }) => {
    const voice: Voice = sound.kind === 'tone' ? sound : { ...sound, strokes: 1 }
    const key = JSON.stringify(voice)
    const known = numbers.get(key) ?? voices.push(voice) - 1
    numbers.set(key, known)
    const strokes = sound.kind === 'tone' ? 1 : sound.strokes
    return Array.from({ length: strokes }, (_, at) => ({
      frame: frameOf(atMs + at * strokeGapS * 1000, rate),
      voice: known,
    }))
  })
  return { voices, placed: placed.toSorted((a, b) => a.frame - b.frame) }
}

/** As loud as Lead sounds. */
const outGain = 0.8
/** The longest a bell of the application rings, s. */
const ringS = 7

/** A voice as samples, rendered by the same synthesis that Lead sounds with; an own sound by what was decoded of it. */
export async function rendered(
  voice: Voice,
  rate: number,
  own: ReadonlyMap<string, AudioBuffer>,
): Promise<Float32Array<ArrayBuffer>> {
  const buffer = voice.kind === 'own' ? own.get(voice.soundId) : undefined
  const lengthS = voice.kind === 'tone' ? voice.lengthMs / 1000 : (buffer?.duration ?? ringS)
  const context = new OfflineAudioContext(1, Math.max(1, Math.ceil(lengthS * rate)), rate)
  const out = new GainNode(context, { gain: outGain })
  out.connect(context.destination)
  if (voice.kind === 'tone') sing(context, out, voice, 0)
  else if (voice.kind === 'heldTone') holdTone(context, out, 0, voice.gain)
  else if (voice.kind !== 'own') strike(context, out, voice.kind, 0, voice.gain)
  else if (buffer) {
    const node = new AudioBufferSourceNode(context, { buffer })
    node.connect(new GainNode(context, { gain: voice.gain ?? 1 })).connect(out)
    node.start(0)
  } else strike(context, out, voice.instead, 0, voice.gain)
  return (await context.startRendering()).getChannelData(0).slice()
}
