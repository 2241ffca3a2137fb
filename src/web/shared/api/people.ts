import type { KeptPerson, Mention, Person } from '#model/person'
import { keptAs } from '#web/shared/saving/kept-documents.ts'
import { ask } from './client.ts'

export const listPeople = async () => keptAs(await ask<readonly KeptPerson[]>('/people'), ({ person }) => person)
export const writePerson = (person: Person, based: number) =>
  ask<KeptPerson>(`/people/${person.id}`, { method: 'PUT', body: person, based })
export const removePerson = (id: string, based: number) => ask<undefined>(`/people/${id}`, { method: 'DELETE', based })
export const mentionsOf = (id: string) => ask<readonly Mention[]>(`/people/${id}/mentions`)
