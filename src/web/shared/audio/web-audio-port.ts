import type { PlayedSound } from '#core/lead'
import type { AudioPort } from './audio-port.ts'
import { strokeGapS } from './audio-port.ts'
import { holdTone, sing, strike } from './synthesis.ts'
import { webMusicPort } from './web-music-port.ts'

/** A sound that was asked for and is not over. */
interface Asked {
  readonly node: AudioScheduledSourceNode
  readonly when: number
  /** Of a tone or a voice, which does not ring out by itself. */
  readonly envelope?: GainNode
  readonly voiceId?: string
}

type PlayedVoice = Extract<PlayedSound, { kind: 'voice' }>

/** A tone that is broken off dies away over this: no click, and well within 50 ms. */
const cutS = 0.03

/** Where sounds go, and the teacher's own that are at hand. */
interface Device {
  readonly context: AudioContext
  readonly out: GainNode
  readonly own: ReadonlyMap<string, AudioBuffer>
}

/** A recorded sentence; nothing where it is not at hand. */
function spoken({ context, out, own }: Device, { voiceId, gain = 1 }: PlayedVoice, when: number): Asked | undefined {
  const buffer = own.get(voiceId)
  if (!buffer) return undefined
  const node = new AudioBufferSourceNode(context, { buffer })
  const envelope = new GainNode(context, { gain })
  node.connect(envelope).connect(out)
  node.start(when)
  return { node, when, envelope, voiceId }
}

/** One stroke; of an own sound that is not at hand, the bell it stands for. */
function struck(
  { context, out, own }: Device,
  sound: Exclude<PlayedSound, { kind: 'tone' | 'voice' }>,
  at: number,
): AudioScheduledSourceNode[] {
  if (sound.kind === 'heldTone') return holdTone(context, out, at, sound.gain)
  if (sound.kind !== 'own') return strike(context, out, sound.kind, at, sound.gain)
  const buffer = own.get(sound.soundId)
  if (!buffer) return strike(context, out, sound.instead, at, sound.gain)
  const node = new AudioBufferSourceNode(context, { buffer })
  node.connect(new GainNode(context, { gain: sound.gain ?? 1 })).connect(out)
  node.start(at)
  return [node]
}

/** Sound through Web Audio: everything is scheduled ahead on its own clock. */
export function webAudioPort(): AudioPort {
  const context = new AudioContext({ latencyHint: 'playback' })
  const out = new GainNode(context, { gain: 0.8 })
  out.connect(context.destination)
  let asked: Asked[] = []
  const own = new Map<string, AudioBuffer>()

  function keep(entry: Asked): void {
    asked.push(entry)
    entry.node.onended = () => {
      asked = asked.filter(({ node }) => node !== entry.node)
    }
  }
  // On a frame of the audio clock, so that what is handed over is what is heard.
  const onFrame = (when: number): number => Math.round(when * context.sampleRate) / context.sampleRate

  return {
    music: webMusicPort(context),
    async keep(soundId, heard) {
      own.set(soundId, await context.decodeAudioData(heard))
    },
    now: () => context.currentTime,
    isRunning: () => context.state === 'running',
    resume: () => context.resume(),
    schedule(sound, when) {
      if (sound.kind === 'tone') {
        const at = onFrame(when)
        if (sound.gain <= 0 || sound.lengthMs <= 0) return
        const { oscillator: node, envelope } = sing(context, out, sound, at)
        keep({ node, when: at, envelope })
        return
      }
      if (sound.kind === 'voice') {
        const voice = spoken({ context, out, own }, sound, onFrame(when))
        if (voice) keep(voice)
        return
      }
      for (let stroke = 0; stroke < sound.strokes; stroke += 1) {
        const at = onFrame(when + stroke * strokeGapS)
        for (const node of struck({ context, out, own }, sound, at)) keep({ node, when: at })
      }
    },
    cancel(goesOn) {
      const now = context.currentTime
      for (const { node, when, envelope, voiceId } of asked) {
        if (when > now) node.stop()
        else if (envelope && !(voiceId !== undefined && goesOn?.has(voiceId))) {
          const level = envelope.gain.value
          envelope.gain.cancelScheduledValues(now)
          envelope.gain.setValueAtTime(level, now)
          envelope.gain.linearRampToValueAtTime(0, now + cutS)
          node.stop(now + cutS)
        }
      }
      asked = asked.filter(({ when }) => when <= now)
    },
  }
}
