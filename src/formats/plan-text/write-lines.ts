import type { Block, BreathBlock, ClosingBlock, HoldBlock } from '#model/block'
import type { Section } from '#model/section'
import { patternText } from '#core/breath'
import { poseIn, techniqueIdIn } from '#core/session'
import type { Catalog } from '#core/session'
import { formatDuration, keysOf } from '#core/units'
import { blockNameIn } from '#words/blocks'
import { basePositionNames } from '#words/positions'
import { joined } from '#words/text'
import { cueLines } from './cue-lines.ts'

/** A block as a teacher writes it, then what is said and noted, set in. What a line has no words for is left out. */
export function blockLines(block: Block, catalog: Catalog): readonly string[] {
  const said = block.kind === 'talk' || block.kind === 'closing' ? linesOf(block.text, '  > ') : []
  const cues = block.kind === 'hold' ? cueLines(block, catalog) : []
  return [mainLine(block, catalog), ...said, ...cues, ...linesOf(block.note, '  note: ')]
}

const linesOf = (text: string | undefined, before: string): string[] =>
  text === undefined ? [] : text.split(/\r\n?|\n/).map((line) => `${before}${line}`)

const onOneLine = (text: string): string => text.replaceAll(/\s+/g, ' ').trim()

function mainLine(block: Block, catalog: Catalog): string {
  const name =
    block.kind === 'breath' && techniqueIdIn(block) === undefined ? 'Breath work' : blockNameIn(block, catalog)
  switch (block.kind) {
    case 'talk':
      return `Talk ${formatDuration(block.s)} ${onOneLine(block.title)}`
    case 'rest':
      return joined(
        [
          `Rest ${formatDuration(block.s)}`,
          block.basePosition ? basePositionNames[block.basePosition] : '',
          onOneLine(block.text ?? ''),
        ],
        ', ',
      )
    case 'closing':
      return closingLine(block)
    case 'movement':
      return joined(
        [
          name,
          block.rounds === undefined ? '' : `x ${String(block.rounds)}`,
          block.firstSide ? `${block.firstSide} first` : '',
          block.restS === undefined ? '' : `rest after ${formatDuration(block.restS)}`,
        ],
        ', ',
      )
    case 'breath':
      return breathLine(block, name)
    case 'hold':
      return holdLine(block, name, catalog)
  }
}

function closingLine({ finalRestS, comingOutS, rollS, sittingUpS }: ClosingBlock): string {
  const steps = [
    { words: 'coming out', s: comingOutS },
    { words: 'roll', s: rollS },
    { words: 'sitting up', s: sittingUpS },
  ].flatMap(({ words, s }) => (s === undefined ? [] : [`${words} ${formatDuration(s)}`]))
  return joined([joined(['Closing', finalRestS === undefined ? '' : formatDuration(finalRestS)], ' '), ...steps], ', ')
}

/** What the times around a hold are called in a line. */
export const aroundWords: Readonly<Record<keyof NonNullable<HoldBlock['times']>, string>> = {
  changeS: 'change',
  setUpS: 'set-up',
  settleS: 'settle',
  comingOutS: 'coming out',
  betweenSidesS: 'between sides',
  secondSetUpS: 'second set-up',
  afterRestS: 'rest after',
}

function holdLine(block: HoldBlock, name: string, catalog: Catalog): string {
  const pose = poseIn(catalog, block.poseId)
  const form = pose?.variants.find(({ id }) => id === block.variantId)?.name ?? ''
  const times = block.times ?? {}
  const around = keysOf(aroundWords).flatMap((of) => {
    const s = times[of]
    return s === undefined ? [] : [`${aroundWords[of]} ${formatDuration(s)}`]
  })
  return joined(
    [
      name,
      form,
      holdWords(block, pose?.sides !== undefined),
      block.firstSide ? `${block.firstSide} first` : '',
      overWords(block, catalog),
      ...around,
    ],
    ', ',
  )
}

function holdWords({ hold }: HoldBlock, isSided: boolean): string {
  if (!hold) return isSided ? 'each side' : ''
  if ('leftS' in hold) return `left ${formatDuration(hold.leftS)}, right ${formatDuration(hold.rightS)}`
  return `${formatDuration(hold.holdS)}${isSided ? ' each side' : ''}`
}

function overWords({ breathOver }: HoldBlock, { techniques }: Catalog): string {
  const technique = breathOver && techniques.get(breathOver.techniqueId)
  if (!technique) return ''
  const { pattern, rounds } = breathOver
  return joined(
    [
      technique.names.english.toLowerCase(),
      pattern ? patternText(pattern, ' : ') : '',
      rounds === undefined ? '' : `x ${String(rounds)}`,
    ],
    ' ',
  )
}

/** A block with one section says it; of more it says what it is about. */
function breathLine({ sections }: BreathBlock, name: string): string {
  const [only, ...more] = sections
  return only && more.length === 0 && techniqueIdIn({ sections }) !== undefined
    ? joined([name, ...sectionWords(only)], ' ')
    : name
}

function sectionWords(section: Section): string[] {
  if (section.kind === 'natural')
    return [section.s === undefined ? `${String(section.breaths ?? 0)} breaths` : formatDuration(section.s)]
  if (section.kind !== 'rounds') return []
  const { pattern, amount } = section
  const counts = pattern ? [patternText(pattern, ' : ')] : []
  if (!amount || 'breaths' in amount) return counts
  if ('fillS' in amount) return [...counts, `x ${String(amount.roundsPerSet)}, ${formatDuration(amount.fillS)}`]
  if ('rounds' in amount) return [...counts, `x ${String(amount.rounds)}`]
  return [
    ...counts,
    amount.sets === 1 ? `x ${String(amount.roundsPerSet)}` : `${String(amount.sets)} x ${String(amount.roundsPerSet)}`,
  ]
}
