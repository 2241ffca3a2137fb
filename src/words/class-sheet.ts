import type { Block } from '#model/block'
import type { Practice } from '#model/common'
import type { Doing, ScriptSaid, Segment, Timeline, TimelineCue } from '#core/timeline'
import { formatMs } from '#core/units'
import { blockName } from './blocks.ts'
import { changeWords } from './positions.ts'
import { afterRestName } from './practices.ts'
import { takesWords } from './props.ts'
import { sectionLine } from './sections.ts'
import { capital, counted } from './text.ts'

/** Something at an instant of a part: a phase that begins, words to say, where the long quiet lies. */
export interface SheetMark {
  /** From the beginning of its part. */
  readonly atMs: number
  readonly is: 'phase' | 'said' | 'quiet'
  readonly text: string
}

/** A stretch of a block that a teacher reads as one: the change, arranging, one side, a section of breath, a step. */
export interface SheetPart {
  readonly key: string
  readonly kind: Doing['kind']
  readonly title: string
  readonly startMs: number
  readonly endMs: number
  readonly marks: readonly SheetMark[]
  /** The second side says what the first did, mirrored, at the same times. */
  readonly isAgain: boolean
}

/** A block as a sheet tells it: when it is, what it is called, what it takes, and its parts. */
export interface SheetBlock {
  readonly id: string
  readonly kind: Block['kind']
  readonly startMs: number
  readonly endMs: number
  readonly name: string
  /** Its form, where it is done in one. */
  readonly form: string
  /** What it is set up with. */
  readonly takes: string
  readonly note: string
  readonly parts: readonly SheetPart[]
}

/** The blocks of a class in their order, each with all there is to say of it. */
export const sheetBlocks = (timeline: Timeline, practice: Practice): readonly SheetBlock[] =>
  timeline.blocks.map((span) => {
    const { block, startMs, endMs } = span
    return {
      ...{ id: block.block.id, kind: block.kind, startMs, endMs, name: blockName(block) },
      form: block.kind === 'hold' ? (block.variant?.name ?? '') : '',
      takes: 'setUp' in block ? takesWords(block.setUp?.value.items ?? []) : '',
      note: block.block.note ?? '',
      parts: sheetParts(span, timeline, practice),
    }
  })

/** Parts as they stand in rows: what has nothing to say stands with what follows it; a side stands by itself. */
export function sheetRows(parts: readonly SheetPart[]): readonly (readonly SheetPart[])[] {
  const rows: SheetPart[][] = []
  for (const part of parts) {
    const row = rows.at(-1)
    const last = row?.at(-1)
    if (row && last && isBrief(last) && part.kind !== 'hold') row.push(part)
    else rows.push([part])
  }
  return rows
}

/** What a part is called beside its block's name: a section of breath that is called as its block is has its counts alone. */
export const titleBeside = (title: string, name: string): string =>
  title.startsWith(name) ? title.slice(name.length).trim() : title

/** A run of text in a row: a time, which is to be found at a glance, or an aside. */
export interface RowText {
  readonly text: string
  readonly is?: 'time' | 'aside'
}

/** All that a row of a sheet says, after how long its first part takes. */
export const rowTexts = (row: readonly SheetPart[]): readonly RowText[] =>
  row.flatMap((part, at): readonly RowText[] => [
    ...(at === 0 ? [] : [{ text: ' · ' }, timeText(part.endMs - part.startMs)]),
    { text: capital(part.title) },
    ...(part.isAgain
      ? [{ text: ' – the same words, for this side', is: 'aside' as const }]
      : part.marks.flatMap(markTexts)),
  ])

/** With a space that does not break, so that a time stays with its words. */
const timeText = (ms: number): RowText => ({ text: `${formatMs(ms)}\u00a0`, is: 'time' })
/** A moment with its words; what begins with its part needs no time. */
const markTexts = ({ atMs, is, text }: SheetMark): readonly RowText[] => [
  { text: is === 'phase' ? ' · from ' : ' · ' },
  ...(atMs < 1000 && is !== 'phase' ? [] : [timeText(atMs)]),
  { text },
]

