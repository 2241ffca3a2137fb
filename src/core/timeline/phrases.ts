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

/** Leaves the side, or the lying on the back, free; no setting removes it [decisions]. */
export const orPreferred = 'or the side you prefer'

/** A line that begins with a side begins with a capital, as every other does; what was typed stays as it was typed. */
export const begun = (line: string, said: string): string => (line.startsWith('{') ? capital(said) : said)

export const capital = (line: string): string => line.charAt(0).toUpperCase() + line.slice(1)
