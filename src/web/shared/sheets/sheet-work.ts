import type { OwnThing } from '#model/own'
import type { Room } from '#model/place'
import type { Session } from '#model/session'
import { floorWanted, roomPlan } from '#core/class'
import { elevation, measuresOf, turnedTo } from '#core/figure'
import type { Who } from '#core/figure'
import type { PropSpecs } from '#core/props'
import { withOwn } from '#core/session'
import type { Catalog, Resolved } from '#core/session'
import type { Timeline } from '#core/timeline'
import { beforeIn } from '#words/before-breath'
import { blockName } from '#words/blocks'
import { sheetBlocks } from '#words/class-sheet'
import type { LengthUnit } from '#words/lengths'
import { itemWords, partNames } from '#words/props'
import { roomWords } from '#words/room'
import { seenFromWords } from '#words/seen-from'
import { joined } from '#words/text'
import { floorCard } from '#formats/sheets/floor-card'
import { homeParts } from '#formats/sheets/home-parts'
import { homeSheet } from '#formats/sheets/home-sheet'
import type { Paper } from '#formats/sheets/pdf'
import { roomSvg } from '#formats/sheets/room-drawing'
import { roomSheet } from '#formats/sheets/room-sheet'
import { setUpCards } from '#formats/sheets/set-up-cards'
import type { SetUpCard } from '#formats/sheets/set-up-cards'
import { teacherSheet } from '#formats/sheets/teacher-sheet'
import { shippedCatalog } from '#library/shipped'
import { drawingSvg } from '#web/shared/figures/drawing-svg.ts'
import { drawFrom } from '#web/shared/figures/draw.ts'
import { font, firstPictured, picturesOf } from './pictures-of.ts'
import { studentPageOf } from './student-page.ts'

/** Sheets that can be made of a session. */
export const sheetKinds = ['teacher', 'cards', 'floor', 'home', 'room'] as const
export type SheetKind = (typeof sheetKinds)[number]

/** What every sheet is made from: plain data, so that a worker can have it. */
interface AnySheet {
  readonly session: Session
  readonly own: readonly OwnThing[]
  readonly paper: Paper
  /** The kinds of prop in the sizes of the place. */
  readonly kinds: PropSpecs
}

/** What is practised at home has times of its own. */
export interface HomeQuestion extends AnySheet, Pick<Catalog, 'learned' | 'wordsAMinute'> {
  readonly kind: 'home'
  /** The one name on any sheet. */
  readonly madeFor?: string | undefined
}

/** The class as a page of HTML for its students. */
export interface PageQuestion extends Omit<HomeQuestion, 'kind' | 'paper' | 'madeFor'> {
  readonly kind: 'page'
}

/** A sheet of the class as it is compiled: the times of its worker are those of the window, and nobody is named. */
export interface ClassQuestion extends AnySheet {
  readonly kind: Exclude<SheetKind, 'home'>
  readonly timeline: Timeline
  readonly people?: number | undefined
  readonly unit: LengthUnit
  readonly who: Who
  /** For which heights set-up cards are made, cm. */
  readonly statures: readonly number[]
  readonly about: readonly string[]
  readonly startsAtMin?: number | undefined
  readonly fetch: readonly string[]
  /** What all fetch together, what is short, and how long it takes. */
  readonly fetchAll: readonly string[]
  readonly lookTo: readonly (readonly [blockId: string, lines: readonly string[]])[]
  readonly room?: Room | undefined
}

export type SheetQuestion = HomeQuestion | ClassQuestion

/** A sheet as a document to be set. */
export function sheetOf(question: SheetQuestion) {
  const catalog = withOwn(shippedCatalog, question.own)
  return question.kind === 'home' ? home(question, catalog) : documents[question.kind](question, catalog)
}

const documents = { teacher, cards, floor, room }

function teacher(question: ClassQuestion, catalog: Catalog) {
  const { session, timeline, paper, about, startsAtMin, fetch, fetchAll, kinds } = question
  const lookTo = new Map(question.lookTo)
  const blocks = sheetBlocks(timeline, session.practice).map((block, at) => {
    const resolved = timeline.blocks[at]?.block
    return {
      ...block,
      lookTo: lookTo.get(block.id) ?? [],
      pictures: resolved ? picturesOf(resolved, catalog, kinds) : [],
    }
  })
  return teacherSheet({
    ...{ name: session.name, paper, totalMs: timeline.totalMs, about, blocks },
    ...(startsAtMin === undefined ? {} : { startsAtMin }),
    fetch: [...fetch, ...fetchAll],
    askFirst: beforeIn(session, timeline),
  })
}

