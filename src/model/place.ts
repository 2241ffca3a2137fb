import { z } from 'zod'
import { hourSchema, idSchema, lengthMmSchema, lineSchema, nameSchema } from './common.ts'
import { propKindSchema } from './prop.ts'
import { told } from './refusal.ts'

export const cupboardItemSchema = z.strictObject({
  id: idSchema,
  kind: propKindSchema,
  count: z.int().min(0).max(1000),
  sizeMm: z
    .strictObject({
      length: lengthMmSchema.optional(),
      width: lengthMmSchema.optional(),
      height: lengthMmSchema.optional(),
    })
    .optional(),
})

function isTimeZone(name: string): boolean {
  try {
    return new Intl.DateTimeFormat('en', { timeZone: name }).resolvedOptions().timeZone !== ''
  } catch {
    return false
  }
}

/** The sides of a room as the teacher stands in front of the mats and looks at it from above: front is theirs. */
export const roomSides = ['front', 'right', 'back', 'left'] as const
export type RoomSide = (typeof roomSides)[number]

/** Something at a side of a room, from the front or from the left on. */
const spotSchema = z.strictObject({ side: z.enum(roomSides), atMm: z.int().min(0).max(100_000) })
export type Spot = z.infer<typeof spotSchema>

export const placeSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  lengthUnit: z.enum(['cm', 'in']),
  /** Where a session is held that names no place; of all places at most one. */
  usual: z.literal(true).optional(),
  /** How many people can stand at the cupboard at once; 3 unless set. */
  atCupboard: z.int().min(1).max(50).optional(),
  /** Until when it may be used, of any day; a class that is led late ends no later. */
  freeUntil: hourSchema.optional(),
  /** Its IANA name, as “Europe/Amsterdam”; absent: that of the machine [settled A15]. */
  timeZone: z.string().max(60).refine(isTimeZone, told('TIME_ZONE_UNKNOWN', {})).optional(),
  /** What is needed where somebody has to be helped: the number to call, the address and its entrance, where things are. */
  emergency: z.array(lineSchema.min(1)).max(10).optional(),
  rooms: z
    .array(
      z.strictObject({
        id: idSchema,
        name: nameSchema,
        lengthMm: lengthMmSchema,
        widthMm: lengthMmSchema,
        /** Lengths of wall that are free for people; the side, where it is known, to draw them. */
        walls: z
          .array(
            z.strictObject({
              id: idSchema,
              name: nameSchema,
              freeMm: lengthMmSchema,
              side: z.enum(roomSides).optional(),
            }),
          )
          .max(20),
        /** Where one comes in, and where the things are. */
        door: spotSchema.optional(),
        cupboard: spotSchema.optional(),
        /** Nothing can be plugged in there. */
        noSockets: z.literal(true).optional(),
      }),
    )
    .min(1)
    .max(20),
  cupboard: z.array(cupboardItemSchema).max(100),
})
export type Place = z.infer<typeof placeSchema>
export type Room = Place['rooms'][number]
export type CupboardItem = Place['cupboard'][number]

/** A place as it is kept: with the version that guards its writes. */
export interface KeptPlace {
  readonly place: Place
  readonly version: number
}
