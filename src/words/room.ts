import type { FloorWanted, RoomPlan } from '#core/class'
import type { Room } from '#model/place'
import { counted } from './text.ts'

/** How a class lies in a room, in a few lines: numbers only, never who. */
export function roomWords(
  room: Pick<Room, 'name' | 'walls'>,
  people: number,
  { most, mostAtWall }: Pick<RoomPlan, 'most' | 'mostAtWall'>,
  { gapCm, chairCm, atWall }: FloorWanted,
): readonly string[] {
  const over = people - most
  const atOnce = Math.min(people, mostAtWall)
  return [
    over > 0
      ? `${room.name} takes ${counted(most, 'mat')}: ${counted(over, 'person', 'people')} too many.`
      : `${counted(people, 'mat')} of ${String(most)} in ${room.name}.`,
    `${String(gapCm)} cm between them${chairCm > 0 ? ', with room for a chair at each' : ''}.`,
    ...(atWall.length === 0
      ? []
      : mostAtWall === 0
        ? ['Something is done at the wall, and no wall is free here.']
        : atOnce < people
          ? [`At the wall ${String(atOnce)} at once, ${String(people - atOnce)} have to do it without.`]
          : [`All ${String(people)} have a place at the wall.`]),
  ]
}
