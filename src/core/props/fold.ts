import { amiss, refused } from '#core/result'
import type { Refused } from '#core/result'
import { calculated } from './calculated.ts'
import type { Calculated, CalculationCode } from './calculated.ts'

/** A fold or a roll of a blanket; `n` is the number of pleats of an accordion [formula book 2]. */
export type FoldOp =
  | { readonly op: 'halfL' | 'halfW' | 'thirdL' | 'thirdW' }
  | { readonly op: 'accordionL' | 'accordionW'; readonly n: number }
  | { readonly op: 'rollL' | 'rollW'; readonly packing?: number; readonly core?: number }

export interface FoldInput {
  /** The sheet's own two sides and its thickness, cm: loaded thickness for what lies under a body. */
  readonly L: number
  readonly W: number
  readonly t: number
  readonly ops: readonly FoldOp[]
}

export interface FoldedFlat {
  readonly roll: false
  readonly L: number
  readonly W: number
  readonly layers: number
  readonly height: number
}
export interface Rolled {
  readonly roll: true
  readonly layers: number
  readonly diameter: number
  readonly length: number
  readonly turns: number
}

/** How tight a hand-rolled blanket is: loose 0.80, firm 0.95. */
const handTight = 0.9
const fewestTurns = 1.5
const bulky = 1.5
const parts = { halfL: 2, halfW: 2, thirdL: 3, thirdW: 3 } as const

interface Sheet {
  readonly L: number
  readonly W: number
  readonly n: number
}

/**
 * A sheet folded and perhaps rolled: its footprint, layers and height, or its diameter [formula book 2].
 * `AFTER_ROLL` and `UNKNOWN_OP` name the operation, `FOLD_TOO_THICK` where it is too small for its thickness;
 * warns `FOLD_BULKY` and `ROLL_TOO_STIFF`.
 */
export function fold({ L, W, t, ops }: FoldInput): Calculated<FoldedFlat | Rolled> {
  const least = Number.MIN_VALUE
  const bad = amiss([
    ['L', L, least],
    ['W', W, least],
    ['t', t, least],
  ])
  if (bad) return bad
  let sheet: Sheet = { L, W, n: 1 }
  for (const [at, op] of ops.entries()) {
    const field = `ops[${String(at)}]`
    if (isRoll(op)) {
      const rolled = roll(sheet, t, op, field)
      return rolled.ok && at < ops.length - 1 ? refused('AFTER_ROLL', `ops[${String(at + 1)}]`) : rolled
    }
    const next = foldOnce(sheet, op, field)
    if ('ok' in next) return next
    if (Math.min(next.L, next.W) < next.n * t) return refused('FOLD_TOO_THICK', field)
    sheet = next
  }
  const height = sheet.n * t
  const isBulky = Math.min(sheet.L, sheet.W) < bulky * height
  return calculated({ roll: false, L: sheet.L, W: sheet.W, layers: sheet.n, height }, [isBulky && 'FOLD_BULKY'])
}

type RollOp = Extract<FoldOp, { op: 'rollL' | 'rollW' }>
const isRoll = (op: FoldOp): op is RollOp => op.op === 'rollL' || op.op === 'rollW'

function foldOnce({ L, W, n }: Sheet, op: Exclude<FoldOp, RollOp>, field: string): Sheet | Refused<CalculationCode> {
  const k = 'n' in op ? op.n : (parts as Readonly<Record<string, number>>)[op.op]
  const isKnown = op.op in parts || op.op === 'accordionL' || op.op === 'accordionW'
  if (!isKnown || k === undefined) return refused('UNKNOWN_OP', field)
  if (!Number.isFinite(k)) return refused('NOT_FINITE', field)
  if (!Number.isInteger(k) || k < 2 || k > 12) return refused('OUT_OF_RANGE', field)
  return op.op.endsWith('L') ? { L: L / k, W, n: n * k } : { L, W: W / k, n: n * k }
}

/** An equal-area spiral: what is rolled up keeps its volume at the packing's density. */
function roll(
  { L, W, n }: Sheet,
  t: number,
  { op, packing = handTight, core = 0 }: RollOp,
  field: string,
): Calculated<Rolled> {
  const bad = amiss([
    [field, packing, 0.5, 1],
    [field, core, 0],
  ])
  if (bad) return bad
  const [consumed, length] = op === 'rollL' ? [L, W] : [W, L]
  const strip = n * t
  const diameter = Math.sqrt(core ** 2 + (4 * consumed * strip) / (Math.PI * packing))
  const turns = (diameter - core) / ((2 * strip) / packing)
  return calculated({ roll: true, layers: n, diameter, length, turns }, [turns < fewestTurns && 'ROLL_TOO_STIFF'])
}
