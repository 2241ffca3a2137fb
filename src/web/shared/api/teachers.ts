import type { KeptTeacher, Role, SignedIn } from '#model/teacher'
import { ask } from './client.ts'

export const readSignedIn = () => ask<SignedIn>('/sign-in')
export const signIn = (name: string, secret: string) =>
  ask<SignedIn>('/sign-in', { method: 'POST', body: { name, secret } })
export const signInByCode = (name: string, code: string, secret: string) =>
  ask<SignedIn>('/sign-in/code', { method: 'POST', body: { name, code, secret } })
export const signOut = () => ask<undefined>('/sign-in', { method: 'DELETE' })
export const changeSecret = (secret: string, next: string) =>
  ask<undefined>('/sign-in/secret', { method: 'PUT', body: { secret, next } })

export const listTeachers = () => ask<readonly KeptTeacher[]>('/teachers')
export const addTeacher = (added: { readonly name: string; readonly role: Role; readonly secret?: string }) =>
  ask<{ readonly teacher: KeptTeacher; readonly code?: string }>('/teachers', { method: 'POST', body: added })

interface Named {
  readonly name: string
  readonly secret: string
}
export const addSecond = (first: Named, second: Named) =>
  ask<readonly KeptTeacher[]>('/teachers/second', { method: 'POST', body: { first, second } })
export const changeTeacher = ({ id, name, role, isClosed, version }: KeptTeacher) =>
  ask<KeptTeacher>(`/teachers/${id}`, { method: 'PUT', body: { name, role, isClosed }, based: version })
export const letChoose = (id: string) => ask<{ readonly code: string }>(`/teachers/${id}/code`, { method: 'POST' })