function cards(question: ClassQuestion, catalog: Catalog) {
  const { session, timeline, paper, statures } = question
  const made = timeline.blocks.flatMap(({ block }) => {
    const items = 'setUp' in block ? (block.setUp?.value.items ?? []) : []
    return items.length === 0 ? [] : statures.map((statureCm) => cardOf(block, { ...question, catalog, statureCm }))
  })
  return setUpCards({ name: session.name, paper, cards: distinct(made) })
}

/** The same pose with the same things is one card. */
const distinct = (all: readonly SetUpCard[]): SetUpCard[] => [
  ...new Map(all.map((card) => [JSON.stringify([card.title, card.about, card.items]), card])).values(),
]

interface ForCard extends ClassQuestion {
  readonly catalog: Catalog
  readonly statureCm: number
}

/** What a card's picture has room for, px. */
const cardSize = { width: 380, height: 200 } as const

function cardOf(resolved: Resolved, { catalog, statureCm, kinds, unit, who }: ForCard): SetUpCard {
  const pictured = firstPictured(resolved, catalog)
  const { items = [] } = pictured ?? ('setUp' in resolved ? { items: resolved.setUp?.value.items } : {})
  const laid =
    pictured &&
    elevation({
      figure: pictured.figure,
      items,
      kinds,
      who: { ...(who.lateInPregnancy ? { lateInPregnancy: true } : {}), statureCm },
    })
  const view = pictured?.figure.view ?? 'side'
  const drawing =
    pictured && laid?.ok
      ? drawFrom(view, {
          elevation: turnedTo(pictured.side, pictured.figure, laid.value),
          measures: measuresOf(pictured.figure, laid.value),
          ...{ unit, mat: kinds.mat, order: items.map(({ id }) => id), ...cardSize },
        })
      : undefined
  const seen = pictured && drawing ? `, seen from ${seenFromWords(view, pictured.figure)}` : ''
  return {
    title: joined([blockName(resolved), resolved.kind === 'hold' ? (resolved.variant?.name ?? '') : ''], ', '),
    about: `${pictured?.side === undefined ? '' : `${pictured.side} side, `}person of ${String(statureCm)} cm${seen}`,
    ...(drawing ? { picture: drawingSvg(drawing, font) } : {}),
    items: items.map((item) => {
      const where = item.under === undefined ? '' : `${partNames[item.under]}: `
      return `${where}${itemWords(item, kinds[item.kind])}${item.note === undefined ? '' : ` (${item.note})`}`
    }),
  }
}

function floor({ session, timeline, paper }: ClassQuestion) {
  return floorCard({ name: session.name, paper, blocks: sheetBlocks(timeline, session.practice) })
}

/** As `studentPageOf` in web/shared/sheets/student-page has it. */
export const pageOf = ({ session, own, learned, wordsAMinute, kinds }: PageQuestion): Promise<string | undefined> =>
  studentPageOf(session, { ...withOwn(shippedCatalog, own), learned, wordsAMinute }, kinds)

function home({ session, paper, madeFor, kinds, learned, wordsAMinute }: HomeQuestion, things: Catalog) {
  const catalog = { ...things, learned, wordsAMinute }
  const { parts } = homeParts(session, catalog)
  return homeSheet({
    ...{ name: session.name, paper, about: session.theme ?? '' },
    ...(madeFor === undefined ? {} : { madeFor }),
    parts: parts.map(({ resolved, ...part }) => {
      const [picture] = picturesOf(resolved, catalog, kinds)
      return { ...part, ...(picture === undefined ? {} : { picture }) }
    }),
  })
}

function room(question: ClassQuestion) {
  const { session, timeline, paper, about, fetch, fetchAll, people = 0, room: place } = question
  const wanted = floorWanted(timeline)
  const plan = place && people > 0 ? roomPlan(place, people, wanted) : undefined
  return roomSheet({
    ...{ name: session.name, paper, about },
    lists: [
      { title: 'Each fetches', lines: fetch },
      { title: 'All together', lines: fetchAll },
    ],
    ...(place && plan
      ? { picture: roomSvg(place, plan, wanted.atWall.length > 0), words: roomWords(place, people, plan, wanted) }
      : { words: [] }),
  })
}
