import { plannedClassSchema } from '#model/planned-class'
import type { PlannedClass } from '#model/planned-class'

/** A planned class as its row has it, at a version. */
export const columnsOf = (planned: PlannedClass, version: number) => {
  const { sessionId, placeId, day, ledClassId } = planned
  const isLed = ledClassId !== undefined
  return { sessionId, placeId, day, isLed, version, document: JSON.stringify(planned) }
}

export const plannedIn = (document: string): PlannedClass => plannedClassSchema.parse(JSON.parse(document))
