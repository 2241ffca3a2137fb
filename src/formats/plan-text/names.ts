import MiniSearch from 'minisearch'
import type { Names } from '#model/names'
import type { Catalog } from '#core/session'
import { foldMarks, grouped } from '#core/units'
import { without } from './scratch.ts'
import type { Scratch } from './scratch.ts'

/** Something of the shelf that a line can name. */
export interface Thing {
  readonly kind: 'hold' | 'movement' | 'breath'
  readonly id: string
}
export const isSameThing = (a: Thing, b: Thing): boolean => a.kind === b.kind && a.id === b.id

/** One way a thing is called: its words as they sound; the lower the rank, the more it is its name. */
interface Way {
  readonly id: number
  readonly thing: Thing
  readonly words: readonly string[]
  readonly rank: number
}
interface FormName {
  readonly id: string
  readonly words: readonly string[]
}
export interface NameBook {
  /** What the forms of each pose are called. */
  readonly forms: ReadonlyMap<string, readonly FormName[]>
  readonly byFirst: ReadonlyMap<string, readonly Way[]>
  readonly ways: readonly Way[]
  readonly index: MiniSearch<{ readonly id: number; readonly text: string }>
}

/** Said along with a name, telling nothing. */
const saidAlong: ReadonlySet<string> = new Set([
  'the',
  'a',
  'an',
  'of',
  'and',
  'with',
  'pose',
  'posture',
  'asana',
  'your',
])

/** Ways of writing the same sound, so that "shavasana", "savasana" and "śavāsana" are one, and "vritti" and "vṛtti". */
const sounds: readonly (readonly [RegExp, string])[] = [
  [/'s?$|'/g, ''],
  [/sh/g, 's'],
  [/ch/g, 'c'],
  [/ph/g, 'f'],
  [/([tdbkg])h/g, '$1'],
  [/ri(?=[^aeiou])/g, 'r'],
  [/w/g, 'v'],
  [/(.)\1/g, '$1'],
  // One and many are one: "leg up the wall".
  [/(?<=.{3})s$/g, ''],
]
const sounded = (word: string): string => sounds.reduce((text, [from, to]) => text.replace(from, to), foldMarks(word))

