import { materials } from './materials.ts'
import type { Drawing, DrawnShape } from './picture.ts'

/** The inks of a figure on paper: those of the page, in tones that stay apart in grey. */
const paper = {
  ...{ ink: '#111111', soft: '#444444', line: '#5d6661', floor: '#8fa096', level: '#c4c4c4', onBody: '#b4c2ba' },
  flesh: { near: '#546a62', far: '#8b9b93', usual: '#3c4f49' },
  hair: '#1d2a2a',
  props: { bolster: '#9db1ab', block: '#bdb29a', blanket: '#d6d0c2' },
} as const

/** A drawing as an SVG document of its own, in the inks of paper, with its measures where it has any. */
export function drawingSvg(drawing: Drawing, font = 'sans-serif'): string {
  const { width, height, floorY, mat, grid, shapes, measures, numbers, labels } = drawing
  const parts = [
    ...(mat === undefined ? [] : [path(mat, { fill: '#e6e6e6', stroke: '#b9b9b9' })]),
    ...grid.flatMap(({ y, text }) => [
      path(`M${String(text.length * 7 + 10)} ${String(y)}H${String(width)}`, { stroke: paper.level }),
      words(text, { x: 6, y: y + 4, font, fill: paper.soft }),
    ]),
    ...(floorY === undefined
      ? []
      : [path(`M0 ${String(floorY)}H${String(width)}`, { stroke: paper.floor, 'stroke-width': 2 })]),
    ...shapes.map((shape) => path(shape.path, inkOf(shape))),
    ...measures.map((line) => path(line.path, { stroke: paper.soft, 'stroke-width': 1.2 })),
    ...numbers.flatMap(({ x, y, radius, text }) => [
      `<circle cx="${String(x)}" cy="${String(y)}" r="${String(radius)}" fill="#ffffff" stroke="${paper.ink}"/>`,
      words(text, { x, y: y + radius * 0.55, font, size: radius * 1.6, isMiddle: true }),
    ]),
    ...labels.flatMap(({ leader, box, text }) => [
      ...(leader
        ? [path(`M${at(leader[0])}L${at(leader[1])}`, { stroke: paper.soft, 'stroke-dasharray': '3 3' })]
        : []),
      words(text, { x: box.left + 2, y: box.bottom - 4, font }),
    ]),
  ]
  const [w, h] = [String(width), String(height)]
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${w} ${h}" width="${w}" height="${h}">${parts.join('')}</svg>`
}

type Ink = Readonly<
  Partial<
    Record<
      'fill' | 'stroke' | 'stroke-width' | 'stroke-dasharray' | 'opacity' | 'stroke-linecap' | 'stroke-linejoin',
      string | number
    >
  >
>

const at = ({ x, y }: { readonly x: number; readonly y: number }): string => `${String(x)} ${String(y)}`

const path = (d: string, ink: Ink): string =>
  `<path d="${d}" ${Object.entries({ fill: 'none', ...ink })
    .map(([name, value]) => `${name}="${String(value)}"`)
    .join(' ')}/>`

/** What each kind of shape is painted with. */
function inkOf({ is, tone, kind }: DrawnShape): Ink {
  switch (is) {
    case 'flesh':
      return { fill: tone === 'near' || tone === 'far' ? paper.flesh[tone] : paper.flesh.usual }
    case 'hair':
      return { fill: paper.hair }
    case 'prop':
      return { fill: paper.props[(kind && materials[kind]) ?? 'blanket'], stroke: paper.line }
    case 'edge':
    case 'mark':
      return { stroke: paper.onBody, 'stroke-width': 1.1, 'stroke-linecap': 'round', 'stroke-linejoin': 'round' }
    case 'seam':
      return { stroke: paper.line, 'stroke-width': 0.7, opacity: 0.55 }
    case 'through':
      return { stroke: paper.line, 'stroke-dasharray': '4 4', opacity: 0.6 }
    case 'frame':
    case 'strap':
      return { stroke: paper.line, 'stroke-width': 2.5 }
    case 'wall':
      return { stroke: paper.line, 'stroke-width': 5 }
  }
}

interface Written {
  readonly x: number
  readonly y: number
  readonly font: string
  readonly size?: number
  readonly fill?: string
  readonly isMiddle?: boolean
}

const escaped = (text: string): string => text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;')

const words = (text: string, { x, y, font, size = 14, fill = paper.ink, isMiddle = false }: Written): string =>
  `<text x="${String(x)}" y="${String(y)}" font-family="${font}" font-size="${String(size)}" font-weight="bold" fill="${fill}"${
    isMiddle ? ' text-anchor="middle"' : ''
  }>${escaped(text)}</text>`
