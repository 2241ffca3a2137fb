import { amiss, refused } from '#core/result'
import type { Checked } from '#core/result'
import { calculated } from './calculated.ts'
import type { Calculated } from './calculated.ts'

/** How a material gives: it never loses more than `cMax` of its height; half of that at `p50` kPa. */
export interface Material {
  readonly cMax: number
  readonly p50: number
}

/** Compression of the usual materials [formula book 3; estimates, to be calibrated]. */
export const materials: Readonly<Record<string, Material>> = {
  foamBlock: { cMax: 0.1, p50: 30 },
  cork: { cMax: 0.02, p50: 100 },
  blanket: { cMax: 0.45, p50: 3 },
  blanketRoll: { cMax: 0.35, p50: 5 },
  boltRound: { cMax: 0.35, p50: 6 },
  boltRect: { cMax: 0.3, p50: 8 },
  cushion: { cMax: 0.5, p50: 8 },
  halfMoon: { cMax: 0.25, p50: 5 },
  ring: { cMax: 0.5, p50: 2 },
  longPillow: { cMax: 0.7, p50: 1 },
  towel: { cMax: 0.4, p50: 3 },
  mattress: { cMax: 0.35, p50: 6 },
  sandbag: { cMax: 0.1, p50: 5 },
  eyePillow: { cMax: 0.4, p50: 3 },
  rigid: { cMax: 0, p50: 1 },
}

export interface StackLayer {
  readonly material: string
  /** Loose thickness of one piece, cm. */
  readonly t: number
  readonly n?: number
  readonly footprintCm2?: number
}

export interface StackHeightInput {
  /** Bottom to top. */
  readonly layers: readonly StackLayer[]
  readonly loadKg: number
  readonly contactCm2: number
  /** Materials that were calibrated stand before the usual ones. */
  readonly own?: Readonly<Record<string, Material>>
}

const gravity = 9.81

/** Pressure in kPa of a mass in kg on an area in cm². */
const pressure = (loadKg: number, areaCm2: number): number => (10 * loadKg * gravity) / areaCm2

const materialOf = (known: Readonly<Record<string, Material>>, material: string): Material | undefined =>
  Object.hasOwn(known, material) ? known[material] : undefined

/** Share of its height a material loses under a pressure. */
const lost = ({ cMax, p50 }: Material, kPa: number): number => (cMax * kPa) / (kPa + p50)

/** The height of a stack under a body, and of each of its layers, in cm [formula book 3]. `UNKNOWN_MATERIAL`. */
export function stackHeight({
  layers,
  loadKg,
  contactCm2,
  own = {},
}: StackHeightInput): Calculated<{ readonly height: number; readonly parts: readonly number[] }> {
  const numbers = layers.flatMap(({ t, n = 1, footprintCm2 = 1 }, at): Checked[] => [
    [`layers[${String(at)}].t`, t, 0],
    [`layers[${String(at)}].n`, n, 0],
    ['areaCm2', footprintCm2, Number.MIN_VALUE],
  ])
  const bad = amiss([['loadKg', loadKg, 0, 250], ['areaCm2', contactCm2, Number.MIN_VALUE], ...numbers])
  if (bad) return bad
  const parts: number[] = []
  for (const { material, t, n = 1, footprintCm2 = contactCm2 } of layers) {
    const gives = materialOf(own, material) ?? materialOf(materials, material)
    if (!gives) return refused('UNKNOWN_MATERIAL', 'material')
    parts.push(n * t * (1 - lost(gives, pressure(loadKg, Math.min(contactCm2, footprintCm2)))))
  }
  return calculated({ height: parts.reduce((sum, part) => sum + part, 0), parts })
}

export interface CalibrateInput {
  readonly p50: number
  readonly looseH: number
  readonly loadedH: number
  readonly loadKg: number
  readonly contactCm2: number
}

const mostLost = 0.9

/** A material as it was measured, loose and under a known load: its `p50` is kept, `cMax` follows [formula book 3]. */
export function calibrate({ p50, looseH, loadedH, loadKg, contactCm2 }: CalibrateInput): Calculated<Material> {
  const least = Number.MIN_VALUE
  const bad = amiss([
    ['p50', p50, least],
    ['looseH', looseH, least],
    ['loadedH', loadedH, 0, looseH],
    ['loadKg', loadKg, least, 250],
    ['areaCm2', contactCm2, least],
  ])
  if (bad) return bad
  const kPa = pressure(loadKg, contactCm2)
  const share = 1 - loadedH / looseH
  return calculated({ p50, cMax: Math.min(mostLost, Math.max(0, (share * (kPa + p50)) / kPa)) })
}
