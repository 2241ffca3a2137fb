import type { HandedClass } from '#model/handed-file'
import type { HandOver, HandOverByFile, KeptPlannedClass, PlannedClass } from '#model/planned-class'
import { keptAs } from '#web/shared/saving/kept-documents.ts'
import { ask } from './client.ts'

export const listPlannedClasses = async () =>
  keptAs(await ask<readonly KeptPlannedClass[]>('/planned-classes'), ({ planned }) => planned)
export const writePlannedClass = (planned: PlannedClass, based: number) =>
  ask<KeptPlannedClass>(`/planned-classes/${planned.id}`, { method: 'PUT', body: planned, based })
export const removePlannedClass = (id: string, based: number) =>
  ask<undefined>(`/planned-classes/${id}`, { method: 'DELETE', based })

export const handOverClass = (id: string, to: HandOver, based: number) =>
  ask<KeptPlannedClass>(`/planned-classes/${id}/handed`, { method: 'PUT', body: to, based })
/** Handed over as a file, which is answered. */
export const handOverClassByFile = (id: string, to: HandOverByFile, based: number) =>
  ask<KeptPlannedClass & { readonly file: HandedClass }>(`/planned-classes/${id}/handed/file`, {
    ...{ method: 'PUT', body: to, based },
  })
export const takeClassBack = (id: string, based: number) =>
  ask<KeptPlannedClass>(`/planned-classes/${id}/handed`, { method: 'DELETE', based })
