import type { SubstituteTaken } from '#model/planned-class'
import type { HouseThing } from '#model/substitute'
import { substitutes } from '#library/substitutes'
import { countedProp, propNames } from './props.ts'

const houseNames: Readonly<Record<HouseThing, readonly [one: string, many: string]>> = {
  coat: ['coat or shawl', 'coats or shawls'],
  riceBag: ['bag of rice', 'bags of rice'],
}

type Instead = Pick<SubstituteTaken, 'way' | 'replaced' | 'who'>

/** What somebody has in place of a set-up, as in “2 blankets for the bolster”. */
export function insteadWords({ way, replaced }: Omit<Instead, 'who'>): string {
  switch (way) {
    case 'few':
      return 'with few props'
    case 'household':
      return 'with what a house has'
    case 'none':
      return 'without props'
    case 'substitutes':
      return replaced.map(replacedWords).join(', ')
  }
}

function replacedWords({ kind, by, n }: SubstituteTaken['replaced'][number]): string {
  const what = n === 1 ? `the ${propNames[kind].one}` : countedProp(kind, n)
  if (by === 'nothing') return `without ${what}`
  const each = substitutes.find((row) => row.kind === kind && row.by === by)?.n ?? 1
  if (by === 'coat' || by === 'riceBag')
    return `${String(n * each)} ${houseNames[by][n * each === 1 ? 0 : 1]} for ${what}`
  return `${countedProp(by, n * each)} for ${what}`
}

/** The same, with how many have it: never who. */
export const takenWords = (taken: Instead, count: number): string =>
  taken.who === undefined || taken.who.length >= count
    ? `all: ${insteadWords(taken)}`
    : `${String(taken.who.length)} of ${String(count)}: ${insteadWords(taken)}`

/** How much is lost by it. */
export const lossWords = (penalty: number): string =>
  penalty === 0 ? 'as good' : penalty <= 1 ? 'a little less' : penalty <= 3 ? 'less' : 'much less'
