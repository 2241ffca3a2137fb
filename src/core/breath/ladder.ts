import type { Pattern } from '#model/breath'
import type { Answers } from '#model/answers'
import { amiss, ok, refused } from '#core/result'
import type { Checked, Result } from '#core/result'
import type { BreathCode } from './fill-time.ts'
import { ladderSteps } from './ladder-steps.ts'

export interface LadderWeek {
  readonly week: number
  readonly step: number
}

export interface LadderInput {
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
  /**
   * What was practised, by week of the course, and how it was. Up to the last week named it stands in place of
   * `perWeek`: an easy practice counts, a strained one goes a step back, an ill one is as if it had not been.
   */
  readonly practices?: readonly LadderPractice[]
  /** Where three-part breath is practised, as the school has it; as step 2 unless set. */
  readonly threePartBreath?: Answers['threePartBreath']
  /** Weeks whose one new thing is a technique: the ratio waits in them. */
  readonly newTechniqueIn?: readonly number[]
}

export interface LadderPractice {
  readonly week: number
  readonly was: 'easy' | 'strain' | 'ill'
}

/** What is asked besides practice before a step into a stage [breath book 4], weeks. */
const intoStage = {
  3: { evenWeeks: 4, fromWeek: 6 },
  4: { weeksOnStep: 6, fromWeek: 16 },
  5: { weeksOnStep: 8, fromWeek: 35 },
} as const

/** More weeks than these without a class or a reported practice go to the stage's first step [breath book 4]. */
const weeksAway = 3

/**
 * The step of each week if every practice is easy, or as `practices` tells [breath book 4; settled B12]: at the start of
 * a week at most one step further. Refuses `NOT_FINITE` and `OUT_OF_RANGE` by field.
 */
export function ladder(input: LadderInput): Result<readonly LadderWeek[], BreathCode> {
  const { startStep, weeks, perWeek, topStage = 3, firstWeek = 1, evenWeeksBefore = 0 } = input
  const practices = input.practices ?? []
  const wrong = amiss([
    ['startStep', startStep, 0, ladderSteps.length - 1],
    ['weeks', weeks, 1, 104],
    ['perWeek', perWeek, 0, 21],
    ['topStage', topStage, 1, 6],
    ['firstWeek', firstWeek, 1, mostWeek],
    ['evenWeeksBefore', evenWeeksBefore, 0, mostWeek],
    ...practices.map(({ week }, at): Checked => [`practices.${String(at)}.week`, week, 1, mostWeek]),
  ])
  if (wrong) return wrong
  const inParts = Object.entries({ startStep, weeks, perWeek, topStage, firstWeek, evenWeeksBefore })
  const [field] = inParts.find(([, value]) => !Number.isInteger(value)) ?? []
  if (field !== undefined) return refused('OUT_OF_RANGE', field)
  const practised = practisedIn(practices, perWeek)
  const path = pathOf(input.threePartBreath, startStep)
  const isWaiting = new Set(input.newTechniqueIn)
  const done: LadderWeek[] = []
  let standing: Standing = { step: startStep, weeksOnStep: 0, practices: 0, evenWeeks: evenWeeksBefore, away: 0 }
  for (let week = firstWeek; week < firstWeek + weeks; week += 1) {
    if (done.length > 0) {
      const asked = { path, week, evenWeeksBefore, topStage, waits: isWaiting.has(week) }
      standing = atWeekStart(standing, practised(week - 1), asked)
    }
    done.push({ week, step: standing.step })
    standing = weekSpent(standing, practised(week))
  }
  return ok(done)
}

const mostWeek = 5200

/** What a week's practices came to. */
interface Practised {
  readonly easy: number
  readonly strained: boolean
  readonly none: boolean
}

