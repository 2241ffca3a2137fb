/** What is measured and told in a picture; without it the figure stands alone. */
const told = '.measure, .told, .levels'
/** How many px of a saved picture one of the screen's is. */
const pngScale = 3
/** Whoever opens the file may not have the font: another without serifs stands in. */
const fonts = "'Ysabeau Office Variable', 'Ysabeau Office', sans-serif"

/** The ink of a shape or a text as the page shows it. */
function inkOf(element: Element) {
  const style = getComputedStyle(element)
  return {
    fill: style.fill,
    stroke: style.stroke,
    width: parseFloat(style.strokeWidth) || 0,
    dashes: style.strokeDasharray === 'none' ? [] : style.strokeDasharray.split(',').map(parseFloat),
    opacity: parseFloat(style.opacity),
    font: `${style.fontWeight} ${style.fontSize} ${fonts}`,
    weight: style.fontWeight,
    size: style.fontSize,
  }
}

/** What is painted of a figure, in its order. */
const paintedIn = (svg: SVGSVGElement, withMeasures: boolean): Element[] =>
  [...svg.querySelectorAll('path, text, circle')].filter((element) => withMeasures || !element.closest(told))

/** A figure as it stands on the page, as an SVG document that needs nothing else. */
export function figureAsSvg(svg: SVGSVGElement, withMeasures: boolean): string {
  const file = document.implementation.createDocument('http://www.w3.org/2000/svg', 'svg')
  const root = file.documentElement
  const { width, height } = svg.viewBox.baseVal
  root.setAttribute('viewBox', `0 0 ${String(width)} ${String(height)}`)
  root.setAttribute('role', 'img')
  const title = file.createElementNS(root.namespaceURI, 'title')
  title.textContent = svg.getAttribute('aria-label')
  root.append(title)
  for (const element of paintedIn(svg, withMeasures)) {
    const copy = file.createElementNS(root.namespaceURI, element.tagName)
    for (const name of ['d', 'x', 'y', 'cx', 'cy', 'r', 'text-anchor']) {
      const value = element.getAttribute(name)
      if (value !== null) copy.setAttribute(name, value)
    }
    const { fill, stroke, width: wide, dashes, opacity, weight, size } = inkOf(element)
    copy.setAttribute('fill', fill)
    if (stroke !== 'none') {
      copy.setAttribute('stroke', stroke)
      copy.setAttribute('stroke-width', String(wide))
      copy.setAttribute('stroke-linejoin', 'round')
      copy.setAttribute('stroke-linecap', 'round')
    }
    if (dashes.length > 0) copy.setAttribute('stroke-dasharray', dashes.join(' '))
    if (opacity < 1) copy.setAttribute('opacity', String(opacity))
    if (element.tagName === 'text') {
      copy.setAttribute('font-family', fonts)
      copy.setAttribute('font-size', size)
      copy.setAttribute('font-weight', weight)
      copy.setAttribute('paint-order', 'stroke')
      copy.textContent = element.textContent
    }
    root.append(copy)
  }
  return new XMLSerializer().serializeToString(file)
}

/** The same as a PNG, painted path by path: the page may not turn an SVG into an image. Undefined where it cannot. */
export async function figureAsPng(svg: SVGSVGElement, withMeasures: boolean): Promise<Blob | undefined> {
  const canvas = document.createElement('canvas')
  const { width, height } = svg.viewBox.baseVal
  canvas.width = width * pngScale
  canvas.height = height * pngScale
  const context = canvas.getContext('2d')
  if (!context) return undefined
  context.scale(pngScale, pngScale)
  context.lineJoin = 'round'
  context.lineCap = 'round'
  for (const element of paintedIn(svg, withMeasures)) paint(context, element)
  return new Promise((settle) => {
    canvas.toBlob((blob) => {
      settle(blob ?? undefined)
    }, 'image/png')
  })
}

function paint(context: CanvasRenderingContext2D, element: Element): void {
  const { fill, stroke, width, dashes, opacity, font } = inkOf(element)
  context.globalAlpha = opacity
  context.fillStyle = fill === 'none' ? 'transparent' : fill
  context.strokeStyle = stroke
  context.lineWidth = width
  context.setLineDash(dashes)
  const number = (name: string): number => Number(element.getAttribute(name))
  if (element.tagName === 'text') {
    context.font = font
    context.textAlign = element.getAttribute('text-anchor') === 'middle' ? 'center' : 'left'
    const text = element.textContent
    if (stroke !== 'none') context.strokeText(text, number('x'), number('y'))
    context.fillText(text, number('x'), number('y'))
    return
  }
  const path = new Path2D(element.getAttribute('d') ?? undefined)
  if (element.tagName === 'circle') path.arc(number('cx'), number('cy'), number('r'), 0, 2 * Math.PI)
  if (fill !== 'none') context.fill(path)
  if (stroke !== 'none') context.stroke(path)
}
