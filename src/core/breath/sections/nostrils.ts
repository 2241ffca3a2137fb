import type { Side } from '#model/common'
import type { HalfBreath, Nostrils } from '#model/section'

const half = (does: HalfBreath['does'], through: HalfBreath['through']): HalfBreath => ({ does, through })

/** The lists that ship [breath book 1]; one nostril is breathed in through, and out through the other. */
const shippedLists = {
  alternate: [half('in', 'left'), half('out', 'right'), half('in', 'right'), half('out', 'left')],
  inLeft: [half('in', 'left'), half('out', 'right')],
  inRight: [half('in', 'right'), half('out', 'left')],
  outInTurn: [half('in', 'both'), half('out', 'left'), half('in', 'both'), half('out', 'right')],
} as const satisfies Readonly<Record<string, readonly HalfBreath[]>>

const otherSide = { left: 'right', right: 'left', both: 'both' } as const

/** A list of nostrils as its half-breaths, beginning on a side where one is said. */
export function halfBreathsOf(nostrils: Nostrils, first?: Side): readonly HalfBreath[] {
  const list = typeof nostrils === 'string' ? shippedLists[nostrils] : nostrils
  const begins = list.find(({ through }) => through !== 'both')?.through
  if (first === undefined || begins === undefined || begins === first) return list
  return list.map(({ does, through }) => half(does, otherSide[through]))
}
