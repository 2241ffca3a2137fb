import type { PropKind } from '#model/prop'
import type { Pose } from '#model/pose'
import { keysOf } from '#core/units'
import { propNames } from '#words/props'
import { take } from './scratch.ts'
import type { Scratch } from './scratch.ts'

export type SaidProps = Pose['props']

/** What teachers call them beside the names of the cupboard. */
const alsoCalled: Readonly<Partial<Record<PropKind, readonly string[]>>> = {
  roundBolster: ['cylinder bolster'],
  rectBolster: ['bolster', 'rectangular bolster'],
  foamBlock: ['block', 'brick', 'foam block', 'foam brick'],
  corkBlock: ['cork brick'],
  strap: ['yoga strap', 'loop'],
  seatCushion: ['cushion'],
  halfMoonCushion: ['crescent cushion'],
  longPillow: ['pillow'],
  eyePillow: ['eyepillow', 'eye bag'],
  sandbag: ['sand bag', 'weight'],
  belt: [],
}
const called = keysOf(propNames)
  .flatMap((kind) => {
    const { one, many } = propNames[kind]
    return [one, many, ...(alsoCalled[kind] ?? []).flatMap((name) => [name, `${name}s`])].map((name) => ({
      kind,
      name,
    }))
  })
  // The longest name first: an eye pillow is no pillow.
  .toSorted((a, b) => b.name.length - a.name.length)
const kinds = new Map(called.map(({ kind, name }) => [name, kind]))
const numbers: Readonly<Record<string, number>> = { a: 1, an: 1, one: 1, two: 2, three: 3, four: 4 }
const pattern = new RegExp(
  String.raw`(?:\b(?:with|w\/|on|over|using|use|props?:?|plus|and) ?)?(?:(?<![\d:.,])(\d{1,2}|${Object.keys(numbers).join('|')}) ?x? )?(?:the |your )?\b(${called.map(({ name }) => name).join('|')})\b`,
)

/** The props a line names with their numbers, and the line without them; the wall is one of them. */
export function takeProps(line: Scratch): { readonly props: SaidProps; readonly rest: Scratch } {
  const counts = new Map<PropKind, number>()
  let rest = line
  for (;;) {
    const found = take(rest, pattern)
    const kind = kinds.get(found?.said[2] ?? '')
    if (!found || !kind) return { props: [...counts].map(([of, count]) => ({ kind: of, count })), rest }
    rest = found.rest
    const number = found.said[1] ?? 'one'
    const many = Math.min(20, Math.max(1, numbers[number] ?? Number(number)))
    counts.set(kind, Math.min(20, (counts.get(kind) ?? 0) + many))
  }
}
