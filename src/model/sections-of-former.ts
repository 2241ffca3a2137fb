import type { FormerBreathBlock } from './former-block.ts'
import type { Section } from './section.ts'

/** Its rounds were counted a breath each: since sections a round is both nostrils [settled A4]. */
const inTurn = {
  id: 'nostrils-in-turn',
  pattern: { in: 8, full: 0, out: 8, empty: 0 },
  pace: { num: 1000, den: 1 },
  amount: { sets: 1, roundsPerSet: 12 },
  restS: 60,
} as const

/** Techniques that schema 1 never counted: a pattern said nothing of them, and would now. */
const neverCounted: ReadonlySet<string> = new Set([
  'watching-the-breath',
  'belly-breath',
  'three-part-breath',
  'straw-exhale',
  'front-sides-back',
  'breath-in-steps',
  'audible-throat-breath',
  'single-nostril',
  'root-lock',
  'chin-lock',
  'belly-lock',
  'belly-pump',
  'short-exhales',
  'bellows-breath',
])

/** What a block of schema 1 was led as has no lead-in until it is edited [decisions]. */
const asBefore = { leadInS: 0, wayOutS: 0 } as const

/**
 * The sections a breath block of schema 1 meant, of the same length to the millisecond [settled A1]. What it left to its
 * technique its sections leave to it too.
 */
export function sectionsOfFormer(block: FormerBreathBlock): Section[] {
  const { naturalBeforeS = 0, naturalAfterS = 0 } = block
  const natural = (id: string, s: number): Section[] => (s === 0 ? [] : [{ kind: 'natural', id, s }])
  return [...natural('before', naturalBeforeS), ...middle(block), ...natural('after', naturalAfterS)]
}

function middle(block: FormerBreathBlock): Section[] {
  const { techniqueId, amount, pace, restBetweenSetsS: restS, countedRounds } = block
  const pattern = neverCounted.has(techniqueId) ? undefined : block.pattern
  if (amount && 'naturalS' in amount) return [{ kind: 'natural', id: 'breath', s: amount.naturalS, techniqueId }]
  if (techniqueId === inTurn.id) return nostrilsInTurn(block)
  return [
    {
      kind: 'rounds',
      id: 'breath',
      techniqueId,
      ...asBefore,
      ...given({ pattern, pace, amount, restS, countedRounds }),
    },
  ]
}

/** A breath that is left over in each set becomes natural breath of the same length. */
function nostrilsInTurn(block: FormerBreathBlock): Section[] {
  const { techniqueId, pattern, pace, restBetweenSetsS: restS, countedRounds } = block
  const { amount = inTurn.amount } = block
  if ('naturalS' in amount) return []
  const roundsPerSet = Math.floor(amount.roundsPerSet / 2)
  const shared = {
    kind: 'rounds' as const,
    id: 'breath',
    techniqueId,
    nostrils: 'alternate' as const,
    ...asBefore,
    ...given({
      pattern,
      pace,
      restS,
      countedRounds: countedRounds === undefined ? undefined : Math.ceil(countedRounds / 2),
    }),
  }
  if ('fillS' in amount)
    return [{ ...shared, amount: { fillS: amount.fillS, roundsPerSet: Math.max(1, roundsPerSet) } }]
  const rounds: Section[] =
    roundsPerSet === 0
      ? rests(techniqueId, (amount.sets - 1) * (restS ?? inTurn.restS))
      : [{ ...shared, amount: { sets: amount.sets, roundsPerSet } }]
  return amount.roundsPerSet % 2 === 0 ? rounds : [...rounds, leftOver(block, amount.sets, roundsPerSet)]
}

/** Where no whole round is left, what stood between the single breaths. */
const rests = (techniqueId: string, s: number): Section[] =>
  s === 0 ? [] : [{ kind: 'natural', id: 'breath', s, techniqueId }]

function leftOver(
  { techniqueId, pattern = inTurn.pattern, pace = inTurn.pace }: FormerBreathBlock,
  sets: number,
  roundsPerSet: number,
): Section {
  const halves = pattern.in + pattern.full + pattern.out + pattern.empty
  const like = { pattern, pace, afterHalf: sets * roundsPerSet * 2 * halves }
  return { kind: 'natural', id: 'left', techniqueId, breaths: sets, like }
}

/** Only the fields that were set. */
function given<T extends object>(fields: T): { [K in keyof T]?: Exclude<T[K], undefined> } {
  return Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined)) as {
    [K in keyof T]?: Exclude<T[K], undefined>
  }
}
