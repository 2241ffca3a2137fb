import type { LedClass, LedClassLine } from '#model/classes'
import { ask } from './client.ts'

export const listLedClasses = () => ask<readonly LedClassLine[]>('/led-classes')
export const readLedClass = (id: string) => ask<LedClass>(`/led-classes/${id}`)
export const writeLedClass = (led: LedClass) => ask<undefined>(`/led-classes/${led.id}`, { method: 'PUT', body: led })
