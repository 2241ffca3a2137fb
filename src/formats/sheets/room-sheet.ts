import type { TDocumentDefinitions } from 'pdfmake/interfaces'
import type { Room } from '#model/place'
import { teacherCm } from '#core/class'
import type { OnFloor, PointOnFloor, RoomPlan } from '#core/class'
import { say, sheetDocument } from './pdf.ts'
import type { Paper } from './pdf.ts'

export interface RoomSheet {
  readonly name: string
  readonly paper: Paper
  readonly about: readonly string[]
  /** What one fetches, what all fetch together, what there is too little of. */
  readonly lists: readonly { readonly title: string; readonly lines: readonly string[] }[]
  /** The room from above as SVG, and what is to say of it; absent where no room is known. */
  readonly picture?: string
  readonly words: readonly string[]
}

/** How the mats lie, and what is fetched: for whoever lays out the room. */
export function roomSheet({ name, paper, about, lists, picture, words }: RoomSheet): TDocumentDefinitions {
  return sheetDocument({ title: name, paper }, [
    say(name, { fontSize: 17, bold: true }),
    ...about.map((line) => say(line, { color: '#444444' })),
    ...(picture === undefined
      ? []
      : [
          {
            svg: picture,
            fit: [500, 420] as [number, number],
            margin: [0, 10, 0, 4] as [number, number, number, number],
          },
        ]),
    ...words.map((line) => say(line, { fontSize: 11 })),
    ...lists
      .filter(({ lines }) => lines.length > 0)
      .flatMap(({ title, lines }) => [
        say(title, { fontSize: 13, bold: true, margin: [0, 10, 0, 2] }),
        ...lines.map((line) => say(`–  ${line}`, { fontSize: 12 })),
      ]),
  ])
}

/** Air round the room for what is written there, cm. */
const air = 46

/** A room from above, to scale in cm, its front at the top: mats, chairs, the ways between, door and cupboard. */
export function roomSvg(
  { widthMm, lengthMm }: Pick<Room, 'widthMm' | 'lengthMm'>,
  plan: RoomPlan,
  hasWall: boolean,
): string {
  const [width, length] = [widthMm / 10, lengthMm / 10]
  const spots = [
    ...(plan.door ? [{ words: 'door', at: plan.door }] : []),
    ...(plan.cupboard ? [{ words: 'cupboard', at: plan.cupboard }] : []),
  ]
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
    words('you', { x: width / 2, y: teacherCm / 2 + 8 }),
    ...spots.flatMap(({ words: text, at }) => [
      `<circle cx="${n(at.x)}" cy="${n(at.y)}" r="14" fill="#111111"/>`,
      words(text, beside(at, { width, length })),
    ]),
  ]
  const [w, h] = [width + 2 * air, length + 2 * air]
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${n(-air)} ${n(-air)} ${n(w)} ${n(h)}" width="${n(w)}" height="${n(h)}">${parts.join('')}</svg>`
}

const n = (value: number): string => String(Math.round(value * 10) / 10)
const box = ({ x, y, width, length }: OnFloor, ink: string): string =>
  `<path d="M${n(x)} ${n(y)}h${n(width)}v${n(length)}h${n(-width)}Z" ${ink}/>`
const words = (text: string, { x, y }: PointOnFloor): string =>
  `<text x="${n(x)}" y="${n(y)}" text-anchor="middle" font-family="Latin" font-size="26" fill="#111111">${text}</text>`

/** Outside of the room where it would else lie over the mats. */
function beside(
  { x, y }: PointOnFloor,
  { width, length }: { readonly width: number; readonly length: number },
): PointOnFloor {
  if (y <= 0) return { x, y: -18 }
  if (y >= length) return { x, y: length + 38 }
  return { x: x <= 0 ? 54 : width - 66, y: y - 20 }
}