const isBrief = ({ kind, marks, isAgain }: SheetPart): boolean => kind !== 'hold' && (isAgain || marks.length === 0)

type Span = Timeline['blocks'][number]

/**
 * The parts of a block in the order of its time, which they tile; each with all that is said and sounded in it, at the
 * instants the timeline has, so that a sheet cannot say anything the class does not.
 */
export function sheetParts(span: Span, timeline: Timeline, practice: Practice): readonly SheetPart[] {
  const runs: Segment[][] = []
  for (const segment of timeline.segments.slice(span.firstSegment, span.endSegment)) {
    const last = runs.at(-1)
    if (last?.[0] && keyOf(last[0]) === keyOf(segment)) last.push(segment)
    else runs.push([segment])
  }
  const parts = runs.map((run) => partOf(run, { span, timeline, practice }))
  return withText(parts, span).map((part, at) => ({ ...part, isAgain: repeats(part, parts.slice(0, at)) }))
}

/** The words of a talk, a rest or a closing that are no cue stand where it begins. */
function withText(parts: readonly SheetPart[], { block: { block } }: Span): readonly SheetPart[] {
  const text = block.kind === 'talk' || block.kind === 'rest' || block.kind === 'closing' ? (block.text ?? '') : ''
  const at = parts.findIndex(({ kind }) => kind === block.kind)
  const part = parts[at]
  if (text === '' || !part || part.marks.some((mark) => mark.text === text)) return parts
  return parts.with(at, { ...part, marks: [{ atMs: 0, is: 'said', text }, ...part.marks] })
}

/** Segments that are read as one have one key: settling is arranging, all rounds of a section are the section. */
function keyOf({ doing, side }: Segment): string {
  const of = side ?? ''
  if (doing.kind === 'settle') return `setUp ${of}`
  if (doing.kind === 'breath') return `breath ${String(doing.section)}`
  if (doing.kind === 'movement') return doing.part === 'rest' ? 'rest' : `movement ${of}`
  return doing.kind === 'closing' ? `closing ${doing.step}` : `${doing.kind} ${of}`
}

interface In {
  readonly span: Span
  readonly timeline: Timeline
  readonly practice: Practice
}

function partOf(run: readonly Segment[], on: In): SheetPart {
  const [first] = run
  const last = run.at(-1)
  if (!first || !last) throw new Error('a part has a segment at least')
  const { startMs } = first
  const indexes = new Set(run.map(({ index }) => index))
  const said = on.timeline.cues.filter((cue) => indexes.has(cue.segment)).flatMap((cue) => saidAt(cue, startMs))
  const sentences = on.timeline.scripts
    .filter(({ blockId, firstSegment }) => blockId === first.blockId && indexes.has(firstSegment))
    .flatMap((script) => sentencesAt(script, startMs))
  const phases = phasesIn(run, startMs)
  return {
    key: `${keyOf(first)} ${String(startMs)}`,
    kind: first.doing.kind,
    title: titleOf(run, on),
    startMs,
    endMs: last.endMs,
    marks: [...phases, ...said.filter((mark) => !isNamed(mark, phases)), ...sentences].toSorted(
      (a, b) => a.atMs - b.atMs,
    ),
    isAgain: false,
  }
}

/** A phase that is announced by its name alone stands there already. */
const isNamed = ({ atMs, text }: SheetMark, phases: readonly SheetMark[]): boolean =>
  phases.some((phase) => phase.atMs === atMs && phase.text.startsWith(`${text}, `))

const saidAt = ({ atMs, text }: TimelineCue, startMs: number): SheetMark[] =>
  text === undefined || text === '' ? [] : [{ atMs: atMs - startMs, is: 'said', text }]

/** Phases by their names, where a hold has more than one. */
function phasesIn(run: readonly Segment[], startMs: number): SheetMark[] {
  const holds = run.flatMap((segment) =>
    segment.doing.kind === 'hold' ? [{ segment, phase: segment.doing.phase }] : [],
  )
  if (holds.length < 2) return []
  return holds.map(({ segment, phase }) => ({
    ...{ atMs: segment.startMs - startMs, is: 'phase' },
    text: `${phase.name}, ${formatMs(segment.endMs - segment.startMs)}`,
  }))
}

