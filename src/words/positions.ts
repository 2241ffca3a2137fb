import { keysOf } from '#core/units'
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
export const basePositionsInOrder: readonly BasePosition[] = keysOf(basePositionNames)

/** What a teacher says for a change into a position, where the one before matters. */
const saidFor: Readonly<Record<BasePosition, Partial<Record<BasePosition, string>> & { usual: string }>> = {
  standing: { usual: 'come up to stand' },
  kneeling: { usual: 'kneel', supine: 'roll and come up to kneel' },
  allFours: { usual: 'come onto all fours' },
  prone: { usual: 'lie down on the belly', supine: 'turn over onto the belly' },
  supine: { usual: 'lie down on the back', prone: 'turn over', sideLying: 'roll onto the back' },
  sideLying: { usual: 'lie down on the side', supine: 'roll onto the side' },
  seated: { usual: 'come up to sit', standing: 'sit down', kneeling: 'sit down' },
  onChair: { usual: 'sit on the chair' },
  atWall: { usual: 'go to the wall' },
}

/** The words for a change; nothing to say where the position stays. */
export function changeWords(from: BasePosition | undefined, to: BasePosition): string | undefined {
  if (from === undefined || from === to) return undefined
  return saidFor[to][from] ?? saidFor[to].usual
}
