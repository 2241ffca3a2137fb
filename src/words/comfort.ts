import type { PropKind } from '#model/prop'
import type { BodyPart } from '#model/set-up'
import type { ComfortCode, ComfortFacts, Mend } from '#core/comfort'
import type { PropSpecs } from '#core/props'
import type { Centimetres } from '#core/units'
import { foldNameOf, foldNames, itemWords, partNames, propNames, turnNames } from './props.ts'
import { angleText, lengthText } from './lengths.ts'
import type { LengthUnit } from './lengths.ts'

/** A finding of a set-up as a teacher reads it: the number first, then what to do about it. */
export interface ComfortWords {
  readonly title: string
  readonly mend: string
}

interface Say {
  readonly cm: (length: Centimetres) => string
  /** As a height that is there: none where it is nothing. */
  readonly there: (length: Centimetres) => string
  readonly deg: (angle: number) => string
  readonly kind: (kind: PropKind) => string
}

const has = (value: number | undefined): value is number => value !== undefined && value !== 0

const words: { readonly [Code in ComfortCode]: (facts: ComfortFacts[Code], say: Say) => ComfortWords } = {
  HEAD_PAD_IMPOSSIBLE: (f, { cm }) => ({
    title: `Head pad ${cm(f.padCm)}: more than a neck bends`,
    mend: `At most ${cm(f.mostCm)}: is a number mistyped?`,
  }),
  HEAD_PAD_LOW: (f, { cm }) => ({
    title: has(f.padCm) ? `Head pad ${cm(f.padCm)}` : 'No head pad',
    mend: `Pad the head by ${cm(f.leastCm)} to ${cm(f.mostCm)}, so that the forehead is level with or above the chin.`,
  }),
  HEAD_PAD_HIGH: (f, { cm }) => ({
    title: `Head pad ${cm(f.padCm)}, at most ${cm(f.mostCm)}`,
    mend: 'Lower it until the head is level with the shoulders or a little above.',
  }),
  HEAD_TIPPED_BACK: (f, { deg }) => ({
    title: `The head tips back, ${deg(f.tiltDeg)} below the shoulders`,
    mend: 'Raise the head until the chin is no higher than the forehead.',
  }),
  CHIN_TUCKED: (f, { deg }) => ({
    title: `The neck bends ${deg(f.bendDeg)} forward, at most ${deg(f.mostDeg)}`,
    mend: 'Lower the head pad: a fist fits between chin and breastbone.',
  }),
  HEAD_NOT_REACHED: (f, { cm }) => ({
    title: `The head is ${cm(f.gapCm)} above its support`,
    mend: 'Build the support up until the head rests.',
  }),
  NECK_FLEXED_UNDER_LOAD: (f, { cm }) => ({
    title: `Head pad ${cm(f.padCm)} with the weight on the shoulders`,
    mend: `At most ${cm(f.mostCm)}: nothing thick under the skull.`,
  }),
  NECK_ALONE: () => ({ title: 'A roll under the nape, nothing under the head', mend: 'Support the head too.' }),
  NECK_ROLL_SIZE: (f, { cm }) => ({
    title: `Nape roll ${cm(f.acrossCm)} across`,
    mend: `Between ${cm(f.leastCm)} and ${cm(f.mostCm)} fills a nape.`,
  }),
  HEAD_BELOW_HEART: (f, { cm }) => ({
    title: `Head about ${cm(f.belowCm)} below the heart`,
    mend: f.everyone
      ? `Past ${cm(f.mostCm)} it is for nobody without care; raise the head or lower the hips.`
      : `Past ${cm(f.gentleCm)} not with high blood pressure, eye pressure or surgery, reflux, pregnancy or headache.`,
  }),
  PELVIS_EDGE_AT_WAIST: (f, { kind }) => ({
    title: `The edge of a ${kind(f.kind)} at the waist`,
    mend: 'Move it down under the sacrum, or take something soft.',
  }),
  LUMBAR_EDGE: (f, { cm }) => ({
    title: `The bolster’s edge stands ${cm(f.edgeCm)} into the low back, limit ${cm(f.limitCm)}`,
    mend:
      f.raiseCm !== undefined && f.seatCm !== undefined
        ? `Raise the seat by ${cm(f.raiseCm)}, to ${cm(f.seatCm)}, or thin the low end.`
        : 'Thin the bolster’s low end, or leave a gap.',
  }),
  SACRUM_NARROW: (f, { cm }) => ({
    title: `Only ${cm(f.acrossCm)} wide under the sacrum`,
    mend: `Something at least ${cm(f.leastCm)} wide carries it.`,
  }),
  TRUNK_ANGLE: (f, { deg }) => ({
    title: `Trunk at ${deg(f.angleDeg)}, ${f.forBreath ? 'easiest for the breath' : 'usual'} ${deg(f.leastDeg)} to ${deg(f.mostDeg)}`,
    mend: 'Raise or lower the head end.',
  }),
  STEEP: (f, { deg }) => ({
    title: `The ${f.what} lies at ${deg(f.angleDeg)}, past ${deg(f.mostDeg)}`,
    mend: f.what === 'bolster' ? 'It slides: brace it against the wall, or lower the block.' : 'Lower the support.',
  }),
  HEAD_OFF_END: (f, { cm }) => ({
    title: `The head comes ${cm(f.alongCm)} up, past the bolster’s end`,
    mend: 'Lengthen it with a folded blanket.',
  }),
  HANGS_FREE: (f, { cm }) => ({
    title: `The bolster hangs ${cm(f.freeCm)} free above its head block`,
    mend: 'Lower the middle block or raise the head block.',
  }),
  ARMS_UNFILLED: (f, { cm, there }) => ({
    title: `Elbows ${cm(f.elbowsCm)} above the floor, ${there(f.armsCm)} under them`,
    mend: `Fill under elbows and hands to within ${cm(f.mostCm)}.`,
  }),
  TORSO_ANGLE: (f, { deg }) => ({
    title: `Trunk at ${deg(f.angleDeg)}, usual 0° to ${deg(f.mostDeg)}`,
    mend: Number(f.angleDeg) < 0 ? 'Build up under the chest.' : 'Lower what is under the chest.',
  }),
  RAISE_SEAT: (f, { cm }) => ({
    title: 'The pelvis still tips back',
    mend: has(f.seatCm)
      ? `Raise the seat to ${cm(f.seatCm)} before the head is supported.`
      : 'Raise the seat, or lower the knees, before the head is supported.',
  }),
  SEAT_IMPOSSIBLE: (f, { cm }) => ({
    title: `A seat of ${cm(f.seatCm)} on the floor`,
    mend: `At most ${cm(f.mostCm)}: is a number mistyped?`,
  }),
  FLOOR_IMPOSSIBLE: (f, { cm }) => ({
    title: `It takes ${cm(f.depthCm)} of floor`,
    mend: `At most ${cm(f.mostCm)}: is a number mistyped?`,
  }),
  SEAT_HIGH: (f, { cm }) => ({
    title: `Seat ${cm(f.seatCm)}, ${f.chair ? 'past' : 'usual up to'} ${cm(f.mostCm)}`,
    mend: f.chair ? 'Take a chair.' : 'Does it stand firmly?',
  }),
  KNEES_ABOVE_HIPS: (f, { cm }) => ({
    title: `Knees ${cm(f.aboveCm)} above the hips`,
    mend: has(f.seatCm) ? `A seat of ${cm(f.seatCm)} brings them below.` : 'Take a chair.',
  }),
  KNEE_BEND: (f, { deg }) => ({
    title: `Knees bent ${deg(f.angleDeg)}, usual ${deg(f.leastDeg)} to ${deg(f.mostDeg)}`,
    mend: 'Raise or lower what is under the knees.',
  }),
  KNEES_UNFILLED: (f, { cm, there }) => ({
    title: `Knee support ${there(f.hereCm)}, wanted ${cm(f.wantedCm)}`,
    mend: `Fill ${cm(f.shortCm)} more under each knee, both sides alike.`,
  }),
  ONE_KNEE_FILLED: () => ({ title: 'Only one knee is filled', mend: 'Fill both sides alike.' }),
  WALL_ANGLE: (f, { deg }) => ({
    title: `Legs at ${deg(f.angleDeg)}, usual ${deg(f.leastDeg)} to ${deg(f.mostDeg)}`,
    mend: f.far ? 'The heels slide: strap the thighs or bend the knees.' : 'Knees soft; a little further out.',
  }),
  PELVIS_LIFTED: (f, { cm }) => ({
    title: `The seat lifts the hips by ${cm(f.liftCm)}`,
    mend: 'Fill under the pelvis, or take something lower for the calves.',
  }),
  FEET_HANG: (f, { cm }) => ({
    title: `Feet ${cm(f.shortCm)} above the floor`,
    mend: `Put ${cm(f.wantedCm)} under them.`,
  }),
  SEAT_LOW: (f, { cm }) => ({
    title: `Seat ${cm(f.raiseCm)} low for these legs`,
    mend: `Raise it by ${cm(f.raiseCm)}.`,
  }),
  HEAD_SUPPORT_SHORT: (f, { cm, there }) => ({
    title: `Head support ${there(f.hereCm)}, wanted about ${cm(f.wantedCm)}`,
    mend: `Build it up by ${cm(f.shortCm)}, so that the forehead rests without pulling.`,
  }),
  STACK_TALL: (f, { cm }) => ({
    title: `${cm(f.heightCm)} high on ${cm(f.narrowCm)}: ${f.ratio} to 1`,
    mend: f.most === 2 ? 'It falls over: wider and lower.' : 'Brace it against a wall or another prop.',
  }),
  STACK_ORDER: (f, { kind }) => ({
    title: `A ${kind(f.upper)} on a ${kind(f.lower)}`,
    mend: 'What is hard and wide lies lowest, what is soft on top.',
  }),
  ON_ROUND: (f, { kind }) => ({
    title: `A ${kind(f.upper)} on something round`,
    mend: 'It rolls: nothing firm stands on it.',
  }),
  STACK_MANY: (f) => ({
    title: `${f.pieces} pieces in one stack`,
    mend: `At most ${f.most}: take thicker ones.`,
  }),
  BLOCK_ON_END: (f) => ({
    title: 'A block on its end',
    mend: f.slope ? 'Only where the bolster is braced.' : 'Lay it on its side.',
  }),
  RIGID_CONTACT: (f, { cm, kind }) => ({
    title: `A bare ${kind(f.kind)} against the body`,
    mend: `Lay at least ${cm(f.softCm)} of something soft on it.`,
  }),
  SANDBAG_HEAVY: (f) => ({
    title: `Sandbags of ${f.kg} kg`,
    mend: `At most ${f.mostKg} kg on one part.`,
  }),
  SANDBAG_PLACE: () => ({
    title: 'A sandbag where none belongs',
    mend: 'On thighs, pelvis or feet, never on throat, ribs or belly.',
  }),
  LAYER_IMPOSSIBLE: (f, { cm, kind }) => ({
    title: `One layer of ${kind(f.kind)} is ${cm(f.layerCm)}`,
    mend: `Between ${cm(f.leastCm)} and ${cm(f.mostCm)}: is a number mistyped?`,
  }),
  FOLD_BULKY: () => ({ title: 'A fold thicker than it is wide', mend: 'It bulges: take two blankets.' }),
  ROLL_TOO_STIFF: () => ({ title: 'A roll of hardly one turn', mend: 'Unfold it once, then roll.' }),
  BELLY_FLAT_ON_BACK: (f, { deg }) => ({
    title: `Late in pregnancy, and the trunk lies ${f.angleDeg === 0 ? 'flat' : `at ${deg(f.angleDeg)}`}`,
    mend: `Raise head and trunk to ${deg(f.leastDeg)}–${deg(f.mostDeg)}, the seat on the floor, or rest on the side.`,
  }),
  BELLY_LAIN_ON: () => ({
    title: 'Late in pregnancy, and the weight lies on the belly',
    mend: 'Rest on the side instead, something between the knees and under the belly.',
  }),
  BELLY_PRESSED: (f, { cm }) => ({
    title: `Late in pregnancy: ${f.by === 'thighs' ? 'the thighs press' : 'what carries presses'} ${cm(f.byCm)} into the belly`,
    mend: 'Knees wider, the trunk higher, or the arms on a chair: nothing presses the belly.',
  }),
  BELLY_UNFILLED: () => ({
    title: 'Late in pregnancy: nothing under the belly',
    mend: 'A folded blanket under it, one between the knees.',
  }),
  USE_CHAIR: () => ({ title: 'The legs do not come up so far', mend: 'Rest the calves on a chair.' }),
  TOO_STEEP: () => ({ title: 'The bolster would stand steeper than 60°', mend: 'Take a lower block.' }),
  BOLSTER_TOO_SHORT: () => ({
    title: 'The bolster ends below the shoulders',
    mend: 'Take a longer one, or a lower seat.',
  }),
  UNREACHABLE: () => ({ title: 'No body of this height lies like that', mend: 'Take a lower support.' }),
  FOLD_TOO_THICK: () => ({ title: 'This fold is thicker than it is wide', mend: 'Fold it once less.' }),
  AFTER_ROLL: () => ({ title: 'A roll cannot be folded further', mend: 'Roll it last.' }),
  NOT_FINITE: () => ({ title: 'This cannot be computed', mend: 'A number is missing: type it anew.' }),
  NO_STACK: () => ({ title: 'Nothing in the cupboard comes to this height', mend: 'Take another part or height.' }),
  UNKNOWN_MATERIAL: () => ({ title: 'A prop of no known make', mend: 'Take another kind.' }),
  UNKNOWN_OP: () => ({ title: 'A fold that is not known', mend: 'Fold it another way.' }),
  OUT_OF_RANGE: () => ({
    title: 'This cannot be computed',
    mend: 'A stature or a size is outside what the sums hold for: is a number mistyped?',
  }),
}

/** The words of a comfort finding. */
export function comfortWords<Code extends ComfortCode>(
  { code, facts }: { readonly code: Code; readonly facts: ComfortFacts[Code] },
  unit: LengthUnit,
): ComfortWords {
  return words[code](facts, {
    cm: (length) => lengthText(length, unit),
    there: (length) => (length === 0 ? 'nothing' : lengthText(length, unit)),
    deg: angleText,
    kind: (kind) => propNames[kind].one,
  })
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
