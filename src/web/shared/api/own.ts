import type { OwnDocuments, OwnKind, OwnThing } from '#model/own'
import { ask } from './client.ts'

export const listOwn = () => ask<readonly OwnThing[]>('/own')
export const writeOwn = <K extends OwnKind>(kind: K, document: OwnDocuments[K], based: number) =>
  ask<OwnThing>(`/own/${kind}/${document.id}`, { method: 'PUT', body: document, based })
export const bringBackOwn = (kind: OwnKind, id: string) =>
  ask<undefined>(`/own/${kind}/${id}/back`, { method: 'POST', body: {} })
export const removeOwn = (kind: OwnKind, id: string, based: number) =>
  ask<undefined>(`/own/${kind}/${id}`, { method: 'DELETE', based })
