import type { Level } from '#model/common'
import type { NaturalSection } from '#model/section'
import type { Technique } from '#model/technique'
import type { Seconds } from '#core/units'
import type { Catalog } from '#core/session'
import type { ChooserWish, Pick } from './chooser.ts'
import { ranked } from './chooser-rank.ts'

/** The first breath takes a twentieth of the class, one to five minutes. */
const firstBreathShare = 1 / 20
const firstBreathS = { leastS: 60, mostS: 300 } as const
/** Counted breath is kept this short by level [cautions reference 3: new people 3 to 5 minutes]. */
const mostCountedS: Readonly<Record<Level, Seconds>> = { new: 300, regular: 480, experienced: 600 }
/** Natural breath between two techniques. */
const restBetweenS = 60

const fitForClass = ({ inPerson, strong }: Technique): boolean => !inPerson && !strong

/** The breath at the start of any session: uncounted, so that it asks nothing of anybody. */
export function firstBreath({ lengthS, variation }: ChooserWish, catalog: Catalog): Pick[] {
  const easy = [...catalog.techniques.values()].filter(
    (technique) => fitForClass(technique) && !technique.counted && technique.startsWhen.easy.length === 0,
  )
  const [technique] = ranked(easy, variation, () => 0)
  if (!technique) return []
  const seconds = Math.floor((lengthS * firstBreathShare) / 30) * 30
  const naturalS = Math.min(firstBreathS.mostS, Math.max(firstBreathS.leastS, seconds))
  return [
    {
      block: { kind: 'breath', id: 'breath-1', sections: [quiet(technique, naturalS)] },
      why: { rule: 'breathes' },
    },
  ]
}

/**
 * The breath work of a breath session, one technique after another, each only after those it starts from,
 * with natural breath between them. `has` are the techniques practised before.
 */
export function breathWork({ level, variation }: ChooserWish, catalog: Catalog, has: readonly string[]): Pick[][] {
  const known = new Set(has)
  const left = new Set(
    ranked(
      [...catalog.techniques.values()].filter((technique) => fitForClass(technique) && offeredTo(technique, level)),
      variation,
      gentleness,
    ),
  )
  const parts: Pick[][] = []
  for (;;) {
    const next = [...left].find(
      (technique) => !known.has(technique.id) && technique.startsWhen.easy.every((id) => known.has(id)),
    )
    if (!next) return parts
    left.delete(next)
    known.add(next.id)
    parts.push(partWith(next, level, parts.length + 2))
  }
}

/** Uncounted breath comes first, then what builds on it; special techniques only where there is time left. */
const gentleness = ({ counted, startsWhen }: Technique): number =>
  (counted ? 0 : 3) + (startsWhen.easy.includes('watching-the-breath') ? 0 : 3)

/** New people are given what is said for them; everybody else what a class can be led through. */
const offeredTo = ({ forNew }: Technique, level: Level): boolean => level !== 'new' || forNew !== undefined

function partWith(technique: Technique, level: Level, number: number): Pick[] {
  const id = `breath-${String(number)}`
  const why = { rule: 'breathes' } as const
  const rest: Pick = { block: { kind: 'rest', id: `${id}-rest`, s: restBetweenS }, why }
  if (!technique.counted) return [{ block: { kind: 'breath', id, sections: [quiet(technique, 180)] }, why }]
  const { amount } = technique
  const roundsPerSet = 'roundsPerSet' in amount ? amount.roundsPerSet : 9
  const rounds = {
    kind: 'rounds',
    id: 'rounds',
    techniqueId: technique.id,
    amount: { fillS: mostCountedS[level], roundsPerSet },
  } as const
  return [{ block: { kind: 'breath', id, sections: [rounds] }, why }, rest]
}

const quiet = ({ id }: Technique, s: Seconds): NaturalSection => ({ kind: 'natural', id: 'quiet', techniqueId: id, s })
