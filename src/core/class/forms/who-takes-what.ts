import type { FormOfPerson } from '#model/planned-class'
import { asAsked, askedOfForms } from '#core/cautions'
import type { Asked, Gated, ScreeningBooks } from '#core/cautions'
import type { HoldSide, Resolved } from '#core/session'
import type { Seconds } from '#core/units'
import { isFree } from './as-planned.ts'
import { asPlanned, choiceOf, choicesFor, isNewTo, isOffered } from './choices.ts'
import type { Choice, Doing, ForWhom } from './choices.ts'
import type { Comer } from './comers.ts'
import { oneNest } from './nest.ts'
import type { Nest } from './nest.ts'
import { costOf, easiestWay } from './route.ts'
import type { WayCost } from './route.ts'

/** What somebody does in a block. */
export interface Taking {
  readonly blockId: string
  readonly personId: string
  /** The block as planned, judged for them. */
  readonly planned: Choice
  /** All they could do; empty where it need not be asked: it is done as planned, or nothing is left. */
  readonly choices: readonly Choice[]
  /** What is suggested; the planned itself where nothing is to be changed, nothing where nothing is left. */
  readonly suggested: Choice | undefined
  /** What was chosen for them and still holds. */
  readonly chosen: (FormOfPerson & { readonly choice: Choice }) | undefined
  /** What they do: what was chosen, else what is suggested. */
  readonly does: Choice | undefined
  /** How long they hold each side where that is less than the class: then half way out, and the same rest as all. */
  readonly shorter: readonly { readonly side: HoldSide; readonly heldS: Seconds; readonly restsS: Seconds }[]
  readonly isNew: boolean
}

export interface PersonThrough {
  readonly comer: Comer
  readonly gated: Gated
  readonly takings: readonly Taking[]
  /** Their own way through the class. */
  readonly way: WayCost
  /** One place and set-up for several of the blocks they do otherwise, where there is one. */
  readonly nests: readonly Nest[]
}

/**
 * What everybody who comes does in every block: as planned where nothing speaks against it; else what was chosen and
 * still holds; else what is suggested for their whole way through the class [decisions, People and classes]. No form that
 * is to be left out is ever offered; sides stay as even as they were planned.
 */
export function whoTakesWhat(
  blocks: readonly Resolved[],
  comers: readonly Comer[],
  forms: readonly FormOfPerson[],
  books: ScreeningBooks,
): readonly PersonThrough[] {
  const asks = askedOfForms(books.book)
  const doings = blocks.filter((block): block is Doing => block.kind !== 'talk')
  return comers.map((comer) => {
    const asked = asAsked(comer.person, books.book, asks, comer.notToday)
    const theirs = forms.filter(({ personId }) => personId === comer.id)
    return through(doings, { comer, asked, books }, theirs)
  })
}

function through(doings: readonly Doing[], whom: ForWhom, forms: readonly FormOfPerson[]): PersonThrough {
  const looks = doings.map((block) => lookAt(block, whom, forms))
  const way = easiestWay(looks.map(({ chosen, free }) => (chosen ? [chosen.choice] : free)))
  /** What would be suggested in a block where something was chosen, with all else as it is. */
  const suggestedAt = (at: number): Choice | undefined =>
    easiestWay(looks.map(({ free }, other) => (other === at ? free : [way[other]].flatMap((one) => one ?? []))))[at]
  const takings = looks.map(({ block, planned, choices, chosen }, at): Taking => {
    const does = way[at]
    return {
      ...{ blockId: block.block.id, personId: whom.comer.id, planned, choices, chosen, does },
      suggested: chosen ? suggestedAt(at) : does,
      shorter: does ? shorterThan(block, does) : [],
      isNew: planned.pose !== undefined && isNewTo(whom.comer, planned.pose.id),
    }
  })
  return {
    ...{ comer: whom.comer, gated: gatedOf(whom.asked), takings },
    way: costOf(takings.map(({ does }) => does)),
    nests: oneNest(takings),
  }
}

const gatedOf = ({ judged }: Asked): Gated => judged.gated

interface LookedAt {
  readonly block: Doing
  readonly planned: Choice
  readonly choices: readonly Choice[]
  readonly chosen: Taking['chosen']
  /** What a suggestion may be made of, whatever was chosen. */
  readonly free: readonly Choice[]
}

function lookAt(block: Doing, whom: ForWhom, forms: readonly FormOfPerson[]): LookedAt {
  const planned = asPlanned(block, whom)
  const chosen = forms.flatMap((form) => chosenIn(form, block, whom))[0]
  const likes = (whom.comer.person.likes ?? []).some(({ poseId }) => poseId === planned.pose?.id)
  const isSimple = isFree(planned) && !planned.pastStage && !likes
  const choices = isSimple && !chosen ? [] : choicesFor(block, whom)
  const free = isSimple ? [planned] : likes ? likedFirst(choices) : choices
  return { block, planned, choices, chosen, free }
}

/** What they like to take is not weighed against anything. */
function likedFirst(choices: readonly Choice[]): readonly Choice[] {
  const liked = choices.filter(({ near }) => near === 'liked')
  return liked.length > 0 ? liked : choices
}

/** A form that was chosen for this block holds as long as its pose is there and nothing says to leave it out. */
function chosenIn(form: FormOfPerson, block: Doing, whom: ForWhom): NonNullable<Taking['chosen']>[] {
  if (form.blockId !== block.block.id) return []
  if (form.poseId !== (block.kind === 'hold' ? block.pose.id : undefined)) return []
  const choice = form.handed ? asHanded(form, block, whom) : choiceOf(form.takes, block, whom)
  return choice && isOffered(choice) ? [{ ...form, choice }] : []
}

/** As a colleague said it who knows why, where nothing that is known here may speak against the pose. */
function asHanded({ takes, handed }: FormOfPerson, block: Doing, whom: ForWhom): Choice | undefined {
  const choice =
    choiceOf(takes, block, whom) ??
    (takes.kind === 'changed' ? { ...asPlanned(block, whom), takes, near: 'asTheRowSays' as const } : undefined)
  if (!choice) return undefined
  const caps = [choice.capS, handed?.mostS].filter((one) => one !== undefined)
  return {
    ...choice,
    ...(handed?.says === undefined ? {} : { says: handed.says }),
    capS: caps.length > 0 ? Math.min(...caps) : undefined,
  }
}

/** Held times are said in steps of five seconds. */
const stepS = 5

function shorterThan(block: Doing, { capS }: Choice): Taking['shorter'] {
  if (capS === undefined) return []
  const sides =
    block.kind === 'hold'
      ? block.sides.map(({ side, holdS }) => ({ side, s: holdS }))
      : block.kind === 'closing'
        ? [{ side: 'both' as const, s: block.finalRestS.value }]
        : []
  const mostS = Math.max(stepS, Math.floor(capS / stepS) * stepS)
  if (sides.every(({ s }) => s <= mostS)) return []
  return sides.map(({ side, s }) => ({ side, heldS: Math.min(s, mostS), restsS: Math.max(0, s - mostS) }))
}
