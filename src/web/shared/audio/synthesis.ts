/** A decaying partial: its frequency in Hz, loudness 0 to 1, and seconds until it has faded to a thousandth. */
interface Partial {
  readonly hz: number
  readonly gain: number
  readonly fadeS: number
}

type Struck = 'bowl' | 'lowBell' | 'wood' | 'tap' | 'highBowl' | 'lowBowl'

/** A struck bowl has a few partials out of tune with each other; a wood tick is short and dry. */
const voices: Readonly<Record<Struck, readonly Partial[]>> = {
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
  tap: [
    { hz: 330, gain: 0.26, fadeS: 0.16 },
    { hz: 610, gain: 0.08, fadeS: 0.08 },
  ],
  // The small bowls of a breath are over before the next turn.
  highBowl: [
    { hz: 494, gain: 0.14, fadeS: 2.2 },
    { hz: 1351, gain: 0.05, fadeS: 1.1 },
  ],
  lowBowl: [
    { hz: 247, gain: 0.2, fadeS: 2.6 },
    { hz: 675, gain: 0.06, fadeS: 1.3 },
  ],
}
const attackS = 0.006

/** Puts one stroke of a sound on an audio clock; returns what has to be stopped to silence it. */
export function strike(
  context: BaseAudioContext,
  out: AudioNode,
  kind: Struck,
  when: number,
  loudness = 1,
): OscillatorNode[] {
  if (loudness <= 0) return []
  return voices[kind].map(({ hz, gain, fadeS }) => {
    const oscillator = new OscillatorNode(context, { frequency: hz })
    const envelope = new GainNode(context, { gain: 0 })
    const peak = gain * loudness
    envelope.gain.setValueAtTime(0, when)
    envelope.gain.linearRampToValueAtTime(peak, when + attackS)
    envelope.gain.exponentialRampToValueAtTime(peak / 1000, when + attackS + fadeS)
    oscillator.connect(envelope).connect(out)
    oscillator.start(when)
    oscillator.stop(when + attackS + fadeS)
    return oscillator
  })
}

/** A held tone is a fifth, as loud all the while: what filters noise out of a call lets a steady voice pass. */
const heldHz = [294, 441]
const heldS = 3
const heldGain = 0.16
const heldEdgeS = 0.25

/** Puts a tone that is held for three seconds on an audio clock; returns what has to be stopped to silence it. */
export function holdTone(context: BaseAudioContext, out: AudioNode, when: number, loudness = 1): OscillatorNode[] {
  if (loudness <= 0) return []
  return heldHz.map((frequency) => {
    const oscillator = new OscillatorNode(context, { type: 'triangle', frequency })
    const envelope = new GainNode(context, { gain: 0 })
    envelope.gain.setValueAtTime(0, when)
    envelope.gain.linearRampToValueAtTime(heldGain * loudness, when + heldEdgeS)
    envelope.gain.setValueAtTime(heldGain * loudness, when + heldS - heldEdgeS)
    envelope.gain.linearRampToValueAtTime(0, when + heldS)
    oscillator.connect(envelope).connect(out)
    oscillator.start(when)
    oscillator.stop(when + heldS)
    return oscillator
  })
}

/** The tone of empty lungs and how many times higher that of full ones is: a fifth. */
const emptyHz = 196
const fifth = 1.5
const toneGain = 0.09
/** It swells and dies away over this, at most a third of it. */
const swellS = 0.4

const hzOf = (fill: number): number => emptyHz * fifth ** fill

/** Puts a soft tone on an audio clock that glides as the lungs fill and empty; returns its oscillator and envelope. */
export function sing(
  context: BaseAudioContext,
  out: AudioNode,
  { from, to, lengthMs, gain }: { from: number; to: number; lengthMs: number; gain: number },
  when: number,
): { oscillator: OscillatorNode; envelope: GainNode } {
  const endS = when + lengthMs / 1000
  const edgeS = Math.min(swellS, lengthMs / 3000)
  const oscillator = new OscillatorNode(context, { type: 'triangle', frequency: hzOf(from) })
  const envelope = new GainNode(context, { gain: 0 })
  oscillator.frequency.setValueAtTime(hzOf(from), when)
  oscillator.frequency.exponentialRampToValueAtTime(hzOf(to), endS)
  envelope.gain.setValueAtTime(0, when)
  envelope.gain.linearRampToValueAtTime(toneGain * gain, when + edgeS)
  envelope.gain.setValueAtTime(toneGain * gain, endS - edgeS)
  envelope.gain.linearRampToValueAtTime(0, endS)
  oscillator.connect(envelope).connect(out)
  oscillator.start(when)
  oscillator.stop(endS)
  return { oscillator, envelope }
}
