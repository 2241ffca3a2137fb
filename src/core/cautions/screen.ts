import type { CautionBook } from '#model/caution'
import type { Person } from '#model/person'
import type { Pose } from '#model/pose'
import type { Session } from '#model/session'
import { ok } from '#core/result'
import type { Result } from '#core/result'
import { firstCeilingS, resolveSession } from '#core/session'
import type { Catalog, Resolved } from '#core/session'
import type { Seconds } from '#core/units'
import { alternativesFor } from './alternatives.ts'
import type { Alternatives } from './alternatives.ts'
import { asAsked, askedOfForms } from './asked.ts'
import type { Asked } from './asked.ts'
import type { Gated } from './flags.ts'
import { holdCapS } from './hold-cap.ts'
import { judgeFor } from './judge.ts'
import type { Verdict } from './judge.ts'
import { practisedIn } from './of-block.ts'
import { inPlaceOf, poseAlternatives } from './pose-alternatives.ts'
import type { InPlace, PoseAlternative } from './pose-alternatives.ts'
import { subjectsOf } from './practised.ts'
import type { Practised } from './practised.ts'
import { rollSide } from './roll-side.ts'
import type { Roll } from './roll-side.ts'

/** What a class needs to know of a person before anything is done. */
export interface PersonNote {
  readonly personId: string
  readonly gated: Gated
  /** Conditions to be assumed until asked, as the reference has it for the frail. */
  readonly assume: readonly string[]
  readonly roll: Roll
}

/** A block of the session that a person cannot simply do as planned. */
export interface Screened {
  readonly blockId: string
  readonly blockIndex: number
  readonly personId: string
  readonly verdict: Verdict
  readonly alternatives: Alternatives
  /** Where the pose itself is left out: what else, nearest first. */
  readonly instead: readonly PoseAlternative[]
  /** Longest first hold a side for this person; absent where the block is no hold. */
  readonly capS: Seconds | undefined
  /** The planned hold of the longer side. */
  readonly heldS: Seconds | undefined
}

export interface Screening {
  readonly people: readonly PersonNote[]
  /** In the order of the session, then of the people. */
  readonly entries: readonly Screened[]
}

/** Everything that screening looks things up in. */
export interface ScreeningBooks {
  readonly catalog: Catalog
  readonly book: CautionBook
}

/** The marks of the day, by the id of the person. */
export type NotTodayOf = ReadonlyMap<string, readonly string[]>
const nobody: NotTodayOf = new Map()

const assumedOfFrail = ['osteoporosis', 'hypotension', 'med_dizzy']

/**
 * A session against the people who come: for every block and person what the cautions say, what to do
 * instead, and how long at first. Refuses what `resolveSession` refuses. Not advice: a doctor decides.
 */
export function screen(
  session: Session,
  people: readonly Person[],
  books: ScreeningBooks,
  notToday: NotTodayOf = nobody,
): Result<Screening> {
  const resolved = resolveSession(session, books.catalog)
  if (!resolved.ok) return resolved
  const asks = askedOfForms(books.book)
  const asked = people.map((person) => asAsked(person, books.book, asks, notToday.get(person.id)))
  const entries = resolved.value.flatMap((block) => {
    const practised = practisedIn(block)
    if (!practised) return []
    const doing: Doing = {
      block,
      practised,
      subjects: subjectsOf(practised, books.book),
      held: holdOf(block),
      inPlace: block.kind === 'hold' ? inPlaceOf(block.pose, books.catalog.poses.values()) : undefined,
    }
    return asked.flatMap((one) => screenBlock(doing, one, books))
  })
  return ok({
    entries,
    people: asked.map(({ person, judged: { flags, gated } }) => ({
      personId: person.id,
      gated,
      assume: flags.some(({ id }) => id === 'elder')
        ? assumedOfFrail.filter((id) => !flags.some((flag) => flag.id === id))
        : [],
      roll: rollSide(flags, rollOf(resolved.value)),
    })),
  })
}

/** The closing's answer; without a closing the usual one. */
const rollOf = (blocks: readonly Resolved[]) => {
  const last = blocks.at(-1)
  return last?.kind === 'closing' ? last.answers.roll : 'right'
}

/** A block and what it asks of everyone, worked out once. */
interface Doing {
  readonly block: Resolved
  readonly practised: Practised
  readonly subjects: ReturnType<typeof subjectsOf>
  readonly held: ReturnType<typeof holdOf>
  readonly inPlace: InPlace | undefined
}

function screenBlock(
  { block, practised, subjects, held, inPlace }: Doing,
  { person, judged, judgeOne, judgeForm }: Asked,
  { catalog, book }: ScreeningBooks,
): Screened[] {
  const verdict = judgeFor(practised, subjects, judged)
  const capS =
    held &&
    holdCapS((level) => firstCeilingS(catalog.ceilings, held.pose, level), person.level ?? 'new', verdict, judged.flags)
  const tooLong = held !== undefined && capS !== undefined && held.s > capS
  const isQuiet = verdict.grade === undefined && verdict.gated.gate === 'none' && verdict.props.length === 0
  if (isQuiet && !tooLong) return []
  const alternatives = alternativesFor(verdict, practised, judgeOne, book.inherits)
  const offered = new Set<string>(alternatives.offered.map(({ family }) => family))
  const isLeftOut = verdict.grade === 'avoid' && verdict.gated.gate !== 'stop'
  return [
    {
      blockId: block.block.id,
      blockIndex: block.index,
      personId: person.id,
      verdict,
      alternatives,
      instead: isLeftOut && inPlace ? poseAlternatives(inPlace, offered, judgeForm) : [],
      capS,
      heldS: held?.s,
    },
  ]
}

/** The families and the longer side of a hold, for its ceiling; the closing's rest is one too. */
function holdOf(block: Resolved): { pose: Pick<Pose, 'families' | 'sensation'>; s: Seconds } | undefined {
  if (block.kind === 'hold') return { pose: block.pose, s: Math.max(...block.sides.map(({ holdS }) => holdS)) }
  if (block.kind !== 'closing') return undefined
  return { pose: { families: ['final_rest'], sensation: { from: 0, to: 1 } }, s: block.finalRestS.value }
}
