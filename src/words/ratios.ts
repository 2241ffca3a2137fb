import type { RatioCode } from '#core/breath'

interface Refused {
  readonly code: RatioCode
  readonly extra?: Readonly<Record<string, unknown>> | undefined
}

/** Why a typed ratio is none, and what to type. */
export function ratioMend({ code, extra }: Refused): string {
  switch (code) {
    case 'NOT_A_RATIO':
      return 'Type two to four numbers, like 4:6, 1:4:2 of 4 or 4:4:8:0.'
    case 'PART_NOT_ABOVE_ZERO':
      return `Breathing ${extra?.['part'] === 'out' ? 'out' : 'in'} takes at least half a count.`
    case 'NOT_WHOLE_HALF_COUNTS': {
      const nearest = Array.isArray(extra?.['nearest']) ? extra['nearest'].map(String) : []
      const bases = nearest.length === 0 ? 'Another ratio does.' : `A base of ${nearest.join(' or ')} does.`
      return `That does not come to whole half-counts. ${bases}`
    }
    case 'OUT_OF_RANGE':
      return 'A part has at most 64 counts.'
  }
}
