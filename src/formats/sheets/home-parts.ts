import type { Block } from '#model/block'
import type { PropKind } from '#model/prop'
import type { Section } from '#model/section'
import type { Session } from '#model/session'
import type { SetUp } from '#model/set-up'
import { setUpOf } from '#core/session'
import type { Catalog, Resolved } from '#core/session'
import { compileTimeline } from '#core/timeline'
import type { Timeline } from '#core/timeline'
import { formatDuration, formatMs, keysOf } from '#core/units'
import { blockNameIn } from '#words/blocks'
import { sheetBlocks, titleBeside } from '#words/class-sheet'
import type { SheetBlock } from '#words/class-sheet'
import { itemWords, partNames } from '#words/props'
import { lower } from '#words/text'
import type { HomePart } from './home-sheet.ts'

/** A part of a home sheet with the block it is of, so that its figure can be drawn. */
export interface HomeBlock extends Omit<HomePart, 'picture'> {
  readonly resolved: Resolved
}

/** What of a session goes home, as it is done there; and what does not, by name. */
export interface AtHome {
  readonly parts: readonly HomeBlock[]
  /** Practised with a teacher alone: strong breath, held breath. */
  readonly left: readonly string[]
  /** The class as it is at home, whose blocks are the parts; absent where it does not compile. */
  readonly timeline?: Timeline
}

/**
 * A session as it is practised at home by oneself: with what a house has, without talk, and without any breath that is
 * strong, held or taught in person; a hold with such a breath over it is held without it. What is of one class alone (how
 * many come, what is offered to them) stays there. Nothing where it does not compile.
 */
export function homeParts(session: Session, { people: _, offers: __, keptForOne: ___, ...catalog }: Catalog): AtHome {
  const goes = session.blocks.filter((block) => block.kind !== 'talk' && isForHome(block, catalog))
  const blocks = goes.map((block) => asAtHome(block, catalog))
  const compiled = compileTimeline({ ...session, setting: 'home', extent: 'household', blocks }, catalog)
  const left = session.blocks
    .filter((block) => block.kind !== 'talk' && !goes.includes(block))
    .map((block) => blockNameIn(block, catalog))
  if (!compiled.ok) return { parts: [], left }
  const timeline = compiled.value
  const told = sheetBlocks(timeline, session.practice)
  return {
    timeline,
    parts: timeline.blocks.flatMap(({ block }, at) => {
      const sheet = told[at]
      return sheet ? [partOf(block, sheet, catalog)] : []
    }),
    left,
  }
}

const isQuietBreath = (techniqueId: string | undefined, { techniques }: Catalog): boolean => {
  const technique = techniqueId === undefined ? undefined : techniques.get(techniqueId)
  const pattern = technique?.pattern
  const holds = pattern !== undefined && (pattern.full > 0 || pattern.empty > 0)
  return !technique || (!technique.strong && !technique.inPerson && !holds)
}

function isQuietSection(section: Section, catalog: Catalog): boolean {
  if (section.kind === 'retention' || section.kind === 'strokes') return false
  if (section.kind === 'rounds') {
    const { pattern, locks } = section
    if (locks !== undefined || (pattern && (pattern.full > 0 || pattern.empty > 0))) return false
  }
  return isQuietBreath(section.techniqueId, catalog)
}

/** A block with anything strong in it stays with the teacher as a whole. */
const isForHome = (block: Block, catalog: Catalog): boolean =>
  block.kind !== 'breath' || block.sections.every((section) => isQuietSection(section, catalog))

/** With the set-up of a house, and without a breath over it that is strong. */
function asAtHome(block: Block, catalog: Catalog): Block {
  if (block.kind !== 'hold' && block.kind !== 'closing') return block
  const { setUpId: _, setUpItems: __, ...plain } = block
  if (plain.kind !== 'hold' || !plain.breathOver) return plain
  const { pattern, techniqueId } = plain.breathOver
  const holds = pattern !== undefined && (pattern.full > 0 || pattern.empty > 0)
  const { breathOver: ___, ...alone } = plain
  return !holds && isQuietBreath(techniqueId, catalog) ? plain : alone
}

