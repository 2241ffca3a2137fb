import type { HoldRange, Pose } from '#model/pose'

/** A usual range in minutes, and where a new block starts. */
export const minutes = (from: number, usual: number, to: number): HoldRange => ({
  fromS: from * 60,
  usualS: usual * 60,
  toS: to * 60,
})

/** Usual set-up times grow for new people and shrink a little with experience [estimates]. */
export const setUp = (regularS: number): Pose['times']['setUpS'] => ({
  new: Math.ceil((regularS * 1.5) / 5) * 5,
  regular: regularS,
  experienced: Math.max(10, Math.floor((regularS * 0.8) / 5) * 5),
})
