import { propCounts } from '#core/session'
import { keysOf } from '#core/units'
import type { PropKind, PropSpec } from '#model/prop'
import type { BodyPart, FoldOp, PropTurn, SetUpItem } from '#model/set-up'
import { namedFolds } from '#library/prop-kinds'
import type { FoldName } from '#library/prop-kinds'
import { counted } from './text.ts'

/** Props in teachers' words, one and many. */
export const propNames: Readonly<Record<PropKind, { readonly one: string; readonly many: string }>> = {
  roundBolster: { one: 'round bolster', many: 'round bolsters' },
  rectBolster: { one: 'bolster', many: 'bolsters' },
  foamBlock: { one: 'block', many: 'blocks' },
  corkBlock: { one: 'cork block', many: 'cork blocks' },
  blanket: { one: 'blanket', many: 'blankets' },
  seatCushion: { one: 'seat cushion', many: 'seat cushions' },
  halfMoonCushion: { one: 'half-moon cushion', many: 'half-moon cushions' },
  ringHeadRest: { one: 'ring head rest', many: 'ring head rests' },
  strap: { one: 'strap', many: 'straps' },
  chair: { one: 'chair', many: 'chairs' },
  sandbag: { one: 'sandbag', many: 'sandbags' },
  eyePillow: { one: 'eye pillow', many: 'eye pillows' },
  wall: { one: 'wall', many: 'walls' },
  mattress: { one: 'mattress', many: 'mattresses' },
  longPillow: { one: 'long pillow', many: 'long pillows' },
  towel: { one: 'towel', many: 'towels' },
  book: { one: 'book', many: 'books' },
  mat: { one: 'mat', many: 'mats' },
  belt: { one: 'belt', many: 'belts' },
  scarf: { one: 'scarf', many: 'scarves' },
  sofa: { one: 'sofa', many: 'sofas' },
  door: { one: 'door', many: 'doors' },
}

export const partNames: Readonly<Record<BodyPart, string>> = {
  head: 'Head',
  neck: 'Neck',
  upperBack: 'Upper back',
  lowBack: 'Low back',
  pelvis: 'Pelvis',
  belly: 'Belly',
  chest: 'Chest',
  arms: 'Arms',
  hands: 'Hands',
  thighs: 'Thighs',
  knees: 'Knees',
  shins: 'Shins',
  ankles: 'Ankles',
  feet: 'Feet',
  eyes: 'Eyes',
}

/** The parts from head to feet. Taken from their names, since the model's list would bring its schemas along. */
export const bodyParts: readonly BodyPart[] = keysOf(partNames)

/** The folds teachers name, in the order of their height. */
export const foldNames: Readonly<Record<FoldName, string>> = {
  open: 'open',
  single: 'single fold',
  longHalf: 'long half',
  quarter: 'double fold',
  longStrip: 'long strip',
  standard: 'standard fold',
  spinePad: 'spine pad',
  narrow: 'standard, half lengthwise',
  square: 'standard, half crosswise',
  spineAccordion: 'spine accordion',
  thirds: 'standard, thirds crosswise',
  thinRoll: 'long roll',
  roll: 'rolled',
  shortRoll: 'short roll',
}

const sameFolds = (a: readonly FoldOp[], b: readonly FoldOp[]): boolean => JSON.stringify(a) === JSON.stringify(b)

/** The name of a fold, undefined for one that teachers have no name for. */
export const foldNameOf = (folds: readonly FoldOp[]): FoldName | undefined =>
  keysOf(foldNames).find((name) => sameFolds(namedFolds[name], folds))

export const turnNames: Readonly<Record<PropTurn, string>> = {
  flat: 'flat',
  side: 'on its side',
  end: 'on its end',
  lengthwise: 'long way',
  crosswise: 'across',
  upturned: 'turned over, the back a slope',
}

/** How a kind can be turned; nothing where it makes no difference. */
function turnsOf({ kind, shape, rank }: PropSpec): readonly PropTurn[] {
  if (kind === 'chair') return ['flat', 'upturned']
  if (shape === 'sheet' || shape === 'cylinder') return ['crosswise', 'lengthwise']
  if (shape !== 'box') return []
  return rank === 0 ? ['flat', 'lengthwise', 'side', 'end'] : ['crosswise', 'lengthwise']
}

/** A block that lies flat the long way is still flat: the words say which way its long side goes. */
const turnWords = (turn: PropTurn, { kind, rank, shape }: PropSpec): string =>
  kind === 'chair' && turn === 'flat'
    ? 'on its feet'
    : turn === 'lengthwise' && rank === 0 && shape === 'box'
      ? 'flat, long way'
      : turnNames[turn]
export const turnChoices = (spec: PropSpec): readonly { readonly value: PropTurn; readonly words: string }[] =>
  turnsOf(spec).map((value) => ({ value, words: turnWords(value, spec) }))

/** A kind by its name alone where there is one of it. */
export const countedOrOne = (kind: PropKind, count: number): string =>
  count === 1 ? propNames[kind].one : countedProp(kind, count)

/** How many of a kind. */
export const countedProp = (kind: PropKind, count: number): string =>
  counted(count, propNames[kind].one, propNames[kind].many)

const liesNames: Readonly<Record<NonNullable<SetUpItem['lies']>, string>> = {
  over: 'laid over',
  around: 'round',
  between: 'between',
  behind: 'behind',
}

/** How a thing lies at a part, to be chosen. */
export const wayNames: Readonly<Record<'under' | NonNullable<SetUpItem['lies']>, string>> = {
  under: 'under it',
  over: 'laid over it',
  around: 'round it',
  between: 'between the two sides',
  behind: 'behind it',
}
export const heapNames: Readonly<Record<'1' | '2', string>> = { 1: 'in one heap', 2: 'a heap each side' }

/** How one or several are turned. */
const turnWordsOf = (turn: PropTurn, spec: PropSpec, count: number): string =>
  count > 1 ? (manyTurned[turn] ?? turnWords(turn, spec)) : turnWords(turn, spec)
const manyTurned: Partial<Record<PropTurn, string>> = { side: 'on their sides', end: 'on their ends' }

/** An item as it lies: how many of what, folded and turned how. */
export function itemWords({ kind, count, folds, turn, piles, lies }: SetUpItem, spec: PropSpec): string {
  const named = folds && foldNameOf(folds)
  const fold = !folds || folds.length === 0 ? '' : named ? foldNames[named] : `${String(folds.length)} folds`
  const turned = turn && turn !== defaultTurn(spec) ? turnWordsOf(turn, spec, count) : ''
  const each = piles === 2 ? (count === 2 ? 'one each side' : `${String(count / 2)} each side`) : ''
  return [countedProp(kind, count), fold, turned, each, lies ? liesNames[lies] : '']
    .filter((part) => part !== '')
    .join(', ')
}

/** The turn nobody needs to be told. */
export const defaultTurn = ({ kind, shape, rank }: PropSpec): PropTurn =>
  kind === 'chair' || (shape === 'box' && rank === 0) ? 'flat' : 'crosswise'

/** What a set-up takes, in one line. */
export function takesWords(items: readonly Pick<SetUpItem, 'kind' | 'count'>[]): string {
  return propCounts(items)
    .map(({ kind, count }) => countedOrOne(kind, count))
    .join(' · ')
}
