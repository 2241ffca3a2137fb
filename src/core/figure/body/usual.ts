import { mapRecord } from '#core/units'
import type { Figure } from '#model/figure'

/** What a pose leaves to the usual: angles in degrees, the heels' distance from the sit bones in cm. */
export interface Usual {
  readonly legRaiseDeg: number
  readonly abductionDeg: number
  readonly heelGapCm: number
  readonly thighUpDeg: number
  readonly hipFlexDeg: number
  readonly roundDeg: number
}

/** Comfortable for most people [estimates]. */
const common: Usual = { legRaiseDeg: 80, abductionDeg: 62, heelGapCm: 20, thighUpDeg: 5, hipFlexDeg: 105, roundDeg: 30 }

const byKind: Readonly<Partial<Record<Figure['kind'], Partial<Usual>>>> = {
  // Sitting, the legs' own weight brings the knees lower.
  seated: { abductionDeg: 74 },
  chair: { hipFlexDeg: 125, roundDeg: 25 },
  standing: { hipFlexDeg: 130, roundDeg: 35 },
}

type Said = { readonly [Name in keyof Usual]?: number | undefined } & {
  readonly kind: Figure['kind']
  readonly heelGapMm?: number | undefined
}

/** The usual for a kind of figure, with what the pose says in its place. */
export function usualOf(figure: Figure): Usual {
  // With the knees bent and out the hamstrings are slack, and the hips fold further.
  const isBent = figure.kind === 'seated' && (figure.legs === 'bound' || figure.legs === 'crossed')
  const usual = { ...common, ...byKind[figure.kind], ...(isBent ? { hipFlexDeg: 122 } : {}) }
  const said: Said = figure
  const heelGapCm = said.heelGapMm === undefined ? undefined : said.heelGapMm / 10
  return mapRecord(usual, (value, name) => (name === 'heelGapCm' ? heelGapCm : said[name]) ?? value)
}
