import type { PropKind } from '#model/prop'
import type { FoldOp, PlacedItem, PropTurn, SetUpItem } from '#model/set-up'
import { heightsOf } from '#core/figure'
import type { ElevationInput } from '#core/figure'
import { isUnder } from '#core/props'
import { assess } from './comfort.ts'
import type { ComfortFinding, Wish } from './rule.ts'

/** One change of a set-up, and the items after it. */
export interface Mend {
  readonly does: 'kind' | 'fold' | 'turn' | 'count' | 'add' | 'remove'
  /** The item as it is afterwards; the one taken away for `remove`. */
  readonly item: PlacedItem
  readonly items: readonly SetUpItem[]
}

export interface MendInput extends ElevationInput {
  /** The folds there are to choose from, each as its operations. */
  readonly folds: readonly (readonly FoldOp[])[]
}

const turns: readonly PropTurn[] = ['flat', 'side', 'lengthwise', 'crosswise']
/** What can lie in the place of a kind, turned the same way. */
const instead: Readonly<Partial<Record<PropKind, readonly PropKind[]>>> = {
  roundBolster: ['rectBolster'],
  rectBolster: ['roundBolster'],
  foamBlock: ['corkBlock'],
  corkBlock: ['foamBlock'],
}
/** How many changes are tried out before it is given up. */
const mostTried = 24

/**
 * The smallest single change that makes a finding go and brings no new one that counts: of all folds, turns and counts
 * of what lies under the part, and a blanket more or less, the one whose height differs least. Undefined where none does.
 */
export function mendOf(finding: ComfortFinding, input: MendInput): Mend | undefined {
  if (!finding.wish) return undefined
  const { part, wants } = finding.wish
  const heightFor = (items: readonly SetUpItem[]): number => {
    const piles = heightsOf({ ...input, items })
    return piles.ok ? (piles.value.find((pile) => pile.part === part)?.height ?? 0) : NaN
  }
  const now = heightFor(input.items)
  const counted = new Set(
    assess(input)
      .findings.filter(({ grade }) => grade !== 'tip')
      .map(({ code }) => code),
  )
  const tries = changes(finding.wish, input)
    .map((mend) => ({ mend, by: heightFor(mend.items) - now }))
    .filter(({ by }) => Number.isFinite(by) && (wants === 'higher' ? by > 0.2 : wants === 'lower' ? by < -0.2 : true))
    .sort((a, b) => Math.abs(a.by) - Math.abs(b.by) || Number(a.mend.does === 'add') - Number(b.mend.does === 'add'))
    .slice(0, mostTried)
  return tries.find(({ mend }) => {
    const after = assess({ ...input, items: mend.items }).findings
    return after.every(({ code, grade }) => code !== finding.code && (grade === 'tip' || counted.has(code)))
  })?.mend
}

function changes({ part, wants }: Wish, { items, kinds, folds }: MendInput): readonly Mend[] {
  const under = items.filter((item) => isUnder(item, kinds)).filter((item) => item.under === part)
  const put = (item: PlacedItem, does: Mend['does']): Mend => ({
    does,
    item,
    items: items.map((one) => (one.id === item.id ? item : one)),
  })
  const changed = under.flatMap((item): Mend[] => {
    const { shape, rank } = kinds[item.kind]
    const step = item.piles ?? 1
    const counts = [item.count + step, item.count - step].filter((count) => count >= step && count <= 20)
    return [
      ...(shape === 'sheet'
        ? folds
            .filter((ops) => JSON.stringify(ops) !== JSON.stringify(item.folds ?? []))
            .map((ops) => put({ ...item, folds: [...ops] }, 'fold'))
        : []),
      ...(shape === 'box' && rank < 2
        ? turns
            .filter((turn) => turn !== item.turn && (rank === 0 || turn === 'lengthwise' || turn === 'crosswise'))
            .map((turn) => put({ ...item, turn }, 'turn'))
        : []),
      ...counts.map((count) => put({ ...item, count }, 'count')),
      ...(instead[item.kind] ?? []).map((kind) => put({ ...item, kind }, 'kind')),
      // Where nothing would be left under the part, taking it away mends nothing.
      ...((wants === 'lower' || wants === 'steadier') && under.length > 1
        ? [{ does: 'remove' as const, item, items: items.filter(({ id }) => id !== item.id) }]
        : []),
    ]
  })
  if (wants === 'lower' || wants === 'steadier') return changed
  const piles =
    under.find((item) => item.piles === 2) || (under.length === 0 && (part === 'arms' || part === 'knees')) ? 2 : 1
  const added = folds
    .filter((ops) => ops.length > 0)
    .map((ops): Mend => {
      const item: PlacedItem = {
        id: freeId(items),
        kind: 'blanket',
        count: piles,
        under: part,
        folds: [...ops],
        ...(piles === 2 ? { piles: 2 } : {}),
      }
      const last = items.findLastIndex((one) => one.under === part)
      const at = last < 0 ? items.length : last + 1
      return { does: 'add', item, items: [...items.slice(0, at), item, ...items.slice(at)] }
    })
  return [...changed, ...added]
}

/** An id no item has yet. */
export function freeId(items: readonly Pick<SetUpItem, 'id'>[]): string {
  const taken = new Set(items.map(({ id }) => id))
  let at = items.length + 1
  while (taken.has(`i${String(at)}`)) at += 1
  return `i${String(at)}`
}
