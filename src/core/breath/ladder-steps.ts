import type { Pattern } from '#model/breath'

/** One practice of the ladder: one thing changed from the step before it [breath book 4]. */
export interface LadderStep {
  readonly stage: 1 | 2 | 3 | 4 | 5
  /** Absent where nothing is counted. */
  readonly pattern?: Pattern
  readonly minutes?: number
  readonly rounds?: number
}

const whole = (inhale: number, full: number, out: number, empty: number): Pattern => ({
  in: 2 * inhale,
  full: 2 * full,
  out: 2 * out,
  empty: 2 * empty,
})
const counted = (stage: LadderStep['stage'], inhale: number, out: number, minutes: number): LadderStep => ({
  stage,
  pattern: whole(inhale, 0, out, 0),
  minutes,
})
const held = (stage: LadderStep['stage'], full: number, empty: number, rounds: number): LadderStep => ({
  stage,
  pattern: whole(4, full, 8, empty),
  rounds,
})

/** Steps 0 to 27. */
export const ladderSteps: readonly LadderStep[] = [
  { stage: 1, minutes: 5 },
  { stage: 1, minutes: 5 },
  { stage: 1, minutes: 3 },
  ...[3, 5, 8, 10].map((minutes) => counted(2, 3, 3, minutes)),
  ...[5, 8, 10].map((minutes) => counted(2, 4, 4, minutes)),
  ...[5, 6, 7, 8].map((out) => counted(3, 4, out, 10)),
  ...[1, 2, 3, 4].map((full) => held(4, full, 0, 6)),
  ...[9, 12].map((rounds) => held(4, 4, 0, rounds)),
  ...[5, 6, 7, 8].map((full) => held(5, full, 0, 12)),
  ...[1, 2, 3, 4].map((empty) => held(5, 8, empty, 12)),
]
