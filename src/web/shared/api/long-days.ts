import type { KeptLongDay, LongDay } from '#model/long-day'
import { keptAs } from '#web/shared/saving/kept-documents.ts'
import { ask } from './client.ts'

export const listLongDays = async () =>
  keptAs(await ask<readonly KeptLongDay[]>('/long-days'), ({ longDay }) => longDay)
export const writeLongDay = (longDay: LongDay, based: number) =>
  ask<KeptLongDay>(`/long-days/${longDay.id}`, { method: 'PUT', body: longDay, based })
export const removeLongDay = (id: string, based: number) =>
  ask<undefined>(`/long-days/${id}`, { method: 'DELETE', based })
