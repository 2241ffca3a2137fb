import type { Sound } from '#model/cue'

/** A decaying partial: its frequency in Hz, loudness 0 to 1, and seconds until it has faded to a thousandth. */
interface Partial {
  readonly hz: number
  readonly gain: number
  readonly fadeS: number
}

/** A struck bowl has a few partials out of tune with each other; a wood tick is short and dry. */
const voices: Readonly<Record<Sound['kind'], readonly Partial[]>> = {
  bowl: [
    { hz: 262, gain: 0.34, fadeS: 6.5 },
    { hz: 263.4, gain: 0.2, fadeS: 6 },
    { hz: 716, gain: 0.14, fadeS: 3.6 },
    { hz: 1348, gain: 0.06, fadeS: 1.8 },
  ],
  lowBell: [
    { hz: 131, gain: 0.42, fadeS: 5.5 },
    { hz: 329, gain: 0.16, fadeS: 3 },
    { hz: 523, gain: 0.06, fadeS: 1.6 },
  ],
  wood: [
    { hz: 880, gain: 0.22, fadeS: 0.09 },
    { hz: 1640, gain: 0.1, fadeS: 0.05 },
  ],
}
const attackS = 0.006

/** Puts one stroke of a sound on an audio clock; returns what has to be stopped to silence it. */
export function strike(context: BaseAudioContext, out: AudioNode, kind: Sound['kind'], when: number): OscillatorNode[] {
  return voices[kind].map(({ hz, gain, fadeS }) => {
    const oscillator = new OscillatorNode(context, { frequency: hz })
    const envelope = new GainNode(context, { gain: 0 })
    envelope.gain.setValueAtTime(0, when)
    envelope.gain.linearRampToValueAtTime(gain, when + attackS)
    envelope.gain.exponentialRampToValueAtTime(gain / 1000, when + attackS + fadeS)
    oscillator.connect(envelope).connect(out)
    oscillator.start(when)
    oscillator.stop(when + attackS + fadeS)
    return oscillator
  })
}
