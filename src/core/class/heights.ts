import type { FoldOp, SetUpItem } from '#model/set-up'
import { assess, mendOf } from '#core/comfort'
import type { ComfortFinding, Mend } from '#core/comfort'
import type { ElevationInput, Who } from '#core/figure'
import type { PropSpecs } from '#core/props'
import { figureIn, isSame } from '#core/session'
import type { Catalog, Resolved } from '#core/session'
import type { Centimetres } from '#core/units'

/** A set-up as it lies for somebody's height. */
export interface Fitted {
  /** What is changed for them, one after another; none where it lies as it is planned. */
  readonly mends: readonly Mend[]
  /** All they have there, from the floor up. */
  readonly items: readonly SetUpItem[]
  /** What their height brings and no change mends. */
  readonly left: readonly ComfortFinding[]
}

/** Those of a class whom a set-up fits alike: as it is planned, or with the same changes. */
export interface ForHeight extends Fitted {
  readonly blockId: string
  readonly who: readonly string[]
  readonly leastCm: Centimetres
  readonly mostCm: Centimetres
}

export interface ForHeightsInput {
  readonly blocks: readonly Resolved[]
  /** Those who come whose height is noted. */
  readonly bodies: readonly { readonly id: string; readonly who: Who }[]
  /** Who lies on something else in a block. */
  readonly elsewhere: readonly { readonly blockId: string; readonly who: readonly string[] }[]
  readonly catalog: Pick<Catalog, 'poses' | 'ownPoses'>
  readonly kinds: PropSpecs
  /** The folds there are to choose from. */
  readonly folds: readonly (readonly FoldOp[])[]
  /** For whom the set-ups are planned. */
  readonly usual: Who
}

/** How many changes a set-up takes for one height before it is left as it is. */
const mostMends = 2

/**
 * The set-ups of a class for the heights of those who come, block by block, the planned first. Only what somebody's own
 * body brings is mended, with the smallest changes that do: what a set-up wants for everybody is told where it is planned.
 */
export function forHeights(input: ForHeightsInput): readonly ForHeight[] {
  return input.blocks.flatMap((block) => {
    const figure = figureIn(block, input.catalog)
    const items = 'setUp' in block ? block.setUp?.value.items : undefined
    if (!figure || !items || items.length === 0) return []
    const blockId = block.block.id
    const away = new Set(input.elsewhere.flatMap((one) => (one.blockId === blockId ? one.who : [])))
    const asked = { figure, items, kinds: input.kinds, folds: input.folds }
    const known = new Set(counted({ ...asked, who: input.usual }).map(({ code }) => code))
    const fitted = new Map<string, Fitted>()
    const groups: ForHeight[] = []
    for (const { id, who } of input.bodies) {
      if (away.has(id)) continue
      const body = JSON.stringify(who)
      const found = fitted.get(body) ?? fitTo({ ...asked, who }, known)
      fitted.set(body, found)
      const cm = who.statureCm
      const at = groups.findIndex((group) => isSame(group.items, found.items) && sameCodes(group.left, found.left))
      const group = groups[at]
      if (group) {
        groups[at] = {
          ...group,
          ...{ who: [...group.who, id], leastCm: Math.min(group.leastCm, cm), mostCm: Math.max(group.mostCm, cm) },
        }
      } else groups.push({ blockId, who: [id], leastCm: cm, mostCm: cm, ...found })
    }
    return groups.sort((a, b) => a.mends.length - b.mends.length || a.left.length - b.left.length)
  })
}

type Asked = ElevationInput & Pick<ForHeightsInput, 'folds'>

/** One set-up for several bodies, in their order: only what a body brings beyond what `who` it is planned for has is mended. */
export function fittedTo(planned: Asked, bodies: readonly Who[]): readonly Fitted[] {
  const known = new Set(counted(planned).map(({ code }) => code))
  return bodies.map((who) => fitTo({ ...planned, who }, known))
}

const counted = (input: ElevationInput): readonly ComfortFinding[] =>
  assess(input).findings.filter(({ grade }) => grade !== 'tip')
const sameCodes = (a: readonly ComfortFinding[], b: readonly ComfortFinding[]): boolean =>
  isSame(
    a.map(({ code }) => code),
    b.map(({ code }) => code),
  )

/** A set-up changed for a body until nothing is left that is not found for everybody, or no change mends it. */
function fitTo(input: Asked, known: ReadonlySet<string>): Fitted {
  const brought = (items: readonly SetUpItem[]) => counted({ ...input, items }).filter(({ code }) => !known.has(code))
  let found: Fitted = { mends: [], items: input.items, left: brought(input.items) }
  while (found.left.length > 0 && found.mends.length < mostMends) {
    const here = { ...input, items: found.items }
    const mend = found.left.map((finding) => mendOf(finding, here)).find((one) => one !== undefined)
    if (!mend) break
    found = { mends: [...found.mends, mend], items: mend.items, left: brought(mend.items) }
  }
  return found
}
