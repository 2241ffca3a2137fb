import type { Measure, MeasureName } from '#core/figure'
import { angleText, lengthNumber, lengthText, wallDistanceText } from './lengths.ts'
import type { LengthUnit } from './lengths.ts'

/** What is measured, in a word or two: beside its mark, or before its number under the picture. */
const words: Readonly<Record<MeasureName, string>> = {
  headHeight: 'under the head',
  hipsHeight: 'hip joints',
  kneesHeight: 'under the knees',
  kneeJointsHeight: 'knee joints',
  heelsHeight: 'heels',
  seatHeight: 'seat',
  bolsterAngle: '',
  trunkAngle: 'trunk',
  backEdge: 'bolster’s edge',
  headAboveHeart: 'head above heart',
  headBelowHeart: 'head below heart',
  kneeBend: 'knees bent',
  hipBend: 'hips bent',
  pelvisSlope: 'slope of the back',
  sitBonesToWall: 'to the wall',
  legAngle: '',
  floorDepth: 'floor it takes',
  torsoAngle: 'trunk',
  trunkLean: 'pelvis leans',
  headSupport: 'head supported at',
  headForward: 'head before the hips',
  seatWanted: 'seat for knees below hips',
  footSupport: 'under the feet',
  seatRaise: 'onto the seat',
  kneeSupport: 'wanted under each knee',
}

const roundedUp: ReadonlySet<MeasureName> = new Set(['sitBonesToWall', 'floorDepth'])

function number({ what, unit, value }: Measure, lengths: LengthUnit): string {
  if (unit === 'deg') return angleText(value)
  if (roundedUp.has(what)) return wallDistanceText(value, lengths)
  return lengthText(value, lengths)
}

/** The words at a mark: its name where there is room for it, its number and unit; “about” where the drawing differs. */
export function markWords(measure: Measure, lengths: LengthUnit, isShort: boolean): string {
  const limit = measure.limit === undefined || isShort ? '' : `, limit ${lengthNumber(measure.limit, lengths)}`
  return `${isShort ? '' : `${words[measure.what]} `}${measure.about ? 'about ' : ''}${number(measure, lengths)}${limit}`.trim()
}

/** What is told under the picture: its words, and its number to set off from them. */
export const captionWords = (
  measure: Measure,
  lengths: LengthUnit,
): { readonly words: string; readonly value: string } => ({
  words: words[measure.what],
  value: number(measure, lengths),
})
