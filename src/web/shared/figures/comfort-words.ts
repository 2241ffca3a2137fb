import type { PropKind } from '#model/prop'
import type { BodyPart } from '#model/set-up'
import type { ComfortFinding, Mend } from '#core/comfort'
import type { PropSpecs } from '#core/props'
import { propNames } from '#library/prop-names'
import { angleText, lengthText } from './length-words.ts'
import type { LengthUnit } from './length-words.ts'
import { foldNameOf, foldNames, itemWords, partNames, turnNames } from './prop-words.ts'

/** A finding of a set-up as a teacher reads it: the number first, then what to do about it. */
export interface ComfortWords {
  readonly title: string
  readonly mend: string
}

interface Said {
  readonly cm: (name: string) => string
  /** As a height that is there: none where it is nothing. */
  readonly there: (name: string) => string
  readonly deg: (name: string) => string
  readonly text: (name: string) => string
  readonly is: (name: string) => boolean
  readonly has: (name: string) => boolean
  readonly kind: (name: string) => string
}

const words: Readonly<Record<string, (said: Said) => ComfortWords>> = {
  HEAD_PAD_IMPOSSIBLE: ({ cm }) => ({
    title: `Head pad ${cm('padCm')}: more than a neck bends`,
    mend: `At most ${cm('mostCm')}: is a number mistyped?`,
  }),
  HEAD_PAD_LOW: ({ cm, has }) => ({
    title: has('padCm') ? `Head pad ${cm('padCm')}` : 'No head pad',
    mend: `Pad the head by ${cm('leastCm')} to ${cm('mostCm')}, so that the forehead is level with or above the chin.`,
  }),
  HEAD_PAD_HIGH: ({ cm }) => ({
    title: `Head pad ${cm('padCm')}, at most ${cm('mostCm')}`,
    mend: 'Lower it until the head is level with the shoulders or a little above.',
  }),
  HEAD_TIPPED_BACK: ({ deg }) => ({
    title: `The head tips back, ${deg('tiltDeg')} below the shoulders`,
    mend: 'Raise the head until the chin is no higher than the forehead.',
  }),
  CHIN_TUCKED: ({ deg }) => ({
    title: `The neck bends ${deg('bendDeg')} forward, at most ${deg('mostDeg')}`,
    mend: 'Lower the head pad: a fist fits between chin and breastbone.',
  }),
  HEAD_NOT_REACHED: ({ cm }) => ({
    title: `The head is ${cm('gapCm')} above its support`,
    mend: 'Build the support up until the head rests.',
  }),
  NECK_FLEXED_UNDER_LOAD: ({ cm }) => ({
    title: `Head pad ${cm('padCm')} with the weight on the shoulders`,
    mend: `At most ${cm('mostCm')}: nothing thick under the skull.`,
  }),
  NECK_ALONE: () => ({ title: 'A roll under the nape, nothing under the head', mend: 'Support the head too.' }),
  NECK_ROLL_SIZE: ({ cm }) => ({
    title: `Nape roll ${cm('acrossCm')} across`,
    mend: `Between ${cm('leastCm')} and ${cm('mostCm')} fills a nape.`,
  }),
  HEAD_BELOW_HEART: ({ cm, is }) => ({
    title: `Head about ${cm('belowCm')} below the heart`,
    mend: is('everyone')
      ? `Past ${cm('mostCm')} it is for nobody without care; raise the head or lower the hips.`
      : `Past ${cm('gentleCm')} not with high blood pressure, eye pressure or surgery, reflux, pregnancy or headache.`,
  }),
  PELVIS_EDGE_AT_WAIST: ({ kind }) => ({
    title: `The edge of a ${kind('kind')} at the waist`,
    mend: 'Move it down under the sacrum, or take something soft.',
  }),
  LUMBAR_EDGE: ({ cm, has }) => ({
    title: `The bolster’s edge stands ${cm('edgeCm')} into the low back, limit ${cm('limitCm')}`,
    mend: has('raiseCm')
      ? `Raise the seat by ${cm('raiseCm')}, to ${cm('seatCm')}, or thin the low end.`
      : 'Thin the bolster’s low end, or leave a gap.',
  }),
  SACRUM_NARROW: ({ cm }) => ({
    title: `Only ${cm('acrossCm')} wide under the sacrum`,
    mend: `Something at least ${cm('leastCm')} wide carries it.`,
  }),
  TRUNK_ANGLE: ({ deg, is }) => ({
    title: `Trunk at ${deg('angleDeg')}, ${is('forBreath') ? 'easiest for the breath' : 'usual'} ${deg('leastDeg')} to ${deg('mostDeg')}`,
    mend: 'Raise or lower the head end.',
  }),
  STEEP: ({ deg, text }) => ({
    title: `The ${text('what')} lies at ${deg('angleDeg')}, past ${deg('mostDeg')}`,
    mend:
      text('what') === 'bolster' ? 'It slides: brace it against the wall, or lower the block.' : 'Lower the support.',
  }),
  HEAD_OFF_END: ({ cm }) => ({
    title: `The head comes ${cm('alongCm')} up, past the bolster’s end`,
    mend: 'Lengthen it with a folded blanket.',
  }),
  HANGS_FREE: ({ cm }) => ({
    title: `The bolster hangs ${cm('freeCm')} free above its head block`,
    mend: 'Lower the middle block or raise the head block.',
  }),
  ARMS_UNFILLED: ({ cm, there }) => ({
    title: `Elbows ${cm('elbowsCm')} above the floor, ${there('armsCm')} under them`,
    mend: `Fill under elbows and hands to within ${cm('mostCm')}.`,
  }),
  TORSO_ANGLE: ({ deg, text }) => ({
    title: `Trunk at ${deg('angleDeg')}, usual 0° to ${deg('mostDeg')}`,
    mend: Number(text('angleDeg')) < 0 ? 'Build up under the chest.' : 'Lower what is under the chest.',
  }),
  RAISE_SEAT: ({ cm, has }) => ({
    title: 'The pelvis still tips back',
    mend: has('seatCm')
      ? `Raise the seat to ${cm('seatCm')} before the head is supported.`
      : 'Raise the seat, or lower the knees, before the head is supported.',
  }),
  SEAT_IMPOSSIBLE: ({ cm }) => ({
    title: `A seat of ${cm('seatCm')} on the floor`,
    mend: `At most ${cm('mostCm')}: is a number mistyped?`,
  }),
  FLOOR_IMPOSSIBLE: ({ cm }) => ({
    title: `It takes ${cm('depthCm')} of floor`,
    mend: `At most ${cm('mostCm')}: is a number mistyped?`,
  }),
  SEAT_HIGH: ({ cm, is }) => ({
    title: `Seat ${cm('seatCm')}, ${is('chair') ? 'past' : 'usual up to'} ${cm('mostCm')}`,
    mend: is('chair') ? 'Take a chair.' : 'Does it stand firmly?',
  }),
  KNEES_ABOVE_HIPS: ({ cm, has }) => ({
    title: `Knees ${cm('aboveCm')} above the hips`,
    mend: has('seatCm') ? `A seat of ${cm('seatCm')} brings them below.` : 'Take a chair.',
  }),
  KNEE_BEND: ({ deg }) => ({
    title: `Knees bent ${deg('angleDeg')}, usual ${deg('leastDeg')} to ${deg('mostDeg')}`,
    mend: 'Raise or lower what is under the knees.',
  }),
  KNEES_UNFILLED: ({ cm, there }) => ({
    title: `Knee support ${there('hereCm')}, wanted ${cm('wantedCm')}`,
    mend: `Fill ${cm('shortCm')} more under each knee, both sides alike.`,
  }),
  ONE_KNEE_FILLED: () => ({ title: 'Only one knee is filled', mend: 'Fill both sides alike.' }),
  WALL_ANGLE: ({ deg, is }) => ({
    title: `Legs at ${deg('angleDeg')}, usual ${deg('leastDeg')} to ${deg('mostDeg')}`,
    mend: is('far') ? 'The heels slide: strap the thighs or bend the knees.' : 'Knees soft; a little further out.',
  }),
  PELVIS_LIFTED: ({ cm }) => ({
    title: `The seat lifts the hips by ${cm('liftCm')}`,
    mend: 'Fill under the pelvis, or take something lower for the calves.',
  }),
  FEET_HANG: ({ cm }) => ({
    title: `Feet ${cm('shortCm')} above the floor`,
    mend: `Put ${cm('wantedCm')} under them.`,
  }),
  SEAT_LOW: ({ cm }) => ({ title: `Seat ${cm('raiseCm')} low for these legs`, mend: `Raise it by ${cm('raiseCm')}.` }),
  HEAD_SUPPORT_SHORT: ({ cm, there }) => ({
    title: `Head support ${there('hereCm')}, wanted about ${cm('wantedCm')}`,
    mend: `Build it up by ${cm('shortCm')}, so that the forehead rests without pulling.`,
  }),
  STACK_TALL: ({ cm, text }) => ({
    title: `${cm('heightCm')} high on ${cm('narrowCm')}: ${text('ratio')} to 1`,
    mend: text('most') === '2' ? 'It falls over: wider and lower.' : 'Brace it against a wall or another prop.',
  }),
  STACK_ORDER: ({ kind }) => ({
    title: `A ${kind('upper')} on a ${kind('lower')}`,
    mend: 'What is hard and wide lies lowest, what is soft on top.',
  }),
  ON_ROUND: ({ kind }) => ({
    title: `A ${kind('upper')} on something round`,
    mend: 'It rolls: nothing firm stands on it.',
  }),
  STACK_MANY: ({ text }) => ({
    title: `${text('pieces')} pieces in one stack`,
    mend: `At most ${text('most')}: take thicker ones.`,
  }),
  BLOCK_ON_END: ({ is }) => ({
    title: 'A block on its end',
    mend: is('slope') ? 'Only where the bolster is braced.' : 'Lay it on its side.',
  }),
  RIGID_CONTACT: ({ cm, kind }) => ({
    title: `A bare ${kind('kind')} against the body`,
    mend: `Lay at least ${cm('softCm')} of something soft on it.`,
  }),
  SANDBAG_HEAVY: ({ text }) => ({
    title: `Sandbags of ${text('kg')} kg`,
    mend: `At most ${text('mostKg')} kg on one part.`,
  }),
  SANDBAG_PLACE: () => ({
    title: 'A sandbag where none belongs',
    mend: 'On thighs, pelvis or feet, never on throat, ribs or belly.',
  }),
  LAYER_IMPOSSIBLE: ({ cm, kind }) => ({
    title: `One layer of ${kind('kind')} is ${cm('layerCm')}`,
    mend: `Between ${cm('leastCm')} and ${cm('mostCm')}: is a number mistyped?`,
  }),
  FOLD_BULKY: () => ({ title: 'A fold thicker than it is wide', mend: 'It bulges: take two blankets.' }),
  ROLL_TOO_STIFF: () => ({ title: 'A roll of hardly one turn', mend: 'Unfold it once, then roll.' }),
  USE_CHAIR: () => ({ title: 'The legs do not come up so far', mend: 'Rest the calves on a chair.' }),
  TOO_STEEP: () => ({ title: 'The bolster would stand steeper than 60°', mend: 'Take a lower block.' }),
  BOLSTER_TOO_SHORT: () => ({
    title: 'The bolster ends below the shoulders',
    mend: 'Take a longer one, or a lower seat.',
  }),
  UNREACHABLE: () => ({ title: 'No body of this height lies like that', mend: 'Take a lower support.' }),
  FOLD_TOO_THICK: () => ({ title: 'This fold is thicker than it is wide', mend: 'Fold it once less.' }),
  AFTER_ROLL: () => ({ title: 'A roll cannot be folded further', mend: 'Roll it last.' }),
  OUT_OF_RANGE: ({ text }) => ({
    title: 'This cannot be computed',
    mend: `${text('field')} is outside what the sums hold for.`,
  }),
}

