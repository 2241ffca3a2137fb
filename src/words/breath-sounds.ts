import type { BreathSound } from '#model/settings'

type Choice = Readonly<Record<'kind', BreathSound['kind']> & Record<'words', string>>

const shared = {
  none: { kind: 'none', words: 'nothing' },
  turn: { kind: 'turn', words: 'wood, once' },
  counts: { kind: 'counts', words: 'wood, every count' },
} as const

/** What an inhale and an exhale may sound with, in words. */
export const breathSoundWords: Readonly<Record<'in' | 'out', readonly Choice[]>> = {
  in: [
    shared.turn,
    shared.counts,
    { kind: 'bowl', words: 'a high bowl' },
    { kind: 'tone', words: 'a tone that rises' },
    shared.none,
  ],
  out: [
    shared.turn,
    shared.counts,
    { kind: 'bowl', words: 'a low bowl' },
    { kind: 'tone', words: 'a tone that falls' },
    shared.none,
  ],
}