/** What was practised in a week: as told up to the last week told of, after it as expected. */
function practisedIn(practices: readonly LadderPractice[], perWeek: number): (week: number) => Practised {
  const lastTold = Math.max(0, ...practices.map(({ week }) => week))
  return (week) => {
    if (week > lastTold) return { easy: perWeek, strained: false, none: false }
    const told = practices.filter(({ week: of, was }) => of === week && was !== 'ill')
    return {
      easy: told.filter(({ was }) => was === 'easy').length,
      strained: told.some(({ was }) => was === 'strain'),
      none: told.length === 0,
    }
  }
}

/** Where a class stands on the ladder, with what was done on this step and the weeks away up to now. */
interface Standing {
  readonly step: number
  readonly weeksOnStep: number
  readonly practices: number
  readonly evenWeeks: number
  readonly away: number
}

interface Asked {
  /** The steps in the order they are taken. */
  readonly path: readonly number[]
  readonly week: number
  readonly evenWeeksBefore: number
  readonly topStage: number
  readonly waits: boolean
}

function weekSpent(standing: Standing, { easy, none }: Practised): Standing {
  return {
    ...standing,
    weeksOnStep: standing.weeksOnStep + 1,
    practices: standing.practices + easy,
    evenWeeks: standing.evenWeeks + (ladderSteps[standing.step]?.stage === 2 ? 1 : 0),
    away: none ? standing.away + 1 : 0,
  }
}

function atWeekStart(standing: Standing, before: Practised, asked: Asked): Standing {
  const onTo = (step: number): Standing =>
    step === standing.step ? standing : { ...standing, step, weeksOnStep: 0, practices: 0 }
  const { path } = asked
  const at = path.indexOf(standing.step)
  if (standing.away > weeksAway) return onTo(firstOfStage(path, at))
  if (before.strained) return onTo(path[at - 1] ?? standing.step)
  const next = path[at + 1]
  return next !== undefined && !asked.waits && isNextTaken(standing, next, asked) ? onTo(next) : standing
}

const threePart = 2
const fifth = 5

/** The steps in the order of a school; one that stands on a step beside its order goes on from there. */
function pathOf(place: Answers['threePartBreath'] = 'secondStep', startStep: number): readonly number[] {
  const all = ladderSteps.map((_, step) => step)
  if (place === 'secondStep') return all
  const others = all.filter((step) => step !== threePart || (place === 'outside' && startStep === threePart))
  return place === 'outside' ? others : others.toSpliced(others.indexOf(fifth) + 1, 0, threePart)
}

/** The first step of the stage that a place of the path is in: three-part breath among the even counts is of theirs. */
function firstOfStage(path: readonly number[], at: number): number {
  const stageAt = (place: number): number =>
    Math.max(...path.slice(0, place + 1).map((step) => ladderSteps[step]?.stage ?? 1))
  return path[path.findIndex((_, place) => stageAt(place) === stageAt(at))] ?? 0
}

function isNextTaken(
  { step, weeksOnStep, practices, evenWeeks }: Standing,
  nextStep: number,
  { week, evenWeeksBefore, topStage }: Asked,
): boolean {
  const [here, next] = [ladderSteps[step], ladderSteps[nextStep]]
  if (!here || !next || next.stage > topStage) return false
  const [leastPractices, leastWeeks] = isLonger(here.pattern, next.pattern) ? [4, 2] : [2, 1]
  if (practices < leastPractices || weeksOnStep < leastWeeks) return false
  if (next.stage === here.stage) return true
  switch (next.stage) {
    case 3: {
      const { evenWeeks: least, fromWeek } = intoStage[3]
      return evenWeeks >= least && (week >= fromWeek || evenWeeksBefore >= least)
    }
    case 4:
    case 5:
      return weeksOnStep >= intoStage[next.stage].weeksOnStep && week >= intoStage[next.stage].fromWeek
    default:
      return true
  }
}

/** Whether any part of a counted round gets longer. */
const isLonger = (before: Pattern | undefined, after: Pattern | undefined): boolean =>
  before !== undefined &&
  after !== undefined &&
  (['in', 'full', 'out', 'empty'] as const).some((part) => after[part] > before[part])
