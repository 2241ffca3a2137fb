import type { BasePosition } from '#model/common'
import type { SetUpItem } from '#model/set-up'
import type { Pictured } from '#core/session'

const item = (kind: 'chair' | 'wall', under: 'pelvis' | 'feet'): SetUpItem => ({ id: kind, kind, count: 1, under })

/** Each base position as it looks, with nothing but what it needs. */
export const positionFigures: Readonly<Record<BasePosition, Pictured>> = {
  standing: { figure: { kind: 'standing', legs: 'long', trunk: 'upright' }, items: [] },
  kneeling: { figure: { kind: 'kneeling', feet: 'flat' }, items: [] },
  allFours: { figure: { kind: 'allFours', trunk: 'level' }, items: [] },
  prone: { figure: { kind: 'prone', trunk: 'flat' }, items: [] },
  supine: { figure: { kind: 'lying', legs: 'long' }, items: [] },
  sideLying: { figure: { kind: 'side' }, items: [] },
  seated: { figure: { kind: 'seated', legs: 'crossed', trunk: 'upright' }, items: [] },
  onChair: { figure: { kind: 'chair', trunk: 'upright' }, items: [item('chair', 'pelvis')] },
  atWall: { figure: { kind: 'lying', legs: 'wall', legRaiseDeg: 80 }, items: [item('wall', 'feet')] },
}
