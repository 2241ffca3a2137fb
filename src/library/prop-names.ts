import type { PropKind } from '#model/prop'

/** Props in teachers' words, one and many. */
export const propNames: Readonly<Record<PropKind, { readonly one: string; readonly many: string }>> = {
  roundBolster: { one: 'round bolster', many: 'round bolsters' },
  rectBolster: { one: 'bolster', many: 'bolsters' },
  foamBlock: { one: 'block', many: 'blocks' },
  corkBlock: { one: 'cork block', many: 'cork blocks' },
  blanket: { one: 'blanket', many: 'blankets' },
  seatCushion: { one: 'seat cushion', many: 'seat cushions' },
  halfMoonCushion: { one: 'half-moon cushion', many: 'half-moon cushions' },
  ringHeadRest: { one: 'ring head rest', many: 'ring head rests' },
  strap: { one: 'strap', many: 'straps' },
  chair: { one: 'chair', many: 'chairs' },
  sandbag: { one: 'sandbag', many: 'sandbags' },
  eyePillow: { one: 'eye pillow', many: 'eye pillows' },
  wall: { one: 'wall', many: 'walls' },
  mattress: { one: 'mattress', many: 'mattresses' },
  longPillow: { one: 'long pillow', many: 'long pillows' },
  towel: { one: 'towel', many: 'towels' },
  book: { one: 'book', many: 'books' },
  mat: { one: 'mat', many: 'mats' },
}
