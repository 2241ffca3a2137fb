import type { AudioPort } from './audio-port.ts'
import { strokeGapS } from './audio-port.ts'
import { strike } from './synthesis.ts'

/** Sound through Web Audio: everything is scheduled ahead on its own clock. */
export function webAudioPort(): AudioPort {
  const context = new AudioContext({ latencyHint: 'playback' })
  const out = new GainNode(context, { gain: 0.8 })
  out.connect(context.destination)
  let waiting: { node: OscillatorNode; when: number }[] = []

  return {
    now: () => context.currentTime,
    isRunning: () => context.state === 'running',
    resume: () => context.resume(),
    schedule(sound, when) {
      for (let stroke = 0; stroke < sound.strokes; stroke += 1) {
        // On a frame of the audio clock, so that what is handed over is what is heard.
        const at = Math.round((when + stroke * strokeGapS) * context.sampleRate) / context.sampleRate
        for (const node of strike(context, out, sound.kind, at)) {
          waiting.push({ node, when: at })
          node.onended = () => {
            waiting = waiting.filter((entry) => entry.node !== node)
          }
        }
      }
    },
    cancel() {
      const now = context.currentTime
      for (const { node, when } of waiting) {
        if (when > now) node.stop()
      }
      waiting = waiting.filter(({ when }) => when <= now)
    },
  }
}
