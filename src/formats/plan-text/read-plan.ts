import type { Block } from '#model/block'
import type { Session } from '#model/session'
import { finalRestPose } from '#core/session'
import type { Catalog } from '#core/session'
import type { PlanDoubt } from '#words/plan-text'
import { techniqueOf } from './become.ts'
import type { Become } from './become.ts'
import { blocksOf } from './blocks-of.ts'
import { isCueLine } from './cue-lines.ts'
import { noteFirst, quoted } from './draft.ts'
import type { Draft, Role } from './draft.ts'
import { exact, splitExactly } from './exactly.ts'
import type { PlanHead } from './exactly.ts'
import { aboutLine, headLine, headOf } from './head.ts'
import type { NameBook, Thing } from './names.ts'
import { readLine } from './read-line.ts'
import type { SaidLine } from './read-line.ts'
import { scratchOf } from './scratch.ts'
import { settleLines } from './settle-lines.ts'
import { takeClock } from './times.ts'

/** What a teacher makes of a line: a block, a part of the block before, a word about the whole, or nothing. */
export type Chosen = Become | { readonly kind: 'under' | 'about' | 'nothing' }

/** A line of a pasted plan as it was understood. */
export interface PlanLine {
  /** From 1. */
  readonly number: number
  readonly text: string
  readonly role: Role
  /** What it became, where it is a block. */
  readonly as?: Become
  /** What else of the shelf it may name, the likeliest first. */
  readonly choices: readonly Thing[]
  readonly doubts: readonly PlanDoubt[]
  /** The place of the block it became, or is a part of, in `blocks`. */
  readonly block?: number
}

/** A whole plan as it was understood; nothing of the text is in neither `lines` nor `head`. */
export interface PlanRead {
  readonly lines: readonly PlanLine[]
  /** In their order, under the numbers of their lines as ids. */
  readonly blocks: readonly Block[]
  readonly head: PlanHead
  /** Of the text as a whole. */
  readonly doubts: readonly PlanDoubt[]
}

export interface ReadWith {
  readonly catalog: Catalog
  readonly book: NameBook
  /** How its set-ups are taken, where the plan goes. */
  readonly wanted: Pick<Session, 'extent' | 'setting'>
  /** What the teacher chose for lines, by their text without spaces around it. */
  readonly chosen?: ReadonlyMap<string, Chosen>
}

/** Reads a plan as teachers write it, one line a block; the same text gives the same plan. */
export function readPlan(text: string, on: ReadWith): PlanRead {
  const { lines, exactly, isUnreadable } = splitExactly(text)
  const drafts = settleLines(draftsOf(lines, on), on.catalog)
  const made = blocksOf(drafts, on)
  const { blocks, gone } = exactly ? exact(made, exactly, on.catalog) : { blocks: made.blocks, gone: false }
  const heads = made.lines.flatMap(({ role, text: said }) => (role === 'about' ? [said] : []))
  return {
    lines: made.lines,
    blocks,
    head: { ...headOf(heads), ...exactly?.head },
    doubts: [...(isUnreadable ? (['EXACT_UNREADABLE'] as const) : []), ...(gone ? (['EXACT_GONE'] as const) : [])],
  }
}

const indentOf = (line: string): number => line.length - line.replace(/^[\s]+/, '').length

function draftsOf(lines: readonly string[], on: ReadWith): Draft[] {
  const filled = lines.filter((line) => line.trim() !== '')
  const least = Math.min(...filled.map(indentOf))
  const hasClocks = areClocks(filled)
  const first = lines.findIndex((line) => line.trim() !== '')
  const drafts: Draft[] = []
  let before: Draft | undefined
  lines
    .map((line) => line.trimEnd())
    .forEach((line, at) => {
      const last = drafts.at(-1)
      if (last?.role === 'block') before = last
      const whole = { number: at + 1, text: line }
      const chosen = on.chosen?.get(line.trim())
      if (line.trim() === '') drafts.push({ ...whole, role: 'nothing', doubts: [] })
      else if (chosen && isNoBlock(chosen)) drafts.push({ ...whole, role: chosen.kind, doubts: [] })
      else if (!chosen && before && isSetIn(line, before)) drafts.push({ ...whole, role: 'under', doubts: [] })
      else if (
        !chosen &&
        isAbout(
          line,
          { isFirst: at === first, isAlone: (lines[at + 1] ?? '').trim() === '', isOnly: filled.length === 1 },
          on,
        )
      )
        drafts.push({ ...whole, role: 'about', doubts: [] })
      else
        drafts.push({
          ...whole,
          ...draftOf(
            line,
            {
              hasClocks,
              isIndented: before !== undefined && indentOf(line) > least + 1,
              hasBefore: before !== undefined,
            },
            on,
          ),
        })
    })
  return drafts
}

/** What is said in the block before, or noted of it. */
const isSetIn = (line: string, { as }: Draft): boolean =>
  quoted.test(line) || noteFirst.test(line) || (as?.kind === 'hold' && isCueLine(line))