function partOf(resolved: Resolved, sheet: SheetBlock, catalog: Catalog): HomeBlock {
  const firstOf = (kind: string) => sheet.parts.find((part) => part.kind === kind)
  const said = (kind: string): readonly string[] =>
    firstOf(kind)
      ?.marks.filter(({ is }) => is === 'said')
      .map(({ text }) => text) ?? []
  return {
    resolved,
    name: namedBoth(resolved, sheet),
    howLong: lengthWords(resolved, sheet),
    use: useWords(resolved, catalog),
    into: intoWords(resolved, said, itemsAtHome(resolved, catalog)),
    out: said('comingOut'),
  }
}

/** The name and, where one is in use, the Sanskrit one. */
function namedBoth(resolved: Resolved, { name, form }: SheetBlock): string {
  const sanskrit = resolved.kind === 'hold' ? resolved.pose.names.sanskrit : undefined
  const called = sanskrit === undefined ? name : `${name} (${sanskrit})`
  return form === '' ? called : `${called}, ${lower(form)}`
}

function lengthWords(resolved: Resolved, { name, parts, startMs, endMs }: SheetBlock): string {
  switch (resolved.kind) {
    case 'hold': {
      const [one, two] = resolved.sides
      if (!one) return ''
      if (!two) return formatDuration(one.holdS)
      if (one.holdS === two.holdS) return `${formatDuration(one.holdS)} each side, ${one.side} first`
      return `${one.side} ${formatDuration(one.holdS)}, ${two.side} ${formatDuration(two.holdS)}`
    }
    case 'movement':
      return `${String(resolved.rounds)} rounds${resolved.sides.length > 1 ? ' each side' : ''}`
    case 'breath':
      return parts.flatMap(({ kind, title }) => (kind === 'breath' ? [lower(titleBeside(title, name))] : [])).join('; ')
    case 'closing':
      return formatDuration(resolved.finalRestS.value)
    default:
      return formatMs(endMs - startMs)
  }
}

function itemsAtHome({ block }: Resolved, catalog: Catalog): SetUp['items'] {
  if (block.kind !== 'hold' && block.kind !== 'closing') return []
  return setUpOf(block, catalog, { setting: 'home', extent: 'household' })?.value.items ?? []
}

/** Each thing a house has, as it lies, from the floor up. */
function useWords(resolved: Resolved, catalog: Catalog): readonly string[] {
  return itemsAtHome(resolved, catalog).map((item) => {
    const where =
      item.under === undefined
        ? ''
        : `${item.lies === undefined ? 'under the' : 'at the'} ${partNames[item.under].toLowerCase()}: `
    return `${where}${itemWords(item, catalog.propKinds[item.kind])}`
  })
}

function intoWords(
  resolved: Resolved,
  said: (kind: string) => readonly string[],
  items: SetUp['items'],
): readonly string[] {
  if (resolved.kind === 'hold') {
    const breath = resolved.breathOver
      ? [`Breathe ${resolved.breathOver.technique.names.english.toLowerCase()} as long as it is easy`]
      : []
    return [...said('setUp').flatMap((line) => withoutOthers(line, items)), ...breath]
  }
  if (resolved.kind === 'breath') return resolved.techniques.flatMap(({ how }) => how)
  if (resolved.kind === 'movement') return said('movement')
  return said(resolved.kind)
}

/** What the words of a studio's set-up call its things. */
const calledInWords: Readonly<Partial<Record<PropKind, RegExp>>> = {
  rectBolster: /\bbolsters?\b/i,
  chair: /\bchairs?\b|\b(?:on the|padded) seat\b/i,
  foamBlock: /\bblocks?\b/i,
  sandbag: /\bsandbags?\b/i,
}

/** Set-up words without the sentences that speak of things that are not used here. */
function withoutOthers(words: string, items: SetUp['items']): readonly string[] {
  const lacking = keysOf(calledInWords).filter((kind) => !items.some((item) => item.kind === kind))
  const kept = words
    .split(/(?<=\.)\s+/)
    .filter((sentence) => !lacking.some((kind) => calledInWords[kind]?.test(sentence)))
    .join(' ')
  return kept === '' ? [] : [kept.replace(/\.?$/, '.')]
}