export const comfortCodesWithWords: readonly string[] = Object.keys(words)

/** The words of a comfort finding; a code without words shows itself, so that none is lost. */
export function comfortWords({ code, facts }: Pick<ComfortFinding, 'code' | 'facts'>, unit: LengthUnit): ComfortWords {
  const said: Said = {
    cm: (name) => lengthText(Number(facts[name]), unit),
    there: (name) => (Number(facts[name]) === 0 ? 'nothing' : lengthText(Number(facts[name]), unit)),
    deg: (name) => angleText(Number(facts[name])),
    text: (name) => String(facts[name]),
    is: (name) => facts[name] === true,
    has: (name) => facts[name] !== undefined && facts[name] !== 0,
    kind: (name) => propNames[facts[name] as PropKind].one,
  }
  return words[code]?.(said) ?? { title: code, mend: '' }
}

const under = (part: BodyPart): string => `under the ${partNames[part].toLowerCase()}`

/** What pressing a mend does, as its button says it. */
export function mendWords({ does, item }: Mend, kinds: PropSpecs): string {
  const what = propNames[item.kind].one
  switch (does) {
    case 'add':
      return `Add ${itemWords(item, kinds[item.kind])} ${under(item.under)}`
    case 'remove':
      return `Take the ${what} ${under(item.under)} away`
    case 'count':
      return `Make it ${itemWords(item, kinds[item.kind])}`
    case 'kind':
      return `Take a ${what} instead`
    case 'turn':
      return `Turn the ${what} ${item.turn ? turnNames[item.turn] : ''}`
    case 'fold': {
      const fold = foldNameOf(item.folds ?? [])
      return `Fold the ${what} ${under(item.under)}: ${fold ? foldNames[fold] : 'another way'}`
    }
  }
}
