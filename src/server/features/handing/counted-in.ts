import type { HandedClass } from '#model/handed-file'
import type { HandOver, PlannedClass } from '#model/planned-class'

/**
 * A class for its day with nobody's name in it: whoever comes by name is one of the guests, after those who are already. What was
 * told of them for this day, and what is set aside with a reason, stays.
 */
export function countedIn({
  people,
  forms,
  ...planned
}: Omit<PlannedClass, 'forms'> & Pick<HandOver, 'forms'>): HandedClass['planned'] {
  const { id, roomId, day, startsAt, needs, fetching } = planned
  const told = (needs ?? []).reduce((sum, need) => sum + need.people, 0)
  const before = Math.max(planned.guests, told)
  const coming = people.filter(({ away }) => !away).map(({ personId }) => personId)
  const guests = new Map(coming.map((personId, at) => [personId, `guest-${String(before + at + 1)}`]))
  /** Away, or gone since: nobody. */
  const asGuest = (who: string): readonly string[] => {
    const guest = guests.get(who) ?? (/^guest-\d+$/.test(who) ? who : undefined)
    return guest === undefined ? [] : [guest]
  }
  /** What nobody has any more is left out; what everybody has stays. */
  const counted = <T extends { readonly who?: string[] | undefined }>(some: readonly T[]): T[] =>
    some.flatMap((one) => {
      if (one.who === undefined) return [one]
      const who = one.who.flatMap(asGuest)
      return who.length === 0 ? [] : [{ ...one, who }]
    })
  return {
    ...{ id, day, guests: before + coming.length },
    substitutes: counted(planned.substitutes),
    forms: forms.flatMap((form) => asGuest(form.personId).map((personId) => ({ ...form, personId }))),
    ...(roomId === undefined ? {} : { roomId }),
    ...(startsAt === undefined ? {} : { startsAt }),
    ...(needs ? { needs } : {}),
    ...(planned.setUps ? { setUps: counted(planned.setUps) } : {}),
    ...(fetching ? { fetching } : {}),
  }
}
