import type { MusicPort } from './audio-port.ts'

/** A level is taken over this, so that none of it clicks. */
const stepS = 0.05

/** Where an even fade is at a second, from 1 to 0. */
const fadeAt = (nowS: number, fromS: number, toS: number): number =>
  toS <= nowS ? 0 : Math.min(1, (toS - nowS) / Math.max(stepS, toS - fromS))

/** A track through Web Audio: streamed, so that an hour of it takes no memory, and faded on the bells' own clock. */
export function webMusicPort(context: AudioContext): MusicPort {
  const out = new GainNode(context, { gain: 0 })
  out.connect(context.destination)
  let element: HTMLAudioElement | undefined

  return {
    async play(url, fromS) {
      if (!element) {
        element = new Audio()
        element.loop = true
        context.createMediaElementSource(element).connect(out)
      }
      const track = element
      if (track.getAttribute('src') === url && !track.paused) return
      track.src = url
      await new Promise<void>((known, failed) => {
        track.onloadedmetadata = () => {
          known()
        }
        track.onerror = () => {
          failed(new Error('This track cannot be played here.'))
        }
      })
      if (Number.isFinite(track.duration) && track.duration > 0) track.currentTime = fromS % track.duration
      await track.play()
    },
    level(gain, fade) {
      const now = context.currentTime
      const at = fade ? fadeAt(now, fade.fromS, fade.toS) : 1
      out.gain.cancelScheduledValues(now)
      out.gain.setTargetAtTime(gain * at, now, stepS)
      if (!fade || fade.toS <= now) return
      const fromS = Math.max(fade.fromS, now + 5 * stepS)
      out.gain.setValueAtTime(gain * fadeAt(fromS, fade.fromS, fade.toS), fromS)
      out.gain.linearRampToValueAtTime(0, Math.max(fade.toS, fromS + stepS))
    },
    stop() {
      element?.pause()
      out.gain.cancelScheduledValues(context.currentTime)
      out.gain.value = 0
    },
  }
}
