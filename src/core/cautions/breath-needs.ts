import type { CautionGrade } from '#model/caution'
import type { Technique } from '#model/technique'
import { strictest } from './judge.ts'
import type { Flag } from './flags.ts'

/** What is known of somebody before breath work; what is not known counts as met, since it is asked each time. */
export interface BreathState {
  readonly nose?: 'blocked' | 'one side' | 'clear'
  readonly hoursSinceMeal?: number
  /** Techniques that are easy for them; absent means not asked. */
  readonly easy?: ReadonlySet<string>
}

export interface BreathNeeds {
  readonly grade: CautionGrade | undefined
  readonly unmet: readonly ('nose' | 'readiness' | 'food')[]
}

/**
 * What a technique wants and does not have [reference 3.1, unmet needs]: nose or readiness not met is
 * `avoid` where no rule speaks of it; the food gap is `avoid` for strong, `care` for gentle techniques.
 * With diabetes the food gap yields and strong techniques are left out.
 */
export function breathNeeds(
  technique: Technique,
  state: BreathState,
  flags: readonly Flag[],
  ruled: boolean,
): BreathNeeds {
  const diabetic = flags.some(({ id }) => id === 'diabetes')
  const noseShort =
    (technique.nose !== 'any' && state.nose === 'blocked') ||
    (technique.nose === 'bothClear' && state.nose === 'one side')
  const notReady = state.easy !== undefined && technique.startsWhen.easy.some((id) => !state.easy?.has(id))
  const justAte = state.hoursSinceMeal !== undefined && state.hoursSinceMeal < technique.foodGapH
  const unmet = [
    ...(noseShort ? (['nose'] as const) : []),
    ...(notReady ? (['readiness'] as const) : []),
    ...(justAte && !diabetic ? (['food'] as const) : []),
  ]
  const grades: (CautionGrade | undefined)[] = [
    (noseShort || notReady) && !ruled ? 'avoid' : undefined,
    unmet.includes('food') ? (technique.strong ? 'avoid' : 'care') : undefined,
    diabetic && technique.strong ? 'avoid' : undefined,
  ]
  return { grade: strictest(grades), unmet }
}