const wordPattern = /[\p{L}\p{N}']+/gu
const wordsOf = (name: string): string[] =>
  [...foldMarks(name).matchAll(wordPattern)].flatMap(([word]) => (saidAlong.has(word) ? [] : [sounded(word)]))

/** What stands after a comma on the shelf is said before the name too. */
const saidFor: Readonly<Record<string, readonly string[]>> = {
  lying: ['lying', 'reclined', 'reclining', 'supine'],
  reclined: ['reclined', 'reclining', 'lying', 'supine'],
  seated: ['seated', 'sitting'],
}

/** From this rank on a name is only a part of itself. */
const shortened = 2

/** The ways a name is said: whole, with its comma turned, and without what follows the comma. */
function waysOfName(name: string, rank: number): { readonly words: string[]; readonly rank: number }[] {
  const [head = '', after] = name.split(',').map((part) => part.trim())
  const whole = [{ words: wordsOf(name), rank }]
  if (after === undefined) return whole
  const turned = (saidFor[foldMarks(after)] ?? [after]).map((word) => ({ words: wordsOf(`${word} ${head}`), rank }))
  return [...whole, ...turned, { words: wordsOf(head), rank: rank + shortened }]
}

const waysOf = ({ english, sanskrit, others }: Names) =>
  [
    ...waysOfName(english, 0),
    ...others.flatMap((name) => waysOfName(name, 1)),
    ...(sanskrit ? waysOfName(sanskrit, 1) : []),
  ]
    // Without its props a pose is often called the same.
    .flatMap((way) => [way, ...plainer(way)])
    .filter(({ words }) => words.join('').length > 2)

const plainer = ({ words, rank }: { readonly words: string[]; readonly rank: number }) =>
  words[0] === 'suported' && words.length > 1 ? [{ words: words.slice(1), rank: rank + shortened + 1 }] : []

/** The ways all things of a catalog are called, own poses before shipped ones. */
export function nameBook({ poses, ownPoses, movements, techniques }: NamedIn): NameBook {
  const things = [
    ...[...ownPoses.values(), ...[...poses.values()].filter(({ id }) => !ownPoses.has(id))].map((pose) => ({
      thing: { kind: 'hold' as const, id: pose.id },
      names: pose.names,
    })),
    ...[...movements.values()].map(({ id, names }) => ({ thing: { kind: 'movement' as const, id }, names })),
    ...[...techniques.values()].map(({ id, names }) => ({ thing: { kind: 'breath' as const, id }, names })),
  ]
  const ways = things
    .flatMap(({ thing, names }) => waysOf(names).map((way) => ({ thing, ...way })))
    .map((way, id): Way => ({ ...way, id }))
  const index = new MiniSearch<{ id: number; text: string }>({
    fields: ['text'],
    tokenize: (text) => text.split(' '),
    processTerm: (word) => word,
  })
  index.addAll(ways.map(({ id, words }) => ({ id, text: words.join(' ') })))
  const forms = new Map(
    [...poses.values(), ...ownPoses.values()].map(({ id, variants }) => [
      id,
      variants.map((variant) => ({ id: variant.id, words: wordsOf(variant.name) })),
    ]),
  )
  return { ways, index, forms, byFirst: grouped(ways, ({ words }) => words[0] ?? '') }
}
type NamedIn = Pick<Catalog, 'poses' | 'ownPoses' | 'movements' | 'techniques'>

interface Heard {
  readonly word: string
  readonly from: number
  readonly to: number
}
/** No name has a longer word: what is longer is none, and is not looked for. */
const mostLetters = 40
const heardIn = ({ folded }: Scratch): Heard[] =>
  [...folded.matchAll(/[\p{L}']+/gu)].flatMap(({ 0: word, index }) =>
    saidAlong.has(word) || word.length > mostLetters
      ? []
      : [{ word: sounded(word), from: index, to: index + word.length }],
  )

/** What a line names: the things it may be, the likeliest first, whether one is said outright, and the line without it. */
export interface Named {
  readonly things: readonly Thing[]
  readonly isSure: boolean
  readonly rest: Scratch
  /** Where the name begins. */
  readonly from: number
  /** It is only a part of the name. */
  readonly isShort?: boolean
}

interface Match {
  readonly way: Way
  readonly from: number
  readonly to: number
}

/** The longest name that is said word for word; of several things called so, all, the truest name first. */
export function namedOutright(
  book: NameBook,
  line: Scratch,
  isWanted: (thing: Thing, rank: number) => boolean = () => true,
): Named | undefined {
  const heard = heardIn(line)
  const matches = heard.flatMap((first, at) =>
    (book.byFirst.get(first.word) ?? []).flatMap((way): Match[] => {
      const last = heard[at + way.words.length - 1]
      const isSaid = last !== undefined && way.words.every((word, index) => heard[at + index]?.word === word)
      return isSaid && isWanted(way.thing, way.rank) && !isParted(line, first.from, last.to)
        ? [{ way, from: first.from, to: last.to }]
        : []
    }),
  )
  const inOrder = matches.toSorted(
    (a, b) => b.way.words.length - a.way.words.length || a.way.rank - b.way.rank || a.from - b.from,
  )
  const [best] = inOrder
  if (!best) return undefined
  const alike = inOrder.filter(
    ({ way, from, to }) => way.rank === best.way.rank && from === best.from && to === best.to,
  )
  const all = inOrder.filter(({ from, to }) => from === best.from && to === best.to)
  const things = distinct([...alike, ...all].map(({ way }) => way.thing))
  const isSure = distinct(alike.map(({ way }) => way.thing)).length === 1
  return {
    things,
    isSure,
    from: best.from,
    isShort: best.way.rank >= shortened,
    rest: without(line, best.from, best.to),
  }
}

/** The form of a pose that a line says after it, and the line without it. */
export function takeForm(book: NameBook, line: Scratch, { id: poseId }: Thing) {
  const heard = heardIn(line)
  for (const { id, words } of book.forms.get(poseId) ?? [])
    for (const [at, { from }] of heard.entries()) {
      const last = heard[at + words.length - 1]
      if (last && words.every((word, index) => heard[at + index]?.word === word) && !isParted(line, from, last.to))
        return {
          variantId: id,
          text: line.typed.slice(line.from[from], line.from[last.to]),
          rest: without(line, from, last.to),
        }
    }
  return undefined
}

/** Something was taken from between the words, or stands there that is no word. */
const isParted = ({ folded }: Scratch, from: number, to: number): boolean => /[\ue000\d]/.test(folded.slice(from, to))

/** A word of more than three letters may be mistyped: one slip, two in words of seven letters and more. */
const slips = (word: string): number | false => (word.length < 4 ? false : word.length < 7 ? 1 : 2)

/** How much of a name must be heard for it to be taken, and to be offered. */
const taken = 0.72
const offered = 0.34
const mostOfLine = 0.6
const begun = 0.3
const nearlyAll = 0.9
const mostOffered = 6

/**
 * What a line may name with slips, words left out or turned round: the likeliest first, none where nothing sounds like it.
 * `isTaken` tells whether the first is likely enough to be taken, with a doubt; `isWhole` that nearly all of its name is
 * said, in one piece.
 */
export function namedLikely(
  book: NameBook,
  line: Scratch,
  isWanted: (thing: Thing) => boolean = () => true,
): Named & { readonly isTaken: boolean; readonly isWhole: boolean } {
  const heard = heardIn(line)
  const query = heard.map(({ word }) => word)
  const results = book.index.search(query.join(' '), {
    combineWith: 'OR',
    fuzzy: slips,
    prefix: (word) => word.length > 3,
  })
  const likely = results
    .flatMap(({ id, match, queryTerms, score }) => {
      const way = book.ways[Number(id)]
      if (!way || !isWanted(way.thing)) return []
      const ofName = Math.min(1, Object.keys(match).join('').length / way.words.join('').length)
      const ofLine = Math.min(1, [...new Set(queryTerms)].join('').length / query.join('').length)
      return [{ way, score, ofName, ofLine, share: 0.65 * ofName + 0.35 * ofLine, terms: new Set(queryTerms) }]
    })
    .filter(({ share }) => share >= offered)
    .toSorted((a, b) => b.share - a.share || a.way.rank - b.way.rank || b.score - a.score)
  const [best] = likely
  const things = distinct(likely.map(({ way }) => way.thing)).slice(0, mostOffered)
  if (!best) return { things, isSure: false, isTaken: false, isWhole: false, rest: line, from: line.folded.length }
  // Most of the line belongs to the name, and all of it where the name is only begun.
  const isTaken = (best.share >= taken && best.ofLine >= mostOfLine) || (best.ofLine > 0.95 && best.ofName >= begun)
  const said = heard.filter(({ word }) => best.terms.has(word))
  const rest = isTaken ? said.reduce((left, { from, to }) => without(left, from, to), line) : line
  const isTogether = !isParted(line, said[0]?.from ?? 0, said.at(-1)?.to ?? 0)
  return {
    things,
    isSure: false,
    isTaken,
    isWhole: isTogether && best.share >= nearlyAll,
    rest,
    from: said[0]?.from ?? 0,
  }
}

export const distinct = (things: readonly Thing[]): Thing[] =>
  things.filter((thing, at) => things.findIndex((one) => isSameThing(one, thing)) === at)
