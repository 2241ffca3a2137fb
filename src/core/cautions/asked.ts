import type { CautionBook } from '#model/caution'
import type { Family } from '#model/family'
import type { Person } from '#model/person'
import type { Pose, Variant } from '#model/pose'
import { judgeFamily } from './alternatives.ts'
import { flagsOf } from './flags.ts'
import { asJudged, judgeFor } from './judge.ts'
import type { Judged, Verdict } from './judge.ts'
import type { JudgeForm } from './pose-alternatives.ts'
import { bodyFormOf, subjectsOf } from './practised.ts'
import type { Practised } from './practised.ts'

/** A person with all that the rules say of them worked out once. */
export interface Asked {
  readonly person: Person
  readonly judged: Judged
  readonly judgeOne: (family: Family) => Verdict
  readonly judgeThis: (practised: Practised) => Verdict
  readonly judgeForm: JudgeForm
}

export function asAsked(
  person: Person,
  book: CautionBook,
  asks: AskedOfForm,
  notToday: readonly string[] | undefined,
): Asked {
  const consents = new Set(person.consents.map((consent) => consent.for))
  const judged = asJudged(flagsOf(person, book), book, consents, notToday)
  const known = new Map<Family, Verdict>()
  return {
    person,
    judged,
    judgeOne(family) {
      const verdict = known.get(family) ?? judgeFamily(family, judged, book)
      known.set(family, verdict)
      return verdict
    },
    judgeThis: (practised) => judgeFor(practised, subjectsOf(practised, book), judged),
    judgeForm: judgeFormFor(judged, asks),
  }
}

/** Forms of poses as they are judged for one person, those that ask the same once. */
function judgeFormFor(judged: Judged, asks: AskedOfForm): JudgeForm {
  const known = new Map<Demand, Verdict>()
  return (pose, variant) => {
    const demand = asks(pose, variant)
    const verdict = known.get(demand) ?? judgeFor(demand.practised, demand.subjects, judged)
    known.set(demand, verdict)
    return verdict
  }
}

/** What a form asks of everyone; forms that ask the same have one and the same. */
interface Demand {
  readonly practised: Practised
  readonly subjects: ReturnType<typeof subjectsOf>
}
export type AskedOfForm = (pose: Pose, variant: Variant | undefined) => Demand

/** What the forms of poses ask, kept for all who are asked. */
export function askedOfForms(book: CautionBook): AskedOfForm {
  const byForm = new Map<Pose | Variant, Demand>()
  const bySaying = new Map<string, Demand>()
  const made = (pose: Pose, variant: Variant | undefined): Demand => {
    const { families = pose.families, sensation = pose.sensation } = variant ?? {}
    const hinged = variant?.hinged ?? pose.hinged
    const form = bodyFormOf({ families, sensation, ...(hinged === undefined ? {} : { hinged }) })
    const saying = [...families, form.carried, form.hinged].join(' ')
    const demand = bySaying.get(saying) ?? {
      practised: { families, form },
      subjects: subjectsOf({ families, form }, book),
    }
    bySaying.set(saying, demand)
    return demand
  }
  return (pose, variant) => {
    const demand = byForm.get(variant ?? pose) ?? made(pose, variant)
    byForm.set(variant ?? pose, demand)
    return demand
  }
}
