import type { Answers } from '#model/answers'
import type { Meaning, Pose, Variant } from '#model/pose'
import type { Wording } from '#model/wording'
import { rollToken, sayRoll } from './roll.ts'
import { withFields } from './with-fields.ts'

/** A pose as it is done here, and what there is to say while it is set up. */
export interface Form {
  readonly pose: Pose
  readonly variant: Variant | undefined
  readonly setUpWords: readonly string[]
}

/**
 * The form of a pose: the variant's changes, then what the answers mean in it, the roll in its wording. A later
 * meaning stands before an earlier one. The same pose is given back where nothing changes it.
 */
export function formOf(
  pose: Pose,
  variant: Variant | undefined,
  answers: Answers,
  roll: Wording['roll'] = 'roll',
): Form {
  // What an answer means was written for the pose; a form that is another position has words of its own.
  const meanings = variant?.base ? [] : meaningsOf(pose, answers)
  const last = <K extends keyof Meaning>(key: K) => meanings.findLast((meaning) => meaning[key] !== undefined)?.[key]
  const said = meanings.flatMap(({ setUp }) => setUp ?? [])
  const lines =
    answers.energyLines === 'on' && pose.energyLines.length > 0
      ? [`Along the ${pose.energyLines.join(' and ')} line`]
      : []
  const comingOut = withRoll(last('comingOut') ?? variant?.comingOut ?? pose.comingOut, answers.roll, roll)
  const families = last('families') ?? variant?.families
  const { setUpWords = pose.setUpWords, ...own } = variant ? ownOf(variant) : {}
  const changes = {
    ...own,
    ...(families ? { families } : {}),
    ...(comingOut === pose.comingOut ? {} : { comingOut }),
  }
  return {
    pose: Object.keys(changes).length === 0 ? pose : { ...pose, ...changes },
    variant,
    setUpWords: [...(variant ? [variant.change] : []), ...said, ...setUpWords, ...lines],
  }
}

/** What the answers mean here. Of two that are done in different ways only the later one is said. */
function meaningsOf({ meanings = [] }: Pose, answers: Answers): Meaning[] {
  const here = meanings.filter(({ question, answer }) => answers[question] === answer)
  const last = here.findLast(({ families }) => families !== undefined)
  return here.filter((meaning) => meaning.families === undefined || meaning === last)
}

/** What a form has instead of the pose's own. */
function ownOf({
  sensation,
  props,
  hinged,
  base,
  setUpWords,
  head,
  cues,
  looksFor,
  mistakes,
  figure,
}: Variant): Partial<Pose> {
  const own = { sensation, props, hinged, base, setUpWords, head, cues, looksFor, mistakes, figure }
  return withFields<Partial<Pose>>({}, own)
}

function withRoll(steps: Pose['comingOut'], roll: Answers['roll'], wording: Wording['roll']): Pose['comingOut'] {
  return steps.some((step) => step.includes(rollToken)) ? steps.map((step) => sayRoll(step, roll, wording)) : steps
}
