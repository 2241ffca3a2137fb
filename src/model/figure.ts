import { z } from 'zod'

const degrees = (from: number, to: number) => z.number().min(from).max(to)
const armsSchema = z.enum(['along', 'wide', 'overhead', 'onSupport', 'onLegs', 'forward', 'crossed']).optional()
/** The picture that says most: from the right, from above, or from the right or the left end of the picture from the right. */
export const figureViews = ['side', 'above', 'rightEnd', 'leftEnd'] as const
export type FigureView = (typeof figureViews)[number]
const viewSchema = z.enum(figureViews).optional()
/** Which side of a pose it draws as it stands, where that is not the right. */
const drawnSideSchema = z.literal('left').optional()
/** What the upper body does on top, for the right side of a pose [estimates of how far]. */
const gestureSchema = z
  .enum(['turn', 'sideBend', 'crescent', 'headAside', 'armsBehind', 'armThreaded', 'armsCrossedUnder', 'armWide'])
  .optional()
const common = { arms: armsSchema, view: viewSchema, side: drawnSideSchema, gesture: gestureSchema }
const fold = {
  /** Flexion of the hips that is comfortable: 90 is upright on level thighs. */
  hipFlexDeg: degrees(40, 170).optional(),
  /** How far the whole spine rounds. */
  roundDeg: degrees(0, 90).optional(),
}

/**
 * How a pose is drawn: the shape of the body, with what only the pose can know. Every height comes from the
 * set-up, every length from the person. Angles in degrees.
 */
export const figureSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('lying'),
    legs: z.enum([
      'long',
      'bent',
      'bound',
      'wall',
      'chair',
      'toChest',
      'soles',
      'oneUp',
      'figureFour',
      'across',
      'folded',
      'oneFolded',
    ]),
    /** A straight leg's comfortable raise. */
    legRaiseDeg: degrees(0, 130).optional(),
    /** How far each leg stands out to its side. */
    spreadDeg: degrees(0, 70).optional(),
    /** How far the knees of a bound angle fall by themselves: 0 together and up, 90 level. */
    abductionDeg: degrees(0, 90).optional(),
    /** The least slope of the trunk that the pose promises. */
    trunkFromDeg: degrees(0, 60).optional(),
    /** Sit bones to heels, integer millimetres. */
    heelGapMm: z.int().min(0).max(1200).optional(),
    ...common,
  }),
  z.strictObject({
    kind: z.literal('prone'),
    trunk: z.enum(['flat', 'elbows', 'hands']),
    legs: z.enum(['long', 'oneUp']).optional(),
    ...common,
  }),
  z.strictObject({
    kind: z.literal('side'),
    /** The lower knee folded behind; absent: both drawn forward. */
    legs: z.literal('oneBack').optional(),
    ...common,
  }),
  z.strictObject({ kind: z.literal('childFold'), spreadDeg: degrees(0, 60).optional(), ...common }),
  z.strictObject({
    kind: z.literal('kneeling'),
    feet: z.enum(['flat', 'tucked', 'lifted']),
    /** Up on the knees, the chest open, the hands behind; or leaning back on the hands; absent: upright on the heels. */
    trunk: z.enum(['arched', 'leaning']).optional(),
    ...common,
  }),
  z.strictObject({
    kind: z.literal('allFours'),
    legs: z.enum(['both', 'lunge', 'halfSplit', 'pigeon', 'frog', 'long']).optional(),
    trunk: z.enum(['level', 'low', 'raised']),
    ...common,
  }),
  z.strictObject({
    kind: z.literal('seated'),
    legs: z.enum(['long', 'wide', 'one', 'bound', 'crossed', 'deer']),
    trunk: z.enum(['upright', 'fold', 'twistDown', 'sideways']),
    /** How crossed legs lie, where it is not shin before shin: the right one on top, or nearer. */
    crossing: z.enum(['heelsInLine', 'footOnThigh', 'stackedShins', 'stackedKnees']).optional(),
    /** Thigh above the horizontal when sitting cross-legged on the floor. */
    thighUpDeg: degrees(-30, 60).optional(),
    ...fold,
    ...common,
  }),
  z.strictObject({
    kind: z.literal('chair'),
    legs: z.enum(['both', 'figureFour', 'oneLong']).optional(),
    trunk: z.enum(['upright', 'fold']),
    /** Sitting astride, leaning over the chair's own back. */
    over: z.literal('backrest').optional(),
    ...fold,
    ...common,
  }),
  z.strictObject({
    kind: z.literal('standing'),
    legs: z.enum(['long', 'wide', 'squat']),
    trunk: z.enum(['upright', 'fold', 'level']),
    ...fold,
    ...common,
  }),
])
export type Figure = z.infer<typeof figureSchema>
export type FigureOf<K extends Figure['kind']> = Extract<Figure, { kind: K }>
