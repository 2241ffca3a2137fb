import { finalRestPose } from '#core/session'
import type { Seconds } from '#core/units'
import { takeCounts } from './counts.ts'
import type { SaidCounts } from './counts.ts'
import { distinct, namedLikely, namedOutright, takeForm } from './names.ts'
import type { NameBook, Thing } from './names.ts'
import { takeProps } from './props.ts'
import type { SaidProps } from './props.ts'
import { leftOf, scratchOf, take, taken, without } from './scratch.ts'
import type { Scratch } from './scratch.ts'
import { takeSides } from './sides.ts'
import type { SaidSides } from './sides.ts'
import { secondsIn, takeTimes, timePattern, withoutBullets } from './times.ts'
import type { SaidTime } from './times.ts'

/** The kinds of block a line may say without naming anything of the shelf. */
export type PlainKind = 'talk' | 'rest' | 'closing'

/** All that a line says, whatever it becomes. */
export interface SaidLine {
  /** The line without bullets and clock. */
  readonly text: string
  readonly kind?: PlainKind | 'breath'
  /** What it names, the likeliest first, and whether one is said outright, or likely enough to be taken. */
  readonly things: readonly Thing[]
  readonly how: 'outright' | 'alike' | 'likely' | 'guessed'
  /** The form of the first of them, and how it was written. */
  readonly form?: { readonly variantId: string; readonly text: string }
  /** A breath or another thing it names besides. */
  readonly second?: Thing
  readonly sides: SaidSides
  readonly counts: SaidCounts
  readonly props: SaidProps
  readonly times: readonly SaidTime[]
  readonly around: SaidAround
  /** What nothing was made of, as it was typed. */
  readonly left: readonly string[]
}

/** Times around a hold that are said as such, s. */
export interface SaidAround {
  readonly changeS?: Seconds
  readonly setUpS?: Seconds
  readonly settleS?: Seconds
  readonly comingOutS?: Seconds
  readonly betweenSidesS?: Seconds
  readonly secondSetUpS?: Seconds
  readonly afterRestS?: Seconds
  /** Of a closing alone. */
  readonly rollS?: Seconds
  readonly sittingUpS?: Seconds
}

const noSides: SaidSides = { each: false, other: false, together: false }
const nothingSaid: Omit<SaidLine, 'text' | 'left'> = {
  ...{ things: [], how: 'guessed' },
  ...{ sides: noSides, counts: {}, props: [], times: [], around: {} },
}

/** "talk 3:00 Welcome", "talk: welcome": what follows is what the talk is called, whatever it says. */
const talkFirst = new RegExp(String.raw`^\s*talk(?:ing)?\b[ :,-]*(?:(${timePattern})(?=$|[\s,;:.-])[ :,;-]*)?`)
const talks =
  /^\s*(?:welcome|intro(?:duction)?|opening|arriv(?:e|al|ing)|announce(?:ments?)?|notices|check[- ]?in|story|poem|reading|break|tea|questions|thanks?|thank you|greetings?|settling in|landing|theme talk|explain(?:ing)?)\b/
const rests =
  /^\s*(?:rest|pause|stillness|rebound|neutral(?: rest)?|be still|lie still|lie flat|silence|integrat(?:e|ion))\b/
export const closings =
  /\b(?:closing|final (?:rest|relaxation)|end(?:ing)? (?:rest|relaxation)|relaxation|sh?avas[a]+na|savasna|corpse(?: pose)?)\b/
const breaths = /^\s*(?:breath(?: ?work|ing)?|prana?yama|breath practice)\b/

/** Reads one line: its kind, what it names, its sides, counts, props and times, and what is left of it. */
export function readLine(text: string, book: NameBook): SaidLine {
  const line = withoutBullets(scratchOf(text))
  const plain = { ...nothingSaid, text: text.trim() }
  const talk = take(line, talkFirst)
  if (talk) return { ...plain, kind: 'talk', ...titled(talk.rest, talk.said[1]) }
  const named = namedOutright(book, line)
  const isNamedFirst = named !== undefined && named.from <= (/\S/.exec(line.folded)?.index ?? 0)
  const kind = isNamedFirst ? undefined : kindOf(line)
  if (kind === 'talk') {
    const { times, rest } = takeTimes(line)
    return { ...plain, kind, times, left: leftOf(rest) }
  }
  return { ...plain, ...(kind ? { kind } : {}), ...said(line, book, kind) }
}

function titled(rest: Scratch, time: string | undefined): Pick<SaidLine, 'times' | 'left'> {
  const first = time === undefined ? undefined : secondsIn(time)
  if (first) return { times: [{ ...first, text: time ?? '', from: 0 }], left: leftOf(rest) }
  const { times, rest: after } = takeTimes(rest)
  return { times, left: leftOf(after) }
}

function kindOf({ folded }: Scratch): SaidLine['kind'] {
  if (talks.test(folded)) return 'talk'
  if (closings.test(folded)) return 'closing'
  if (rests.test(folded)) return 'rest'
  return breaths.test(folded) ? 'breath' : undefined
}

