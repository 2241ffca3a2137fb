import type { Section } from '#model/section'
import { blockFacts, layOutBlock, resolveSection, sayings } from '#core/breath'
import { orThrow } from '#core/result'
import { shippedCatalog } from '#library/shipped'
import { inCounts, second } from '#testing/breath'
import { ms, quantile, report, times } from './measure.ts'

/** Forty sections of fifteen rounds, laid out with their facts and all that is said. */
export function benchBreath(): void {
  const sections = Array.from({ length: 40 }, (_, at): Section => ({
    kind: 'rounds',
    id: `s${String(at)}`,
    techniqueId: 'even-breath',
    pattern: inCounts(4, at % 5, 8, 0),
    pace: second,
    amount: { sets: 3, roundsPerSet: 5 },
  }))
  const made = () => {
    const resolved = sections.map((section) => orThrow(resolveSection(section, shippedCatalog.techniques)))
    const stretches = layOutBlock(resolved)
    return { facts: blockFacts(resolved), stretches, said: sayings(resolved, 'right', stretches) }
  }
  const { facts, stretches } = made()
  report(
    `breath (${String(sections.length)} sections, ${String(facts.rounds)} rounds, ${String(stretches.length)} stretches) with facts and words`,
    `median ${ms(
      quantile(
        times(200, () => made()),
        0.5,
      ),
    )}`,
    '< 5 ms',
  )
}
