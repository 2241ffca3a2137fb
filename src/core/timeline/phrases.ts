import type { BasePosition } from '#model/common'

/** What is moved between two sides, by the position a side is left in [handbook]. */
export const betweenSidesMovement: Readonly<Record<BasePosition, string>> = {
  standing: 'Shake one leg, then the other',
  kneeling: 'Circle the ankles',
  allFours: 'Hips from side to side',
  prone: 'Knees bent, let the feet swing',
  supine: 'Feet wide, rock the knees from side to side',
  sideLying: 'Onto the back, one long stretch',
  seated: 'Shake the legs out',
  onChair: 'Circle the ankles',
  atWall: 'Circle the ankles',
}

/** Ends every cue that asks for stillness; no setting removes it [decisions]. */
export const ifAnythingTingles = 'move if anything tingles or hurts'
/** Added to every cue that asks for a roll; no setting removes it [decisions]. */
export const orPreferred = 'or the side you prefer'

/** As it is said: it begins with a capital also where a side comes first. */
export const begun = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)