const mostChoices = 8

/** What a line says that is no talk. */
function said(line: Scratch, book: NameBook, kind: SaidLine['kind']): Omit<SaidLine, 'text' | 'kind'> {
  const outright = namedOutright(book, line)
  const isOfBreath = kind === 'breath' || outright?.things[0]?.kind === 'breath'
  const form = outright?.things[0] && takeForm(book, outright.rest, outright.things[0])
  const isClosing = kind === 'closing' || outright?.things[0]?.id === finalRestPose
  const around = takeAround(form?.rest ?? outright?.rest ?? line, isClosing)
  const sides = takeSides(around.rest)
  const counts = takeCounts(sides.rest, { isOfBreath, isOfHold: outright?.things[0]?.kind === 'hold' })
  const second =
    outright && namedOutright(book, counts.rest, ({ kind: one }, rank) => (one === 'breath') !== isOfBreath && rank < 2)
  const props = takeProps(second?.rest ?? counts.rest)
  const times = takeTimes(props.rest)
  const of = {
    sides: sides.sides,
    counts: counts.counts,
    props: props.props,
    times: times.times,
    around: around.around,
  }
  if (outright) {
    const other = second?.isSure ? second.things[0] : undefined
    const left = leftOf(times.rest)
    // A part of a name among other words may be part of another: "ankle lan".
    const how = outright.isSure && !(outright.isShort && left.length > 0) ? 'outright' : 'alike'
    const others = namedLikely(book, line).things
    const named = {
      things: distinct([...outright.things, ...others]).slice(0, mostChoices),
      how,
      ...(form ? { form } : {}),
      ...(other ? { second: other } : {}),
    } as const
    return { ...of, ...named, left }
  }
  const plain = kind === 'breath' ? withoutKind(times.rest, kind) : times.rest
  const likely = namedLikely(
    book,
    propsBack(plain, props.rest, counts.rest),
    kind === 'breath' ? (one) => one.kind === 'breath' : undefined,
  )
  // The kinds that need no name are one only where most of it is said: "rest with knees ben".
  if ((kind === 'rest' || kind === 'closing') && !likely.isWhole)
    return { ...of, things: likely.things, how: 'guessed', left: leftOf(withoutKind(times.rest, kind)) }
  return {
    ...of,
    things: likely.things,
    how: likely.isTaken ? 'likely' : 'guessed',
    left: leftOf(likely.isTaken ? within(plain, likely.rest) : plain),
  }
}

/** The words of props may belong to a name ("calfs on chair"): they are heard again where none was said outright. */
function propsBack(now: Scratch, after: Scratch, before: Scratch): Scratch {
  const folded = [...now.folded].map((letter, at) =>
    after.folded[at] === taken ? (before.folded[at] ?? letter) : letter,
  )
  return { ...now, folded: folded.join('') }
}

/** What both have left. */
const within = (a: Scratch, b: Scratch): Scratch => ({
  ...a,
  folded: [...a.folded].map((letter, at) => (b.folded[at] === taken ? taken : letter)).join(''),
})

const kindWords = { rest: rests, closing: closings, breath: breaths }
function withoutKind(line: Scratch, kind: keyof typeof kindWords): Scratch {
  return take(line, kindWords[kind])?.rest ?? line
}

/** Times that are said to be around a hold or in a closing, by what they are called. */
const aroundNames: readonly (readonly [keyof SaidAround, string])[] = [
  ['secondSetUpS', 'second set-?up|set-?up of the second side'],
  ['changeS', 'change(?: into it)?'],
  ['setUpS', 'set-?up|setting up'],
  ['settleS', 'settl(?:e|ing)'],
  ['comingOutS', 'com(?:e|ing) out|exit'],
  ['betweenSidesS', 'between(?: the)? sides'],
  ['afterRestS', 'rebound|after-?rest|rest after(?:wards)?|rest|counter ?rest|then rest|neutral'],
]

const closingNames: typeof aroundNames = [
  ['rollS', 'roll(?:ing)?'],
  ['sittingUpS', 'sit(?:ting)? up'],
]

function takeAround(line: Scratch, isClosing: boolean): { readonly around: SaidAround; readonly rest: Scratch } {
  let rest = line
  let around: SaidAround = {}
  for (const [name, words] of isClosing ? [...aroundNames, ...closingNames] : aroundNames) {
    const named = `(?:\\b(?:${words})\\b ?(?:of |for |is )?[:=]? ?)`
    const found =
      take(rest, new RegExp(String.raw`(?:\bthen )?${named}(${timePattern})`)) ??
      take(rest, new RegExp(String.raw`(?<=[,;+&(] ?|\band |\bthen )(${timePattern}) (?:min )?(?:${words})\b`))
    const time = found && secondsIn(found.said[1] ?? '')
    // At the beginning of a line it is what the line is about.
    if (!found || !time || /^\s*$/.test(rest.folded.slice(0, found.said.index))) continue
    around = { ...around, [name]: time.s }
    rest = without(rest, found.said.index, found.said.index + found.said[0].length)
  }
  return { around, rest }
}
