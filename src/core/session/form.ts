import type { Answers } from '#model/answers'
import type { Meaning, Pose, Variant } from '#model/pose'
import { rollToken, sayRoll } from './roll.ts'

/** A pose as it is done here, and what there is to say while it is set up. */
export interface Form {
  readonly pose: Pose
  readonly variant: Variant | undefined
  readonly setUpWords: readonly string[]
}

/**
 * The form of a pose: the variant's changes, then what the answers mean in it. A later meaning stands
 * before an earlier one. The same pose is given back where nothing changes it.
 */
export function formOf(pose: Pose, variant: Variant | undefined, answers: Answers): Form {
  const meanings = (pose.meanings ?? []).filter(({ question, answer }) => answers[question] === answer)
  const last = <K extends keyof Meaning>(key: K) => meanings.findLast((meaning) => meaning[key] !== undefined)?.[key]
  const said = meanings.flatMap(({ setUp }) => setUp ?? [])
  const lines =
    answers.energyLines === 'on' && pose.energyLines.length > 0
      ? [`Along the ${pose.energyLines.join(' and ')} line`]
      : []
  const comingOut = withRoll(last('comingOut') ?? pose.comingOut, answers.roll)
  const families = last('families') ?? variant?.families
  const { sensation, props } = variant ?? {}
  const changes = {
    ...(families ? { families } : {}),
    ...(sensation ? { sensation } : {}),
    ...(props ? { props } : {}),
    ...(comingOut === pose.comingOut ? {} : { comingOut }),
  }
  return {
    pose: Object.keys(changes).length === 0 ? pose : { ...pose, ...changes },
    variant,
    setUpWords: [...(variant ? [variant.change] : []), ...said, ...lines],
  }
}

function withRoll(steps: Pose['comingOut'], roll: Answers['roll']): Pose['comingOut'] {
  return steps.some((step) => step.includes(rollToken)) ? steps.map((step) => sayRoll(step, roll)) : steps
}
