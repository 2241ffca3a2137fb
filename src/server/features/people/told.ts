import { isDeepStrictEqual } from 'node:util'
import type { z } from 'zod'
import { personSchema } from '#model/person'
import type { Person } from '#model/person'

/** What somebody told the teacher who wrote it down; all else of their page every teacher of the house uses. */
const toldSchema = personSchema.pick({
  conditions: true,
  consents: true,
  askedOn: true,
  note: true,
  inCase: true,
  othersMayKnowSince: true,
})
export type Told = z.infer<typeof toldSchema>

const nothing: Told = { conditions: [], consents: [] }

export const readTold = (document: string): Told => toldSchema.safeParse(JSON.parse(document)).data ?? nothing

/** What stands of a page in what was told, and what does not. */
export function apart(person: Person): { readonly shared: Person; readonly told: Told } {
  const { conditions, consents, askedOn, note, inCase, othersMayKnowSince, ...shared } = person
  return {
    shared: { ...shared, ...nothing },
    told: {
      ...{ conditions, consents },
      ...(askedOn === undefined ? {} : { askedOn }),
      ...(note === undefined ? {} : { note }),
      ...(inCase === undefined ? {} : { inCase }),
      ...(othersMayKnowSince === undefined ? {} : { othersMayKnowSince }),
    },
  }
}

export const isNothing = (told: Told): boolean => isDeepStrictEqual(told, nothing)

/** What others were told and may be known, as the person let them [decisions, People and classes]. */
const known = (others: readonly Told[]): readonly Told[] =>
  others.filter(({ othersMayKnowSince }) => othersMayKnowSince !== undefined)

/** A page as a teacher sees it: what is everybody's, what they were told, and what their colleagues were where that may be known. */
export function seenWith(shared: Person, own: Told, others: readonly Told[]): Person {
  const more = known(others)
  const conditions = more.reduce((so, one) => addNew(so, one.conditions, 'id'), own.conditions)
  const consents = more.reduce((so, one) => addNew(so, one.consents, 'for'), own.consents)
  const [askedOn, inCase] = (['askedOn', 'inCase'] as const).map(
    (field) => own[field] ?? more.find((one) => one[field] !== undefined)?.[field],
  )
  return {
    ...shared,
    ...own,
    ...{ conditions, consents },
    ...(askedOn === undefined ? {} : { askedOn }),
    ...(inCase === undefined ? {} : { inCase }),
  }
}

/** What of a page that was sent is the teacher's own: what a colleague was told stays the colleague's. */
export function ownOf(sent: Told, others: readonly Told[]): Told {
  const more = known(others)
  const isTheirs = <T>(one: T, of: (told: Told) => readonly T[]): boolean =>
    more.some((told) => of(told).some((other) => isDeepStrictEqual(one, other)))
  const { askedOn, inCase, ...rest } = sent
  return {
    ...rest,
    conditions: sent.conditions.filter((one) => !isTheirs(one, (told) => told.conditions)),
    consents: sent.consents.filter((one) => !isTheirs(one, (told) => told.consents)),
    ...(askedOn === undefined || more.some((told) => told.askedOn === askedOn) ? {} : { askedOn }),
    ...(inCase === undefined || more.some((told) => told.inCase === inCase) ? {} : { inCase }),
  }
}

const addNew = <T, K extends keyof T>(all: T[], more: readonly T[], key: K): T[] => [
  ...all,
  ...more.filter((one) => all.every((there) => there[key] !== one[key])),
]
