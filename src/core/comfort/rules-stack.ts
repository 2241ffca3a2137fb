import type { BodyPart } from '#model/set-up'
import { isLengthwise, isPlaced, isSeat, usualMassKg } from '#core/props'
import type { LoadedPiece, Pile } from '#core/props'
import { tenth } from './reading.ts'
import type { ComfortRuleFacts } from './facts.ts'
import type { FoundHere, Look, Rule } from './rule.ts'

/** How high a stack is for its narrow side [formula book 6]: by itself, and braced. */
const ratios = { stands: 1.5, braced: 2 } as const
const mostPieces = 4
const slack = 1e-9
/** Sandbags [formula book 6]: in kg, as a share of the body's mass, and where they may lie. */
const weights = { mostKg: 5, share: 0.08, parts: new Set<string>(['thighs', 'pelvis', 'feet']) } as const
/** Parts that bear something hard against them. */
const hardy: ReadonlySet<string> = new Set(['hands', 'feet', 'upperBack', 'lowBack'])
/** How much soft lies over whatever is rigid, cm loose [formula book 6]. */
const leastSoft = 2

/** What is rigid under too little that is soft; a chair's seat is wide and flat enough by itself. */
function hardUnder({ pieces }: Pile): LoadedPiece | undefined {
  const at = pieces.findLastIndex(({ rank }) => rank < 2)
  const hard = pieces[at]
  if (!hard || hard.rank > 0 || isSeat(hard)) return undefined
  return pieces.slice(at + 1).reduce((sum, { height }) => sum + height, 0) < leastSoft ? hard : undefined
}

/** A layer of a sheet under a body, cm [formula book 6, guards]. */
const layer = { least: 0.1, most: 3 } as const

const short = ({ along, across }: LoadedPiece): number => Math.min(along, across)

/**
 * What stands on itself in a pile: without a chair, which is a base by itself, and without a long support that lies
 * on its block and leans on the floor.
 */
function standing({ elevation }: Look, { part, pieces }: Pile): readonly LoadedPiece[] {
  const leans = part === 'upperBack' && elevation.slope !== undefined
  return pieces.filter((piece) => !isSeat(piece) && piece.leanDeg === undefined && !(leans && isLengthwise(piece)))
}

function ratioOf(pieces: readonly LoadedPiece[]): number {
  const firm = pieces.filter(({ rank }) => rank <= 1)
  const narrow = Math.min(...(firm.length > 0 ? firm : pieces).map(short))
  return pieces.reduce((sum, { loaded }) => sum + loaded, 0) / narrow
}

/** The first pile in which something is found, with its part. */
const inPiles =
  <Code extends keyof ComfortRuleFacts>(
    find: (pieces: readonly LoadedPiece[], pile: Pile, look: Look) => FoundHere<Code> | undefined | false,
  ) =>
  (look: Look): FoundHere<Code> | undefined => {
    for (const pile of look.elevation.piles) {
      const pieces = standing(look, pile)
      const found = pieces.length > 0 && find(pieces, pile, look)
      if (found) return { part: pile.part, ...found }
    }
    return undefined
  }

const isOnEnd = ({ rank, height, along, across }: LoadedPiece): boolean =>
  rank === 0 && height > Math.max(along, across)

