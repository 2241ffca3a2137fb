import type { DueSound, PlayedSound } from '#core/lead'
import { frameOf } from '#formats/sound-file/mix'
import type { Placed } from '#formats/sound-file/mix'
import { strokeGapS } from '#web/shared/audio/audio-port.ts'
import { holdTone, sing, strike } from '#web/shared/audio/synthesis.ts'

/** One stroke of a sound: what is rendered once. */
export type Stroke = PlayedSound

/** What sounds in a class: each stroke once, and where each begins, in order of time. */
export function strokesOf(
  due: readonly DueSound[],
  rate: number,
): { readonly strokes: readonly Stroke[]; readonly placed: readonly Placed[] } {
  const numbers = new Map<string, number>()
  const strokes: Stroke[] = []
  const placed = due.flatMap(({ atMs, sound }) => {
    const stroke: Stroke = 'strokes' in sound ? { ...sound, strokes: 1 } : sound
    const key = JSON.stringify(stroke)
    const known = numbers.get(key) ?? strokes.push(stroke) - 1
    numbers.set(key, known)
    return Array.from({ length: 'strokes' in sound ? sound.strokes : 1 }, (_, at) => ({
      frame: frameOf(atMs + at * strokeGapS * 1000, rate),
      stroke: known,
    }))
  })
  return { strokes, placed: placed.toSorted((a, b) => a.frame - b.frame) }
}

/** As loud as Lead sounds. */
const outGain = 0.8
/** The longest a bell of the application rings, s. */
const ringS = 7

/** A stroke as samples, rendered by the same synthesis that Lead sounds with; what is the teacher's own by what was decoded. */
export async function rendered(
  stroke: Stroke,
  rate: number,
  own: ReadonlyMap<string, AudioBuffer>,
): Promise<Float32Array<ArrayBuffer>> {
  const buffer = stroke.kind === 'own' ? own.get(stroke.soundId) : undefined
  const said = stroke.kind === 'voice' ? own.get(stroke.voiceId) : undefined
  const lengthS = 'lengthMs' in stroke ? stroke.lengthMs / 1000 : (buffer?.duration ?? ringS)
  const context = new OfflineAudioContext(1, Math.max(1, Math.ceil((said?.duration ?? lengthS) * rate)), rate)
  const out = new GainNode(context, { gain: outGain })
  out.connect(context.destination)
  const play = (heard: AudioBuffer, gain = 1): void => {
    const node = new AudioBufferSourceNode(context, { buffer: heard })
    node.connect(new GainNode(context, { gain })).connect(out)
    node.start(0)
  }
  if (stroke.kind === 'tone') sing(context, out, stroke, 0)
  else if (stroke.kind === 'voice') {
    if (said) play(said, stroke.gain)
  } else if (stroke.kind === 'heldTone') holdTone(context, out, 0, stroke.gain)
  else if (stroke.kind !== 'own') strike(context, out, stroke.kind, 0, stroke.gain)
  else if (buffer) play(buffer, stroke.gain)
  else strike(context, out, stroke.instead, 0, stroke.gain)
  return (await context.startRendering()).getChannelData(0).slice()
}
