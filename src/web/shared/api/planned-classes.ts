import type { KeptPlannedClass, PlannedClass } from '#model/planned-class'
import { ask } from './client.ts'

export const listPlannedClasses = () => ask<readonly KeptPlannedClass[]>('/planned-classes')
export const writePlannedClass = (planned: PlannedClass, based: number) =>
  ask<KeptPlannedClass>(`/planned-classes/${planned.id}`, { method: 'PUT', body: planned, based })
export const removePlannedClass = (id: string, based: number) =>
  ask<undefined>(`/planned-classes/${id}`, { method: 'DELETE', based })