const isNoBlock = (chosen: Chosen): chosen is Exclude<Chosen, Become> =>
  chosen.kind === 'under' || chosen.kind === 'about' || chosen.kind === 'nothing'

interface Stands {
  readonly isFirst: boolean
  /** Nothing stands right under it. */
  readonly isAlone: boolean
  readonly isOnly: boolean
}

/** A line that says something of the whole: a label, or the first, where it names no block. */
function isAbout(line: string, { isFirst, isAlone, isOnly }: Stands, { book }: ReadWith): boolean {
  if (aboutLine(line)) return true
  if (!isFirst) return false
  const head = headLine(line)
  if (head.isWhole || isOnly) return head.isWhole
  const said = readLine(line, book)
  const isThing =
    said.kind !== undefined || said.how === 'outright' || said.how === 'alike' || said.counts.pattern !== undefined
  if (isThing) return false
  return head.isTelling || (said.how !== 'likely' && (isAlone || said.times.length === 0))
}

/** Most lines begin with a time of day, and it goes on: it is a clock, and no hold. */
function areClocks(lines: readonly string[]): boolean {
  const clocks = lines.map((line) => takeClock(scratchOf(line))?.minutes)
  const told = clocks.filter((minutes) => minutes !== undefined)
  return (
    told.length > 1 &&
    told.length >= lines.length * 0.5 &&
    told.every((minutes, at) => at === 0 || minutes >= (told[at - 1] ?? 0))
  )
}

interface Around {
  readonly hasClocks: boolean
  readonly isIndented: boolean
  readonly hasBefore: boolean
}

function draftOf(
  line: string,
  { hasClocks, isIndented, hasBefore }: Around,
  on: ReadWith,
): Omit<Draft, 'number' | 'text'> {
  const clock = takeClock(scratchOf(line))
  const after = clock && line.slice(clock.rest.from[clock.rest.folded.search(/[^\ue000]/)] ?? line.length)
  const isClock =
    clock !== undefined &&
    after !== undefined &&
    (hasClocks || clock.toMinutes !== undefined || readLine(after, on.book).times.length > 0)
  const said = readLine(isClock ? after : line, on.book)
  const of = { said, ...(isClock ? { clock: clockOf(clock) } : {}) }
  const chosen = on.chosen?.get(line.trim())
  if (chosen && !isNoBlock(chosen)) return { ...of, role: 'block', as: chosen, doubts: [] }
  const isTimed =
    said.times.length > 0 ||
    said.sides.apart !== undefined ||
    said.counts.rounds !== undefined ||
    said.counts.breaths !== undefined ||
    (isClock && hasClocks)
  if (said.sides.other && said.things.length === 0) return { ...of, role: 'joins', doubts: [] }
  const guess = asOf(said)
  const isSure = guess.doubts.length === 0
  // A line that is set in, or only mentions something among other words, belongs to what stands before it.
  const isProse = !isTimed && said.kind === undefined && said.left.join(' ').split(' ').length > 3
  if (hasBefore && ((isIndented && !(isTimed && isSure)) || isProse))
    return { said, role: 'under', doubts: isIndented ? [] : ['NAME_UNKNOWN'] }
  if (guess.doubts.includes('NAME_UNKNOWN') && !isTimed && !said.sides.each)
    return { said, role: hasBefore ? 'under' : 'about', doubts: ['NAME_UNKNOWN'] }
  return { ...of, role: 'block', ...guess }
}

const clockOf = ({ minutes, toMinutes }: { minutes: number; toMinutes?: number }) =>
  toMinutes === undefined ? { minutes } : { minutes, toMinutes }

/** What a line becomes by itself. */
function asOf({ kind, things, how, counts }: SaidLine): { readonly as: Become; readonly doubts: readonly PlanDoubt[] } {
  const [first] = things
  if (kind === 'talk' || ((kind === 'rest' || kind === 'closing') && how === 'guessed'))
    return { as: { kind }, doubts: [] }
  // The rest on the back that ends a class is its closing; where it is not the last, it is the pose.
  const isFinalRest = first?.id === finalRestPose && how !== 'guessed'
  if (isFinalRest) return { as: { kind: 'closing' }, doubts: how === 'likely' ? ['NAME_LIKELY'] : [] }
  if (first && how === 'outright') return { as: first, doubts: [] }
  if (first && how !== 'guessed') return { as: first, doubts: [how === 'alike' ? 'NAME_ALIKE' : 'NAME_LIKELY'] }
  if (counts.pattern)
    return {
      as: { kind: 'breath', id: techniqueOf(counts.pattern) },
      doubts: counts.isDoubtful ? ['RATIO_OR_TIME'] : [],
    }
  if (kind === 'breath') return { as: { kind: 'breath', id: 'watching-the-breath' }, doubts: ['BREATH_UNNAMED'] }
  return { as: { kind: 'talk' }, doubts: ['NAME_UNKNOWN'] }
}