export const stackRules: readonly Rule[] = [
  {
    code: 'STACK_TALL',
    grade: 'must',
    find: inPiles<'STACK_TALL'>((pieces, { part }, look) => {
      const ratio = ratioOf(pieces)
      // A block on its end under a bolster that leans on it has its own rule.
      const carriesSlope = part === 'upperBack' && look.elevation.slope !== undefined
      if (carriesSlope || ratio <= ratios.stands + slack) return undefined
      return {
        ...(ratio > ratios.braced + slack ? {} : { grade: 'look' as const }),
        facts: {
          heightCm: tenth(pieces.reduce((sum, { loaded }) => sum + loaded, 0)),
          narrowCm: tenth(
            Math.min(
              ...pieces
                .filter(({ rank }) => rank <= 1)
                .concat(pieces.every(({ rank }) => rank > 1) ? pieces : [])
                .map(short),
            ),
          ),
          ratio: tenth(ratio),
          most: ratio > ratios.braced + slack ? ratios.braced : ratios.stands,
        },
        wish: { part, wants: 'steadier' },
      }
    }),
  },
  {
    code: 'STACK_ORDER',
    grade: 'look',
    find: inPiles<'STACK_ORDER'>((pieces, { part }) => {
      const at = pieces.findIndex((upper, index) => index > 0 && upper.rank < (pieces[index - 1]?.rank ?? 0))
      const [lower, upper] = [pieces[at - 1], pieces[at]]
      return (
        upper !== undefined &&
        lower !== undefined && {
          facts: { upper: upper.kind, lower: lower.kind },
          wish: { part, wants: 'steadier' },
        }
      )
    }),
  },
  {
    code: 'ON_ROUND',
    grade: 'look',
    find: inPiles<'ON_ROUND'>((pieces, { part }) => {
      const upper = pieces.find(({ rank }, index) => rank <= 1 && (pieces[index - 1]?.round ?? false))
      return upper !== undefined && { facts: { upper: upper.kind }, wish: { part, wants: 'steadier' } }
    }),
  },
  {
    code: 'STACK_MANY',
    grade: 'look',
    find: inPiles<'STACK_MANY'>(
      (pieces, { part }) =>
        pieces.length > mostPieces && {
          facts: { pieces: pieces.length, most: mostPieces },
          wish: { part, wants: 'steadier' },
        },
    ),
  },
  {
    code: 'BLOCK_ON_END',
    grade: 'look',
    find: inPiles<'BLOCK_ON_END'>((pieces, { part }, look) => {
      const carriesSlope = part === 'upperBack' && look.elevation.slope !== undefined
      return pieces.some(isOnEnd) && { facts: { slope: carriesSlope }, wish: { part, wants: 'steadier' } }
    }),
  },
  {
    code: 'RIGID_CONTACT',
    grade: 'look',
    find: (look) => {
      const [bare] = look.elevation.piles.flatMap((pile) => {
        const hard = hardy.has(pile.part) ? undefined : hardUnder(pile)
        return hard ? [{ part: pile.part, kind: hard.kind }] : []
      })
      return (
        bare && {
          part: bare.part,
          facts: { kind: bare.kind, softCm: leastSoft },
          wish: { part: bare.part, wants: 'softer' },
        }
      )
    },
  },
  {
    code: 'SANDBAG_HEAVY',
    grade: 'must',
    find: ({ items, kinds, who }) => {
      const most = Math.min(weights.mostKg, weights.share * (who.massKg ?? usualMassKg(who.statureCm)))
      const byPart = new Map<BodyPart, number>()
      for (const { kind, count, under, lies } of items.filter(isPlaced))
        if (kind === 'sandbag' && lies === 'over')
          byPart.set(under, (byPart.get(under) ?? 0) + count * (kinds.sandbag.massKg ?? 0))
      const heavy = [...byPart].find(([, kg]) => kg > most + slack)
      return heavy && { facts: { kg: tenth(heavy[1]), mostKg: tenth(most), part: heavy[0] } }
    },
  },
  {
    code: 'SANDBAG_PLACE',
    grade: 'must',
    find: ({ items }) => {
      const wrong = items
        .filter(isPlaced)
        .find(({ kind, lies, under }) => kind === 'sandbag' && lies === 'over' && !weights.parts.has(under))
      return wrong && { part: wrong.under, facts: {} }
    },
  },
  {
    code: 'LAYER_IMPOSSIBLE',
    grade: 'must',
    find: ({ items, kinds }) => {
      const odd = items
        .map(({ kind }) => kinds[kind])
        .find(
          ({ shape, loadedCm, heightCm }) =>
            shape === 'sheet' && ((loadedCm ?? heightCm) < layer.least || (loadedCm ?? heightCm) > layer.most),
        )
      return (
        odd && {
          facts: { kind: odd.kind, layerCm: odd.loadedCm ?? odd.heightCm, leastCm: layer.least, mostCm: layer.most },
        }
      )
    },
  },
  { code: 'FOLD_BULKY', grade: 'tip', find: ({ warnings }) => warnings.includes('FOLD_BULKY') && { facts: {} } },
  {
    code: 'ROLL_TOO_STIFF',
    grade: 'tip',
    find: ({ warnings }) => warnings.includes('ROLL_TOO_STIFF') && { facts: {} },
  },
]
