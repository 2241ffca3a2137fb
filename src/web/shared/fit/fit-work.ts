import type { OwnThing } from '#model/own'
import type { Target } from '#model/pose'
import type { Session } from '#model/session'
import { betterOrder, chooseSession, fewerBlocks, shorterAndFewer, stretchToLength } from '#core/fit'
import type { ChooserWish, ChosenSession, Fit, OrderSuggestion } from '#core/fit'
import { dealAtHome, dealOut, fittedTo, forHeights, posesToDeal } from '#core/class'
import type { Allocation, AtHome, Fitted, ForHeight, ForHeightsInput, GivenItems, Stock } from '#core/class'
import type { ElevationInput, Who } from '#core/figure'
import { ok } from '#core/result'
import type { Result } from '#core/result'
import { resolveSession, withOwn } from '#core/session'
import type { Catalog } from '#core/session'
import { compileTimeline } from '#core/timeline'
import { namedFolds } from '#library/prop-kinds'
import { shippedCatalog } from '#library/shipped'
import { substitutes } from '#library/substitutes'

/** What can be asked of the fits, and what comes of it. */
export interface FitAsked {
  /** By the holds alone: shorter or longer. */
  holds: { readonly asks: { readonly session: Session }; readonly gives: Fit }
  fewer: { readonly asks: { readonly session: Session; readonly keepTargets: readonly Target[] }; readonly gives: Fit }
  both: {
    readonly asks: { readonly session: Session; readonly keepTargets: readonly Target[]; readonly leastShare: number }
    readonly gives: Fit
  }
  order: { readonly asks: { readonly session: Session }; readonly gives: OrderSuggestion }
  /** Who gets what of too little: of the cupboard, or at home of their own things. */
  deal: {
    readonly asks: {
      readonly session: Session
      readonly who: readonly string[]
      /** What all have together. */
      readonly stock: Stock
      /** At home: what each has of their own, in place of it. */
      readonly atHome?: readonly AtHome[] | undefined
    }
    readonly gives: Allocation<GivenItems>
  }
  /** The set-ups of a session for the heights of those who come. */
  heights: {
    readonly asks: { readonly session: Session } & Pick<ForHeightsInput, 'bodies' | 'elsewhere' | 'kinds' | 'usual'>
    readonly gives: readonly ForHeight[]
  }
  /** One set-up for bodies of other heights than it is planned for. */
  bodies: {
    readonly asks: { readonly setUp: ElevationInput; readonly bodies: readonly Who[] }
    readonly gives: readonly Fitted[]
  }
  choose: { readonly asks: { readonly wish: ChooserWish }; readonly gives: ChosenSession }
}
export type FitKind = keyof FitAsked
export type FitQuestion = {
  [K in FitKind]: {
    readonly kind: K
    readonly own: readonly OwnThing[]
    /** How many are led, where a class is planned. */
    readonly people?: number | undefined
    /** What is kept for the one who comes, where nobody else does. */
    readonly keptForOne?: Catalog['keptForOne']
    /** What led classes taught. */
    readonly learned?: Catalog['learned']
  } & FitAsked[K]['asks']
}[FitKind]

/** Answers a question; the own things stand before the shipped ones. */
export function answerFit(question: FitQuestion): Result<FitAsked[FitKind]['gives']> {
  const catalog: Catalog = {
    ...withOwn(shippedCatalog, question.own),
    ...{ people: question.people, keptForOne: question.keptForOne },
    ...(question.learned ? { learned: question.learned } : {}),
  }
  switch (question.kind) {
    case 'holds':
      return stretchToLength(question.session, catalog)
    case 'fewer':
      return fewerBlocks(question.session, catalog, question.keepTargets)
    case 'both':
      return shorterAndFewer(question.session, catalog, question)
    case 'order':
      return betterOrder(question.session, catalog)
    case 'deal':
      return deal(question, catalog)
    case 'heights':
      return heights(question, catalog)
    case 'bodies':
      return ok(fittedTo({ ...question.setUp, folds: Object.values(namedFolds) }, question.bodies))
    case 'choose':
      return chooseSession(question.wish, catalog)
  }
}

function deal(
  { session, who, stock, atHome }: FitAsked['deal']['asks'],
  catalog: Catalog,
): Result<Allocation<GivenItems>> {
  const timeline = compileTimeline(session, catalog)
  if (!timeline.ok) return timeline
  const poses = posesToDeal(timeline.value, catalog, session)
  if (atHome)
    return dealAtHome(
      atHome.map((one) => ({ ...one, poses })),
      substitutes,
    )
  return dealOut({
    people: who.map((id) => ({ id, poses })),
    stock,
    // What a house has is there in a room only where its cupboard lists it, and these no cupboard can.
    substitutes: substitutes.filter(({ by }) => by !== 'coat' && by !== 'riceBag'),
  })
}

function heights({ session, ...asked }: FitAsked['heights']['asks'], catalog: Catalog): Result<readonly ForHeight[]> {
  const blocks = resolveSession(session, catalog)
  if (!blocks.ok) return blocks
  return ok(forHeights({ ...asked, catalog, blocks: blocks.value, folds: Object.values(namedFolds) }))
}
