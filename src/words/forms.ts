import type { CautionGrade } from '#model/caution'
import type { LedForm } from '#model/led-class'
import type { FormTaken } from '#model/form-taken'
import type { FormOfPerson } from '#model/planned-class'
import type { Pose } from '#model/pose'
import { isAsPlanned } from '#core/class'
import type { Choice, Nearness, PersonThrough, Taking } from '#core/class'
import type { Verdict } from '#core/cautions'
import type { Resolved } from '#core/session'
import { formatDuration } from '#core/units'
import { sayCaution } from './conditions.ts'
import { shortNames } from './condition-names.ts'
import { gradeLeads } from './cautions.ts'
import { capital, joined, lower, namesInWords } from './text.ts'

/** What the rows against something say to do, each once, the strictest first. */
const askedFor = ({ reasons }: Verdict): readonly string[] => [
  ...new Set(reasons.filter(({ grade }) => grade === 'modify').map(({ rule }) => sayCaution(rule.instead))),
]

/** Why somebody does nothing in a block. */
const nothingWords = ({ verdict }: Choice): string => (verdict.gated.gate === 'stop' ? 'not today' : 'no form fits')

/** What is changed: as a colleague said it who knows why, else as the rows say. */
const changedWords = ({ says, verdict }: Pick<Choice, 'says' | 'verdict'>): string =>
  says ?? joined(askedFor(verdict), '; ')

/** A form as it is called in a list. */
export function formName(choice: Choice): string {
  const { takes, pose, variant } = choice
  switch (takes.kind) {
    case 'asItStands':
      return 'As it stands'
    case 'setUp':
      return 'As it stands, in another set-up'
    case 'changed':
      return `Changed: ${changedWords(choice)}`
    case 'variant':
      return variant?.name ?? ''
    case 'pose': {
      const name = joined([pose?.names.english ?? '', lower(variant?.name ?? '')], ', ')
      return takes.breath ? `${name}, breathing naturally` : name
    }
    case 'natural':
      return 'Natural breath'
    case 'rest':
      return 'Rest where they are'
  }
}

/** What somebody likes to take in place of a pose, as their page lists it. */
export function takenInWords(
  takes: FormTaken,
  pose: Pick<Pose, 'variants'> | undefined,
  poseName: (poseId: string, variantId?: string) => string,
): string {
  switch (takes.kind) {
    case 'asItStands':
    case 'setUp':
      return 'the pose as it stands'
    case 'changed':
      return 'the pose, changed as its cautions say'
    case 'variant':
      return lower(pose?.variants.find(({ id }) => id === takes.variantId)?.name ?? 'a form that is gone')
    case 'pose':
      return lower(poseName(takes.poseId, takes.variantId))
    case 'natural':
      return 'natural breath'
    case 'rest':
      return 'rest where they are'
  }
}

const mostInCell = 24

