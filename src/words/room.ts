import type { FloorWanted, RoomPlan } from '#core/class'
import type { Room, RoomSide } from '#model/place'
import { formatDuration, formatMs } from '#core/units'
import { counted } from './text.ts'

/** The sides of a room, as one looks at it from above with the teacher in front. */
export const sideWords: readonly { readonly value: RoomSide; readonly words: string }[] = [
  { value: 'front', words: 'front' },
  { value: 'back', words: 'back' },
  { value: 'left', words: 'left' },
  { value: 'right', words: 'right' },
]

/** How a class lies in a room, in a few lines: numbers only, never who. */
export function roomWords(
  room: Pick<Room, 'name' | 'noSockets'>,
  people: number,
  { most }: Pick<RoomPlan, 'most'>,
  { gapCm, chairCm }: Pick<FloorWanted, 'gapCm' | 'chairCm'>,
): readonly string[] {
  const over = people - most
  return [
    over > 0
      ? `${room.name} takes ${counted(most, 'mat')}: ${counted(over, 'person', 'people')} too many.`
      : `${counted(people, 'mat')} of ${String(most)} in ${room.name}.`,
    `${String(gapCm)} cm between them${chairCm > 0 ? ', with room for a chair at each' : ''}.`,
    ...(room.noSockets ? ['No socket there: bring what leads the class charged.'] : []),
  ]
}

/** Shapes longer than that are not done in waves [handling book 4]. */
const longestWaveS = 120

/** How long a shape takes in waves, where it is short enough for them; they are never chosen by the tool. */
export function wavesWords({
  people,
  places,
  holdS,
}: {
  readonly people: number
  readonly places: number
  readonly holdS: number
}): string {
  if (places === 0 || holdS > longestWaveS) return ''
  const waves = Math.ceil(people / places)
  return `In ${String(waves)} waves it would take ${formatDuration(waves * holdS)}, if you choose to.`
}

/** How many are at the wall when, and what is done where it is full: never decided by the tool. */
export function wallWords(
  all: number,
  { mostAtWall }: Pick<RoomPlan, 'mostAtWall'>,
  { atWall }: Pick<FloorWanted, 'atWall'>,
  { nameOf, withoutWall, elsewhereIn = () => 0 }: WallNames,
): readonly string[] {
  return atWall.flatMap(({ blockId, startMs, holdS }) => {
    const people = all - elsewhereIn(blockId)
    if (people <= 0) return []
    const what = `${nameOf(blockId)} at ${formatMs(startMs)}`
    if (people <= mostAtWall)
      return [
        people < all
          ? `${what}: ${String(people)} of ${String(all)} at the wall, each has a place.`
          : `${what}: all ${String(people)} have a place at the wall.`,
      ]
    const without = withoutWall(blockId)
    const first = without === undefined ? 'without the wall' : `as ${without}`
    return [
      mostAtWall === 0
        ? `${what}: no wall is free here. Offer it ${first} to all; else at a door that opens away, or a corner.`
        : `${what}: ${String(mostAtWall)} at the wall at once. Offer it ${first} first, to those who take it gladly; then another wall, a door or a corner.`,
      ...[wavesWords({ people, places: mostAtWall, holdS })].filter((line) => line !== ''),
    ]
  })
}

export interface WallNames {
  /** How many are somewhere else in a block, since their form is. */
  readonly elsewhereIn?: (blockId: string) => number
  readonly nameOf: (blockId: string) => string
  /** The form or set-up of a block that takes no wall, where there is one. */
  readonly withoutWall: (blockId: string) => string | undefined
}

/** How many of those at home have what is planned for them, as far as it is noted. */
export function homeWords(people: number, known: number, lacking: number): string {
  if (known === 0) return 'What they have stands on nobody’s page yet: it is taken to be there.'
  const rest = people - known
  const unknown = rest > 0 ? ` What ${counted(rest, 'other has', 'others have')} is not noted.` : ''
  return `${String(known - lacking)} of ${String(known)} have all of it.${unknown}`
}
