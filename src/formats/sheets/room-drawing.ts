import type { Room } from '#model/place'
import { teacherCm } from '#core/class'
import type { OnFloor, PointOnFloor, RoomPlan } from '#core/class'

/** Air round a room for what is written there, cm. */
export const roomAir = 46

/** What is named in a room from above, each at its place; and the teacher, above the way that leads there. */
export const roomSpots = ({ door, cupboard }: RoomPlan) => [
  ...(door ? [{ words: 'door', at: door }] : []),
  ...(cupboard ? [{ words: 'cupboard', at: cupboard }] : []),
]
export const teacherAt = ({ widthMm }: Pick<Room, 'widthMm'>): PointOnFloor => ({
  x: widthMm / 20,
  y: teacherCm / 2 - 16,
})

/** Where a word stands beside something at a side of the room: outside of it, along the side, where no mat lies. */
export function besideRoom(
  { x, y }: PointOnFloor,
  { widthMm, lengthMm }: Pick<Room, 'widthMm' | 'lengthMm'>,
): PointOnFloor & { readonly turn?: 90 | -90 } {
  const [width, length] = [widthMm / 10, lengthMm / 10]
  if (y <= 0) return { x, y: -14 }
  if (y >= length) return { x, y: length + 38 }
  return x <= 0 ? { x: -16, y, turn: -90 } : { x: width + 16, y, turn: 90 }
}

/** A room from above, to scale in cm, its front at the top: mats, chairs, the ways between, door and cupboard. */
export function roomSvg(room: Pick<Room, 'widthMm' | 'lengthMm'>, plan: RoomPlan, hasWall: boolean): string {
  const [width, length] = [room.widthMm / 10, room.lengthMm / 10]
  const parts = [
    `<path d="M0 0H${n(width)}V${n(length)}H0Z" fill="#ffffff" stroke="#111111" stroke-width="4"/>`,
    ...(hasWall ? plan.wallPlaces.map((place) => box(place, 'fill="#e2e2e2"')) : []),
    `<path d="M0 ${n(teacherCm)}H${n(width)}" stroke="#999999" stroke-width="2" stroke-dasharray="12 10" fill="none"/>`,
    ...plan.ways.map(
      (way) =>
        `<path d="M${way.map(({ x, y }) => `${n(x)} ${n(y)}`).join('L')}" stroke="#bbbbbb" stroke-width="3" fill="none"/>`,
    ),
    ...plan.mats.map((mat) => box(mat, 'fill="#c9d4cf" stroke="#333333" stroke-width="2"')),
    ...plan.chairs.map((chair) => box(chair, 'fill="#bdb29a" stroke="#333333" stroke-width="2"')),
    words('you', teacherAt(room)),
    ...roomSpots(plan).flatMap(({ words: text, at }) => [
      `<circle cx="${n(at.x)}" cy="${n(at.y)}" r="14" fill="#111111"/>`,
      words(text, besideRoom(at, room)),
    ]),
  ]
  const [w, h] = [width + 2 * roomAir, length + 2 * roomAir]
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${n(-roomAir)} ${n(-roomAir)} ${n(w)} ${n(h)}" width="${n(w)}" height="${n(h)}">${parts.join('')}</svg>`
}

const n = (value: number): string => String(Math.round(value * 10) / 10)
const box = ({ x, y, width, length }: OnFloor, ink: string): string =>
  `<path d="M${n(x)} ${n(y)}h${n(width)}v${n(length)}h${n(-width)}Z" ${ink}/>`
const words = (text: string, { x, y, turn }: ReturnType<typeof besideRoom>): string => {
  const turned = turn === undefined ? '' : ` transform="rotate(${String(turn)} ${n(x)} ${n(y)})"`
  return `<text x="${n(x)}" y="${n(y)}" text-anchor="middle" font-family="Latin" font-size="26" fill="#111111"${turned}>${text}</text>`
}
