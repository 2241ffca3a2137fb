import type { Pattern } from '#model/breath'
import { ok, refused } from '#core/result'
import type { Result } from '#core/result'
import { ladderSteps } from './ladder-steps.ts'

export interface LadderWeek {
  readonly week: number
  readonly step: number
}

interface LadderInput {
  readonly startStep: number
  readonly weeks: number
  /** Practices a week: classes, and what is practised at home. */
  readonly perWeek: number
  /** Never past this stage; 3 unless set. */
  readonly topStage?: number
  /** The week of the course it begins in; 1 unless set. */
  readonly firstWeek?: number
  /** Weeks of even breath from former courses. */
  readonly evenWeeksBefore?: number
}

/** What is asked besides practice before a step into a stage [breath book 4], weeks. */
const intoStage = {
  3: { evenWeeks: 4, fromWeek: 6 },
  4: { weeksOnStep: 6, fromWeek: 16 },
  5: { weeksOnStep: 8, fromWeek: 35 },
} as const

/**
 * The step of each week if every practice is easy [breath book 4]: at the start of a week at most one step further.
 * Refuses `OUT_OF_RANGE` with the field.
 */
export function ladder(input: LadderInput): Result<readonly LadderWeek[], 'OUT_OF_RANGE'> {
  const { startStep, weeks, perWeek, topStage = 3, firstWeek = 1, evenWeeksBefore = 0 } = input
  const given = { startStep, weeks, perWeek, topStage, firstWeek, evenWeeksBefore }
  const outside = ranges.find(([field, from, to]) => !isWithin(given[field], from, to))
  if (outside) return refused('OUT_OF_RANGE', outside[0], { from: outside[1], to: outside[2] })
  const done: LadderWeek[] = []
  let step = startStep
  let onStep = 0
  let evenWeeks = evenWeeksBefore
  for (let at = 0; at < weeks; at += 1) {
    const week = firstWeek + at
    if (at > 0 && isNextTaken({ step, onStep, perWeek, week, evenWeeks, evenWeeksBefore, topStage })) {
      step += 1
      onStep = 0
    }
    done.push({ week, step })
    onStep += 1
    if (ladderSteps[step]?.stage === 2) evenWeeks += 1
  }
  return ok(done)
}

const ranges = [
  ['startStep', 0, ladderSteps.length - 1],
  ['weeks', 0, 520],
  ['perWeek', 0, 70],
  ['topStage', 1, 6],
  ['firstWeek', 1, 5200],
  ['evenWeeksBefore', 0, 5200],
] as const

const isWithin = (value: number, from: number, to: number): boolean =>
  Number.isInteger(value) && value >= from && value <= to

interface Standing {
  readonly step: number
  readonly onStep: number
  readonly perWeek: number
  readonly week: number
  readonly evenWeeks: number
  readonly evenWeeksBefore: number
  readonly topStage: number
}

function isNextTaken({ step, onStep, perWeek, week, evenWeeks, evenWeeksBefore, topStage }: Standing): boolean {
  const [here, next] = [ladderSteps[step], ladderSteps[step + 1]]
  if (!here || !next || next.stage > topStage) return false
  const [practices, weeks] = isLonger(here.pattern, next.pattern) ? [4, 2] : [2, 1]
  if (perWeek * onStep < practices || onStep < weeks) return false
  if (next.stage === here.stage) return true
  switch (next.stage) {
    case 3: {
      const { evenWeeks: least, fromWeek } = intoStage[3]
      return evenWeeks >= least && (week >= fromWeek || evenWeeksBefore >= least)
    }
    case 4:
    case 5:
      return onStep >= intoStage[next.stage].weeksOnStep && week >= intoStage[next.stage].fromWeek
    default:
      return true
  }
}

/** Whether any part of a counted round gets longer. */
const isLonger = (before: Pattern | undefined, after: Pattern | undefined): boolean =>
  before !== undefined &&
  after !== undefined &&
  (['in', 'full', 'out', 'empty'] as const).some((part) => after[part] > before[part])
