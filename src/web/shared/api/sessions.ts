import type { Session } from '#model/session'
import { ask } from './client.ts'

/** A line of the list of sessions. */
export interface SessionLine {
  readonly id: string
  readonly name: string
  readonly practice: Session['practice']
  readonly lengthS: number
  readonly savedAt: string
  readonly archived: boolean
  readonly template: boolean
  readonly lastLed: string | null
}

/** A state of a session that is kept in its history. */
export interface KeptLine {
  readonly id: number
  readonly version: number
  readonly reason: string
  readonly keptAt: string
}

export const listSessions = () => ask<readonly SessionLine[]>('/sessions')
export const readSession = (id: string) => ask<Session>(`/sessions/${id}`)
export const createSession = (session: Session) => ask<Session>('/sessions', { method: 'POST', body: session })

/** Saves over the version it was based on; `keepFormer` puts that version into history at once. */
export const saveSession = (session: Session, based: number, keepFormer?: 'conflict' | 'restored') =>
  ask<Session>(`/sessions/${session.id}`, {
    method: 'PUT',
    body: session,
    based,
    ...(keepFormer === undefined ? {} : { headers: { 'X-Keep-Former': keepFormer } }),
  })

/** Puts a document into history: given up in a conflict, or as it stood before a class. */
export const setAsideSession = (session: Session, based: number, reason: 'conflict' | 'lead' | 'fit' | 'version') =>
  ask<undefined>(`/sessions/${session.id}/history`, {
    method: 'POST',
    body: session,
    based,
    headers: { 'X-Keep-Former': reason },
  })

/** Puts a session away, makes it a template, deletes it, or takes any of these back. */
export const setSessionState = (id: string, state: { archived?: boolean; template?: boolean; deleted?: boolean }) =>
  ask<undefined>(`/sessions/${id}/state`, { method: 'POST', body: state })

export const sessionHistory = (id: string) => ask<readonly KeptLine[]>(`/sessions/${id}/history`)
export const keptSession = (id: string, kept: number) => ask<Session>(`/sessions/${id}/history/${String(kept)}`)
