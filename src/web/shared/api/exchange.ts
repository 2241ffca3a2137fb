import type { Block } from '#model/block'
import type { Envelope } from '#model/envelope'
import { ask } from './client.ts'

export interface Imported {
  readonly sessions: readonly string[]
  readonly alreadyHere: readonly string[]
  readonly blocks: readonly Block[]
  readonly own: readonly { readonly kind: string }[]
}

export const exportSession = (id: string) => ask<Envelope>(`/exchange/sessions/${id}`)
export const importEnvelope = (envelope: unknown) => ask<Imported>('/exchange', { method: 'POST', body: envelope })