/** Sentence by sentence, and where it is long quiet. */
function sentencesAt({ script, spoken, startMs }: ScriptSaid, partMs: number): SheetMark[] {
  const beforeMs = startMs - partMs
  const quiet: SheetMark = {
    ...{ atMs: beforeMs + spoken.quiet.fromMs, is: 'quiet' },
    text: `long quiet, ${formatMs(spoken.quiet.toMs - spoken.quiet.fromMs)}`,
  }
  const sentences = script.sentences.map(({ text }, at): SheetMark => ({
    ...{ atMs: beforeMs + (spoken.sentences[at]?.startMs ?? 0), is: 'said' },
    text,
  }))
  return sentences.toSpliced(script.quietAfter, 0, quiet)
}

const stepNames = {
  finalRest: 'final rest',
  comingOut: 'coming out',
  roll: 'roll to the side',
  sittingUp: 'press up and sit',
} as const
const betweenNames = {
  nothing: 'other side',
  stillness: 'stillness, then the other side',
  movement: 'small movement, other side',
} as const

function titleOf(run: readonly Segment[], { span, practice }: In): string {
  const [first] = run
  const { block } = span
  if (!first) return ''
  const { doing, side } = first
  switch (doing.kind) {
    case 'talk':
      return 'talk'
    case 'change':
      return doing.text ?? changeWords(doing.from, doing.to) ?? 'change of props'
    case 'setUp':
    case 'settle': {
      const settleMs = run.reduce((ms, one) => ms + (one.doing.kind === 'settle' ? one.endMs - one.startMs : 0), 0)
      const second = doing.kind === 'setUp' && doing.second ? 'set up the other side' : 'set up'
      return settleMs > 0 ? `${second}, ${formatMs(settleMs)} of it to settle` : second
    }
    case 'hold':
      return sideTitle(side, block.kind === 'hold' ? block.pose.sides : undefined, 'hold')
    case 'comingOut':
      return 'come out'
    case 'betweenSides':
      return betweenNames[doing.form]
    case 'afterRest':
      return afterRestName(practice)
    case 'breath': {
      const section = block.kind === 'breath' ? block.sections[doing.section] : undefined
      return section ? sectionLine(section) : 'natural breath'
    }
    case 'movement': {
      if (doing.part === 'rest' || block.kind !== 'movement') return 'rest'
      return `${sideTitle(side, block.movement.sides, '')} ${counted(block.rounds, 'round')}`.trim()
    }
    case 'rest':
      return 'rest'
    case 'closing':
      return stepNames[doing.step]
  }
}

/** "left: left knee in front, right knee behind". */
function sideTitle(
  side: Segment['side'],
  sides: { readonly left: string; readonly right: string } | undefined,
  both: string,
): string {
  if (side !== 'left' && side !== 'right') return both
  return sides ? `${side}: ${sides[side]}` : side
}

const others = { left: 'right', right: 'left', Left: 'Right', Right: 'Left' } as const
const mirroredText = (text: string): string =>
  text.replaceAll(/\b(left|right|Left|Right)\b/g, (word) => others[word as keyof typeof others])

/** A part says again what one of its kind before it said, for the other side, at the same times. */
function repeats(part: SheetPart, before: readonly SheetPart[]): boolean {
  if (part.kind !== 'hold' && part.kind !== 'setUp' && part.kind !== 'comingOut') return false
  const same = before.findLast(({ kind }) => kind === part.kind)
  if (!same || part.marks.length === 0) return false
  return (
    same.marks.length === part.marks.length &&
    part.marks.every(({ atMs, text, is }, at) => {
      const one = same.marks[at]
      // How stillness is said shortens on its way through a class.
      const isTail = at === 0 && part.kind === 'hold'
      const isThen = part.kind !== 'hold' || one?.atMs === atMs
      return one?.is === is && isThen && (isTail || one.text === mirroredText(text) || one.text === text)
    })
  )
}
