import type { Target } from '#model/pose'

/** Targets in teachers' words. */
export const targetNames: Readonly<Record<Target, string>> = {
  outerHip: 'outer hip',
  innerThigh: 'inner thigh',
  frontOfHip: 'front of the hip',
  hamstrings: 'backs of the legs',
  lowBack: 'low back',
  upperBack: 'upper back',
  chest: 'chest',
  shoulders: 'shoulders',
  wrists: 'wrists',
  neck: 'neck',
  side: 'side of the trunk',
  belly: 'belly',
  legs: 'legs',
  feet: 'feet',
  wholeBody: 'whole body',
}
