import type { BasePosition } from '#model/common'

/** Base positions in teachers' words. */
export const basePositionNames: Readonly<Record<BasePosition, string>> = {
  standing: 'standing',
  kneeling: 'kneeling',
  allFours: 'on all fours',
  prone: 'on the belly',
  supine: 'on the back',
  sideLying: 'on the side',
  seated: 'seated',
  onChair: 'on a chair',
  atWall: 'at the wall',
}

/** From standing to the wall, as they are listed; apart from the model, whose lists bring its schemas along. */
export const basePositionsInOrder = Object.keys(basePositionNames) as readonly BasePosition[]
