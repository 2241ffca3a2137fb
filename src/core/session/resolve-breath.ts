import type { BreathBlock } from '#model/block'
import type { BasePosition } from '#model/common'
import type { Seat, Section } from '#model/section'
import type { Technique } from '#model/technique'
import { resolveSection } from '#core/breath'
import type { ResolvedSection } from '#core/breath'
import { ok, refused } from '#core/result'
import type { Result } from '#core/result'
import type { Seconds } from '#core/units'
import { atLevel, learnedKey } from './learned.ts'
import type { ResolvedBreath, Seated, Sourced } from './resolved.ts'
import { namedSetUp } from './set-up-of.ts'
import { answersOf, changeTo, timeOf } from './walk.ts'
import type { Walk } from './walk.ts'

/** What a section without a technique is: the breath is watched [settled A1]. */
const watching = 'watching-the-breath'

const positionOf: Readonly<Record<Seat, BasePosition>> = {
  lying: 'supine',
  incline: 'supine',
  side: 'sideLying',
  chair: 'onChair',
  floorSeat: 'seated',
  kneeling: 'kneeling',
  standing: 'standing',
}

/** Breath work with each section's technique, counts and times filled in. Refuses `UNKNOWN_TECHNIQUE` with the path. */
export function resolveBreath(block: BreathBlock, index: number, walk: Walk): Result<ResolvedBreath> {
  const sections: ResolvedSection[] = []
  for (const [at, section] of block.sections.entries()) {
    const resolved = resolveSection(section, walk.catalog.techniques)
    if (!resolved.ok)
      return refused(
        resolved.code,
        `blocks[${String(index)}].sections[${String(at)}].${resolved.field}`,
        resolved.extra,
      )
    sections.push(resolved.value)
  }
  const techniques = techniquesIn(block.sections, walk)
  const technique = leadingTechnique(sections, techniques)
  if (!technique) return refused('UNKNOWN_TECHNIQUE', `blocks[${String(index)}].sections[0]`, { id: watching })
  const seats = seatsOf(block, technique, walk)
  return ok({
    kind: 'breath',
    block,
    index,
    technique,
    techniques,
    sections,
    seats,
    ...changeTo(block, walk, seats[0]?.position ?? technique.basePosition),
    setUp: namedSetUp(block, walk.catalog),
    setUpS: timeOf(block, walk, 'setUpS', setUpTime(technique, walk)),
    answers: answersOf(block, walk),
    hand: walk.session.hand ?? 'right',
  })
}

/** How long it takes to set breath work up: what led classes taught of it, else as it is shipped. */
function setUpTime({ id, setUpS }: Technique, { catalog, session }: Walk): Sourced<Seconds> {
  const learned = catalog.learned.get(atLevel(learnedKey.ofTechnique(id), session.level))
  return learned === undefined ? { value: setUpS, from: 'shipped' } : { value: learned, from: 'learned' }
}

function techniquesIn(sections: readonly Section[], { catalog }: Walk): readonly Technique[] {
  const ids = sections.flatMap((section) => (section.kind === 'retention' ? [] : (section.techniqueId ?? [])))
  return [...new Set(ids.length > 0 ? ids : [watching])].flatMap((id) => catalog.techniques.get(id) ?? [])
}

function leadingTechnique(sections: readonly ResolvedSection[], all: readonly Technique[]): Technique | undefined {
  const led = sections.filter(({ kind }) => kind !== 'natural')
  return led.flatMap((section) => ('technique' in section ? (section.technique ?? []) : []))[0] ?? all[0]
}

/** The seat of each section: its own, else that of the one before, at first the block's or the technique's. */
function seatsOf(block: BreathBlock, technique: Technique, { catalog }: Walk): readonly Seated[] {
  let position = block.basePosition ?? technique.basePosition
  return block.sections.map(({ seat }, at): Seated => {
    const from = position
    // A position chosen for the block stands above its first section's seat.
    if (seat && (at > 0 || block.basePosition === undefined)) position = positionOf[seat]
    return { position, changeS: at === 0 || from === position ? 0 : catalog.changes[from][position] }
  })
}
