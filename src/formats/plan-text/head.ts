import { levels, practices } from '#model/common'
import { sessionLimits, textLimits } from '#model/limits'
import { withFields } from '#core/session'
import { foldMarks } from '#core/units'
import type { PlanHead } from './exactly.ts'
import { leftOf, scratchOf, take } from './scratch.ts'
import { takeTimes } from './times.ts'

/** What a line says of the whole session. */
export interface SaidHead extends PlanHead {
  /** It says name, length, practice and level, as a plan written by Zovrin does. */
  readonly isWhole: boolean
  /** It says a length, a practice or a level, and so is no block. */
  readonly isTelling: boolean
  /** What no field was found for. */
  readonly kept?: string
}

const practice = new RegExp(`\\b(${practices.join('|')})\\b`)
const level = new RegExp(`\\b(${levels.join('|')})\\b`)
const isOneOf = <T extends string>(all: readonly T[], word: string | undefined): T | undefined =>
  all.find((one) => one === word)

/** "Thursday slow hour, 60 min, yin, regular": what a line says of name, length, practice and level. */
export function headLine(text: string): SaidHead {
  const line = scratchOf(text.replace(/^\s*#+\s*/, ''))
  const ofPractice = take(line, practice)
  const ofLevel = take(ofPractice?.rest ?? line, level)
  const { times, rest } = takeTimes(ofLevel?.rest ?? ofPractice?.rest ?? line)
  const length = times.find(({ s }) => s >= 20 * 60 && s <= sessionLimits.mostS)
  const found = { practice: isOneOf(practices, ofPractice?.said[1]), level: isOneOf(levels, ofLevel?.said[1]) }
  const isWhole = length !== undefined && found.practice !== undefined && found.level !== undefined
  const isTelling = length !== undefined || found.practice !== undefined
  const left = isTelling ? leftOf(rest).join(', ') : line.typed.trim().replace(/:$/, '')
  const whole = isWhole ? wholeHead(text) : undefined
  const name = (whole?.name ?? left).slice(0, textLimits.name).trim()
  return {
    ...{ isWhole, isTelling },
    ...(name === '' ? {} : { name }),
    ...(length ? { lengthS: whole?.lengthS ?? length.s } : {}),
    ...(found.practice ? { practice: found.practice } : {}),
    ...(found.level ? { level: found.level } : {}),
    ...(left.length > textLimits.name ? { kept: left } : {}),
  }
}

/** As Zovrin writes it: the name may hold anything. */
function wholeHead(text: string): { readonly name: string; readonly lengthS: number } | undefined {
  const [, name = '', time = ''] = /^(.*), (\d+:\d{2}(?::\d{2})?), \w+, \w+$/.exec(text.trim()) ?? []
  const [read] = takeTimes(scratchOf(time)).times
  return read && name !== '' ? { name, lengthS: read.s } : undefined
}

const label =
  /^\s*(theme|focus|purpose|aim|intention|props?|needs?|needed|bring|music|playlist|date|place|teacher|group|sources?)\s*[:=]\s*(.*)$/i

/** "Theme: hips", "Props: 2 bolsters": what a line with such a label says of the whole; undefined for any other. */
export function aboutLine(text: string): SaidHead | undefined {
  const [, of = '', words = ''] = label.exec(text) ?? []
  if (of === '') return undefined
  const plain = foldMarks(of)
  const said = words.trim()
  const none = { isWhole: false, isTelling: true }
  if (said === '') return { ...none, kept: text.trim() }
  if ((plain === 'theme' || plain === 'focus') && said.length <= textLimits.line) return { ...none, theme: said }
  return plain === 'purpose' || plain === 'aim' || plain === 'intention'
    ? { ...none, purpose: said }
    : { ...none, kept: text.trim() }
}

/** What the lines about the whole say; of several for one field the first, the others are kept as its purpose. */
export function headOf(lines: readonly string[]): PlanHead {
  let head: PlanHead = {}
  const more: string[] = []
  for (const line of lines) {
    const { isWhole: _, isTelling: __, kept, ...said } = aboutLine(line) ?? headLine(line)
    const isNew = Object.keys(said).every((name) => !(name in head))
    if (isNew) head = { ...head, ...said }
    if (!isNew || kept !== undefined) more.push(isNew ? (kept ?? '') : line.trim())
  }
  const purpose = [head.purpose, ...more].filter((text) => text !== undefined && text !== '').join('\n')
  return withFields(head, { purpose: purpose === '' ? undefined : purpose.slice(0, textLimits.text) })
}
