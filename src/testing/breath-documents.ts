import type { Pattern } from '#model/breath'
import type { RetentionSection, RoundsSection, Section } from '#model/section'
import type { Session } from '#model/session'
import { aClosing, aHold, aSession, aTalk } from '#testing/sessions'
import { inCounts, second } from './breath.ts'

/** An hour with breath work of these sections in it, of which nothing else is said. */
export const breathing = (sections: readonly Section[], details: Partial<Session> = {}): Session =>
  aSession(
    [
      { ...aTalk('arrive', 120), text: 'The stop signs' },
      { kind: 'breath', id: 'breath', sections: [...sections] },
      aClosing({ finalRestS: 480 }),
    ],
    details,
  )

export const someRounds = (details: Partial<RoundsSection> = {}): RoundsSection => ({
  kind: 'rounds',
  id: 'rounds',
  techniqueId: 'even-breath',
  amount: { sets: 1, roundsPerSet: 6 },
  ...details,
})

export const aRetention = (details: Partial<RetentionSection> = {}): RetentionSection => ({
  kind: 'retention',
  id: 'held',
  held: 'empty',
  half: 16,
  lead: { in: 8, out: 8 },
  times: 1,
  ...details,
})

const halves = (pattern: Partial<Pattern>): RoundsSection =>
  someRounds({ pace: second, pattern: { in: 8, full: 0, out: 8, empty: 0, ...pattern } })
const strokes = (count: number, naturalAfterS = 60): Section => ({
  kind: 'strokes',
  id: 'strokes',
  techniqueId: 'short-exhales',
  pace: second,
  strokes: count,
  rounds: 2,
  naturalAfterS,
})
const stations = (...rounds: number[]): Section => ({
  kind: 'rounds',
  id: 'places',
  techniqueId: 'three-part-breath',
  pattern: inCounts(4, 0, 4, 0),
  stations: rounds.map((count, at) => ({ place: ['front', 'sides', 'back'][at] ?? 'chest', rounds: count })),
})
const quiet = (s: number): Section => ({ kind: 'natural', id: 'quiet', s })
const all = { on: ['chin', 'belly', 'root'], off: ['root', 'belly', 'chin'] } satisfies RetentionSection['locks']
const chin = { on: ['chin'], off: ['chin'] } satisfies RetentionSection['locks']
const over = (fromStartS: number): Session =>
  aSession([
    { ...aTalk('arrive', 120), text: 'The stop signs' },
    aHold('knees-to-chest', {
      hold: { holdS: 120 },
      cues: [{ id: 'own', at: { fromStartS }, text: 'Soften the jaw' }],
      breathOver: { techniqueId: 'long-exhale', pace: second, pattern: inCounts(4, 2, 6, 0) },
    }),
    aClosing({ finalRestS: 480 }),
  ])

/** For each rule of breath work a document that makes it appear, and the smallest change that makes it go. */
export const breathDocuments: Readonly<Record<string, { readonly with: Session; readonly without: Session }>> = {
  HOLD_PAST_STAGE: {
    with: breathing([halves({ full: 9 })], { stage: 4 }),
    without: breathing([halves({ full: 8 })], { stage: 4 }),
  },
  STROKES_PAST_STAGE: {
    with: breathing([strokes(21)], { stage: 4 }),
    without: breathing([strokes(20)], { stage: 4 }),
  },
  LOCKS_TOO_SHORT: {
    with: breathing([aRetention({ half: 15, locks: all })]),
    without: breathing([aRetention({ half: 16, locks: all })]),
  },
  STROKES_TOO_MANY: {
    with: breathing([aRetention({ half: 20, strokes: { n: 11, pace: second } })]),
    without: breathing([aRetention({ half: 20, strokes: { n: 10, pace: second } })]),
  },
  LOCK_WITHOUT_HOLD: {
    with: breathing([{ ...halves({}), locks: chin }]),
    without: breathing([{ ...halves({ full: 8 }), locks: chin }]),
  },
  RAPID_THEN_HOLD: {
    with: breathing([strokes(20, 0), quiet(177), aRetention({ lead: { in: 2, out: 2 }, leadInS: 0 })]),
    without: breathing([strokes(20, 0), quiet(178), aRetention({ lead: { in: 2, out: 2 }, leadInS: 0 })]),
  },
  // Of a class about to be led, in which not everybody was asked.
  HOLD_UNASKED: {
    with: breathing([someRounds({ pattern: { in: 8, full: 3, out: 8, empty: 0 } })], { stage: 4 }),
    without: breathing([someRounds({ pattern: { in: 8, full: 2, out: 8, empty: 0 } })], { stage: 4 }),
  },
  STRONG_LYING: {
    with: breathing([aRetention({ seat: 'lying' })]),
    without: breathing([aRetention({ seat: 'floorSeat' })]),
  },
  STRONG_NOT_IN_PERSON: {
    with: breathing([aRetention()], { setting: 'online' }),
    without: breathing([aRetention()], { setting: 'room' }),
  },
  EXHALE_PAST_LEVEL: { with: breathing([halves({ out: 17 })]), without: breathing([halves({ out: 16 })]) },
  BREATH_LONG_FOR_LEVEL: {
    with: breathing([someRounds({ amount: { sets: 1, roundsPerSet: 151 } })]),
    without: breathing([someRounds({ amount: { sets: 1, roundsPerSet: 150 } })]),
  },
  SLOW_FOR_LEVEL: {
    with: breathing([halves({ in: 17, out: 18 })]),
    without: breathing([halves({ in: 17, out: 17 })]),
  },
  NO_NATURAL_AFTER: {
    with: breathing([aRetention({ naturalAfterS: 29 }), someRounds()]),
    without: breathing([aRetention({ naturalAfterS: 30 }), someRounds()]),
  },
  STATION_UNEVEN: { with: breathing([stations(5, 5, 6)]), without: breathing([stations(5, 5, 5)]) },
  TALK_OVER_HOLD: { with: over(5), without: over(3) },
}
