import type { Direction } from '#model/pose'

/** Directions of movement in teachers' words. */
export const directionNames: Readonly<Record<Direction, string>> = {
  forwardFold: 'forward fold',
  backbend: 'backbend',
  twist: 'twist',
  sideBend: 'side bend',
  outwardRotation: 'hip turned out',
  inwardRotation: 'hip turned in',
  legsRaised: 'legs raised',
  neutral: 'neutral',
}
