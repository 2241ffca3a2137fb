import type { PlayedSound } from '#core/lead'
import type { AudioPort } from './audio-port.ts'
import { strokeGapS } from './audio-port.ts'
import { holdTone, sing, strike } from './synthesis.ts'
import { webMusicPort } from './web-music-port.ts'

/** A sound that was asked for and is not over. */
interface Asked {
  readonly node: AudioScheduledSourceNode
  readonly when: number
  /** Of a tone, which does not ring out by itself. */
  readonly envelope?: GainNode
}

/** A tone that is broken off dies away over this: no click, and well within 50 ms. */
const cutS = 0.03

/** Where sounds go, and the teacher's own that are at hand. */
interface Device {
  readonly context: AudioContext
  readonly out: GainNode
  readonly own: ReadonlyMap<string, AudioBuffer>
}

/** One stroke; of an own sound that is not at hand, the bell it stands for. */
function struck(
  { context, out, own }: Device,
  sound: Exclude<PlayedSound, { kind: 'tone' }>,
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
      for (let stroke = 0; stroke < sound.strokes; stroke += 1) {
        const at = onFrame(when + stroke * strokeGapS)
        for (const node of struck({ context, out, own }, sound, at)) keep({ node, when: at })
      }
    },
    cancel() {
      const now = context.currentTime
      for (const { node, when, envelope } of asked) {
        if (when > now) node.stop()
        else if (envelope) {
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
