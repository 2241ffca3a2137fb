import type { Page } from '@playwright/test'
import type { KeptPerson } from '#model/person'
import type { KeptPlannedClass, PlannedClass } from '#model/planned-class'
import { expect } from './fixtures.ts'
import type { House } from './fixtures.ts'

export const people = async ({ address }: House) => (await (await fetch(`${address}api/people`)).json()) as KeptPerson[]
export const classes = async ({ address }: House) =>
  (await (await fetch(`${address}api/planned-classes`)).json()) as KeptPlannedClass[]
export const plannedIn = async (house: House, id: string) =>
  (await classes(house)).find((kept) => kept.planned.id === id)?.planned
export const named = async (house: House, name: string) =>
  (await people(house)).find(({ person }) => person.name === name)?.person

/** A class of a session far in the future, with some of Bellows House's people. */
export async function planClass(
  house: House,
  sessionId: string,
  names: readonly string[],
  more: Partial<PlannedClass> = {},
) {
  const all = await people(house)
  const planned: PlannedClass = {
    ...{ id: 'our-class', sessionId, placeId: 'bellows-house', day: '2099-01-01', startsAt: '18:45', guests: 0 },
    people: names.map((name) => ({ personId: all.find(({ person }) => person.name === name)?.person.id ?? '' })),
    ...{ forms: [], substitutes: [], setAside: [] },
    ...more,
  }
  const reply = await fetch(`${house.address}api/planned-classes/${planned.id}`, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json', 'If-Match': '"0"' },
    body: JSON.stringify(planned),
  })
  expect(reply.status).toBe(200)
  return planned
}

/** The window looks at Thursday's session for the class of next Thursday, with its eleven people. */
export const forNextThursday = (page: Page) =>
  page.addInitScript(() => {
    sessionStorage.setItem('zovrin.class', JSON.stringify([['thursday-slow-hour', 'next-thursday']]))
  })
