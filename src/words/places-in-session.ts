/** Places in a session in teachers' words. */
export const placeNames = {
  opening: 'opening',
  warm: 'warming',
  deep: 'deep',
  counter: 'counter',
  closing: 'closing',
} as const