/** The first thing a row asks for, in its own words. */
const firstClause = (text: string): string => (text.split(/[,;(]|: /)[0] ?? '').trim()

/** The same in a few words, for a cell of the table; nothing where it is done as planned. */
export function formInCell({ does, shorter, planned }: Pick<Taking, 'does' | 'shorter' | 'planned'>): string {
  if (!does) return nothingWords(planned)
  const time = shorter[0] ? formatDuration(shorter[0].heldS) : ''
  if (does.takes.kind === 'asItStands') return time
  if (does.takes.kind === 'changed') {
    const clause = firstClause(changedWords(does))
    return clause.length <= mostInCell ? clause : `${clause.slice(0, mostInCell - 1).trimEnd()}…`
  }
  if (does.takes.kind === 'natural') return 'natural breath'
  if (does.takes.kind === 'rest') return 'rest'
  return lower(does.variant && does.takes.kind === 'variant' ? does.variant.name : (does.pose?.names.english ?? ''))
}

/** How long somebody holds where that is less than the class, and what comes after it. */
export const shorterWords = ({ shorter }: Pick<Taking, 'shorter'>): string => {
  const [first] = shorter
  if (!first) return ''
  const sides = shorter.length > 1 ? ' a side' : ''
  return `${formatDuration(first.heldS)}${sides}, then half way out and the same rest as all.`
}

/** What somebody does in a block, in a line of a list. */
export function takingLine({ does, shorter, planned }: Pick<Taking, 'does' | 'shorter' | 'planned'>): string {
  if (!does) return nothingWords(planned)
  const [first] = shorter
  const time = first ? `${formatDuration(first.heldS)}${shorter.length > 1 ? ' a side' : ''}` : ''
  return joined([does.takes.kind === 'asItStands' && !first ? 'as planned' : formName(does), time], ', ')
}

/** Why a form stands where it does among the others. */
export const nearWords: Readonly<Record<Nearness, string>> = {
  asPlanned: 'as planned',
  liked: 'what they like to take',
  given: 'what the caution asks for',
  asTheRowSays: 'as the caution says',
  sameIntent: 'the same intent',
  named: 'named by the caution',
  another: 'to rest in',
  inPart: 'has still to be changed',
}

/** What is known of a form in a line: why it is offered, and for how long. */
export function choiceAbout({ near, capS, verdict }: Choice, isSuggested: boolean): string {
  const listed = verdict.grade === undefined ? 'nothing listed against it' : ''
  const longest = capS === undefined ? '' : `up to ${formatDuration(capS)}`
  return joined([isSuggested ? 'suggested' : '', nearWords[near], longest, near === 'asPlanned' ? '' : listed], '; ')
}

/** What was decided for somebody, as it is told under the forms. */
export function chosenWords({ chosen, suggested }: Pick<Taking, 'chosen' | 'suggested'>): string {
  if (!chosen) return suggested ? 'Suggested; nobody has chosen yet.' : 'No form fits: ask a professional.'
  const who = chosen.by === 'teacher' ? 'Chosen by you' : 'Taken as suggested'
  return `${who}${chosen.why === undefined ? '' : `: ${chosen.why}`}.`
}

/** A reason against something, as one reads it: what to do, for what, and why. */
export interface ReasonLine {
  readonly grade: CautionGrade
  readonly lead: string
  readonly instead: string
  readonly why: string
}
export const reasonLines = ({ reasons }: Verdict): readonly ReasonLine[] =>
  reasons.map(({ rule, by, grade, consent }) => ({
    grade,
    lead: `${gradeLeads[grade]}: ${namesInWords(by.map((id) => shortNames[id] ?? id))}`,
    instead: capital(sayCaution(rule.instead)),
    why: `${sayCaution(rule.why)}${consent === 'missing' ? '; only with their clinician’s consent' : consent === 'noted' ? '; their clinician’s consent is noted' : ''}`,
  }))

/** What is between the teacher and one person alone, and nothing to offer to a room. */
const isPrivate = (clause: string): boolean =>
  /^(?:ask |only positions|half the|sound side|the better eye)/.test(clause)

/** What one who likes may take in a block, as it is said to everybody: never a number and never a name. */
function offered({ takes, pose, variant, verdict }: Choice): string {
  switch (takes.kind) {
    case 'variant':
      return lower(variant?.name ?? '')
    case 'pose':
      return `${lower(pose?.names.english ?? '')}${takes.breath ? ' with natural breath' : ''}`
    case 'changed':
      return joined(
        askedFor(verdict)
          .map(firstClause)
          .filter((clause) => !isPrivate(clause)),
        ', or ',
      )
    case 'natural':
      return 'natural breath in place of the count'
    case 'rest':
      return 'rest where you are'
    default:
      return ''
  }
}

/** The one sentence for everybody at the set-up of a block; nothing where all do it as planned [teacher's review P1]. */
export function offerToAll(takings: readonly Pick<Taking, 'does'>[]): string {
  const all = new Set(takings.flatMap(({ does }) => (does ? offered(does).split(', or ') : [])))
  const some = [...all].filter((one) => one !== '')
  return some.length === 0 ? '' : `Whoever likes: ${joined(some, ', or ')}.`
}

/**
 * What some take otherwise, block by block in the order of the session, the most first: in numbers and a few words, as a
 * record keeps it and Lead shows it.
 */
export function countedForms(through: readonly PersonThrough[]): readonly LedForm[] {
  const groups = new Map<string, LedForm>()
  const order = new Set<string>()
  for (const { takings } of through) {
    for (const taking of takings) {
      order.add(taking.blockId)
      const { blockId, does, shorter, planned, isNew } = taking
      if ((isAsPlanned(taking) && !isNew) || !does) continue
      const form = does.takes.kind === 'asItStands' ? '' : formInCell({ does, planned, shorter: [] })
      const heldS = shorter[0]?.heldS
      const key = JSON.stringify([blockId, form, heldS, isNew])
      const people = (groups.get(key)?.people ?? 0) + 1
      const held = heldS === undefined ? {} : { heldS }
      groups.set(key, { blockId, form, people, ...held, ...(isNew ? { isNew } : {}) })
    }
  }
  const blocks = [...order]
  return [...groups.values()].sort(
    (a, b) => blocks.indexOf(a.blockId) - blocks.indexOf(b.blockId) || b.people - a.people,
  )
}

/**
 * What the teacher looks to in a block: numbers from two up, "some" for one, never who [teacher's review P1]. What is new
 * to somebody is told while they arrange themselves; nothing where that is all there is.
 */
export function lookToWords({ form, people, heldS, isNew }: LedForm, isArranging: boolean): string {
  const first = isNew && isArranging ? 'new to it: show it first' : ''
  const early = heldS === undefined ? '' : `half way out at ${formatDuration(heldS)}`
  const what = joined([first, form, early], ', ')
  return what === '' ? '' : `${what} · ${people === 1 ? 'some' : String(people)}`
}

/** How long a block is, under its name. */
export function blockLength(block: Resolved): string {
  if (block.kind === 'hold') {
    const [side] = block.sides
    return `${formatDuration(side?.holdS ?? 0)}${block.sides.length > 1 ? ' a side' : ''}`
  }
  return block.kind === 'closing' ? formatDuration(block.finalRestS.value) : ''
}

/** The form to be kept of a choice. */
export const keptForm = (
  { blockId, personId, planned }: Pick<Taking, 'blockId' | 'personId' | 'planned'>,
  { takes }: Choice,
  by: FormOfPerson['by'],
  at: string,
): FormOfPerson => ({
  ...{ personId, blockId, takes, by, at },
  ...(planned.pose ? { poseId: planned.pose.id } : {}),
})

/** All that is not done as planned, as it goes to a colleague who is not told why: in words, and for how long at most. */
export const handedForms = (through: readonly PersonThrough[], at: string): FormOfPerson[] =>
  through.flatMap(({ takings }) => takings.filter((one) => !isAsPlanned(one)).map((one) => handedForm(one, at)))

function handedForm(taking: Taking, at: string): FormOfPerson {
  const { does, planned, shorter, chosen } = taking
  // Where nothing is left for them, they rest meanwhile.
  const choice = does ?? { ...planned, takes: { kind: 'rest' as const } }
  const says = does?.takes.kind === 'changed' ? { says: changedWords(does) } : {}
  const mostS = shorter.length > 0 ? { mostS: Math.max(...shorter.map(({ heldS }) => heldS)) } : {}
  return { ...keptForm(taking, choice, chosen?.by ?? 'suggested', at), handed: { ...says, ...mostS } }
}
