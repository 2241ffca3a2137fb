import type { Place } from '#model/place'

export type LengthUnit = Place['lengthUnit']

const cmPerInch = 2.54
const trimmed = (value: number, digits: number): string => String(Number(value.toFixed(digits)))

/** A length without its unit: to half a centimetre, or to a quarter of an inch [formula book: display in 0.5 cm]. */
export const lengthNumber = (cm: number, unit: LengthUnit): string =>
  unit === 'in' ? trimmed(Math.round((cm / cmPerInch) * 4) / 4, 2) : trimmed(Math.round(cm * 2) / 2, 1)

/**
 * Lengths that lie on one another, each without its unit, so that what is shown adds up to what is shown of them all:
 * each is the difference of the rounded heights it ends and begins at.
 */
export function addingNumbers(cms: readonly number[], unit: LengthUnit): readonly string[] {
  const [size, grains, digits] = unit === 'in' ? [cmPerInch, 4, 2] : [1, 2, 1]
  let [height, shown] = [0, 0]
  return cms.map((cm) => {
    height += cm
    const ends = Math.round((height / size) * grains)
    const own = ends - shown
    shown = ends
    return trimmed(own / grains, digits)
  })
}

/** A length with its unit. */
export const lengthText = (cm: number, unit: LengthUnit): string => `${lengthNumber(cm, unit)} ${unit}`

/** A distance to keep from a wall: up to the next whole centimetre, or the next half inch, never less than it takes. */
export const wallDistanceText = (cm: number, unit: LengthUnit): string =>
  unit === 'in' ? `${trimmed(Math.ceil((cm / cmPerInch) * 2 - 1e-6) / 2, 1)} in` : `${String(Math.ceil(cm - 1e-6))} cm`

/** An angle to whole degrees. */
export const angleText = (degrees: number): string => `${String(Math.round(degrees))}°`
