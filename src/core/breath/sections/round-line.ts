import { lungFill } from '../lung-fill.ts'
import { layOutSection } from './lay-out-section.ts'
import type { Stretch } from './lay-out-section.ts'
import type { ResolvedSection } from './resolve-section.ts'

/** A stretch of one round as it is drawn: from which count to which, and how full the lungs are. */
export interface LinePart extends Pick<Stretch, 'through' | 'step' | 'lock'> {
  readonly part: 'in' | 'full' | 'out' | 'empty' | 'pause'
  /** Counts from the start of the round. */
  readonly from: number
  readonly to: number
  readonly fill: readonly [from: number, to: number]
}

const isCounted = <T extends { readonly part: Stretch['part'] }>(stretch: T): stretch is T & Pick<LinePart, 'part'> =>
  ['in', 'full', 'out', 'empty', 'pause'].includes(stretch.part)

/** The first round of a section over its counts; empty where nothing is counted. */
export function roundLine(section: ResolvedSection): readonly LinePart[] {
  const all = layOutSection(section)
  const first = all.find(isCounted)
  const round = all.filter(isCounted).filter(({ set, round: of }) => set === first?.set && of === first.round)
  let from = 0
  return round.map(({ part, counts, through, step, lock }, at): LinePart => {
    const to = from + counts
    const made = {
      ...{ part, from, to, fill: lungFill(round, at) },
      ...(through === undefined ? {} : { through }),
      ...(step === undefined ? {} : { step }),
      ...(lock === undefined ? {} : { lock }),
    }
    from = to
    return made
  })
}
