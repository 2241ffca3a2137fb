import type { Block, HoldBlock } from '#model/block'
import type { Session } from '#model/session'
import type { Catalog, Difference } from '#core/session'
import { formatDuration } from '#core/units'
import { blockNameIn } from './blocks.ts'
import { extentChoices } from './extents.ts'
import { settingChoices } from './stages.ts'

type Detail = Exclude<keyof Session, 'schema' | 'id' | 'blocks' | 'setAside' | 'versionOf' | 'nextTime'>
const detailNames: Readonly<Record<Detail, string>> = {
  name: 'name',
  practice: 'practice',
  level: 'level',
  lengthS: 'length',
  schoolId: 'school',
  answers: 'answers',
  times: 'times',
  wording: 'how it is said',
  purpose: 'purpose',
  setting: 'where it is held',
  placeId: 'place',
  extent: 'what it is set up with',
  theme: 'theme',
  regions: 'regions',
  stage: 'stage of breath work',
  hand: 'hand at the nose',
  before: 'what is asked before breath work',
}
/** Values that are codes, in words. */
const valueNames: Partial<Record<keyof Session, readonly { readonly value: string; readonly words: string }[]>> = {
  setting: settingChoices,
  extent: extentChoices,
}
/** Those that would say nothing, or too much, of themselves. */
const unsaid: ReadonlySet<string> = new Set(['schoolId', 'placeId'])

/** A difference in a line, as said of going from the one state to the other. */
export function differenceWords(difference: Difference, catalog: Catalog): string {
  switch (difference.kind) {
    case 'detail': {
      const { detail } = difference
      const name = detail in detailNames ? detailNames[detail as Detail] : detail
      if (difference.detail === 'lengthS')
        return `length ${formatDuration(Number(difference.before))} to ${formatDuration(Number(difference.after))}`
      const plain = (value: unknown) => typeof value === 'string' && value.length < 60 && !unsaid.has(detail)
      const said = (value: unknown) => valueNames[detail]?.find((one) => one.value === value)?.words ?? String(value)
      return plain(difference.before) && plain(difference.after)
        ? `${name} “${said(difference.before)}” to “${said(difference.after)}”`
        : `${name} changed`
    }
    case 'added':
      return `${blockNameIn(difference.block, catalog)} added`
    case 'dropped':
      return `${blockNameIn(difference.block, catalog)} dropped`
    case 'moved':
      return `${blockNameIn(difference.block, catalog)} moved from place ${String(difference.from + 1)} to ${String(difference.to + 1)}`
    case 'changed':
      return changedWords(difference.before, difference.after, catalog)
  }
}

function changedWords(before: Block, after: Block, catalog: Catalog): string {
  const name = blockNameIn(after, catalog)
  const [from, to] = [timeOf(before), timeOf(after)]
  if (from !== undefined && to !== undefined && from !== to) return `${name} ${from} to ${to}`
  return `${name} changed`
}

/** The time a block sets for itself, where it sets one. */
function timeOf(block: Block): string | undefined {
  if (block.kind === 'hold') return block.hold && holdText(block.hold)
  if (block.kind === 'talk' || block.kind === 'rest') return formatDuration(block.s)
  return block.kind === 'closing' && block.finalRestS !== undefined
    ? `final rest ${formatDuration(block.finalRestS)}`
    : undefined
}

const holdText = (hold: NonNullable<HoldBlock['hold']>): string =>
  'holdS' in hold
    ? formatDuration(hold.holdS)
    : `left ${formatDuration(hold.leftS)}, right ${formatDuration(hold.rightS)}`
