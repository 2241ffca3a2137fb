import type { AudioPort } from './audio/audio-port.ts'
import { webAudioPort } from './audio/web-audio-port.ts'

/** What the application takes from the world, which a test may replace before it loads. */
export interface Ports {
  /** Wall time in milliseconds; a jump against `steadyMs` means the machine slept. */
  epochMs(): number
  /** Time that only runs forward within a page load. */
  steadyMs(): number
  audio(): AudioPort
  /** What the teacher says into; rejects where there is none, or the browser does not let it be used. */
  microphone(): Promise<MediaStream>
}

declare global {
  interface Window {
    /** Set by a test before load; with nothing set the real ones are used. It opens no route or privilege. */
    zovrinPorts?: Partial<Ports>
  }
}

/** One audio device for the page's whole life: browsers allow only a few. */
let device: AudioPort | undefined

const real: Ports = {
  epochMs: () => Date.now(),
  steadyMs: () => performance.now(),
  audio: () => (device ??= webAudioPort()),
  // A voice is levelled afterwards, all sentences alike: the browser's own levelling would breathe between words.
  microphone: () =>
    navigator.mediaDevices.getUserMedia({ audio: { channelCount: 1, autoGainControl: false, noiseSuppression: true } }),
}

export const ports = (): Ports => ({ ...real, ...window.zovrinPorts })
