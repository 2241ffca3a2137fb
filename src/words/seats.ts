import type { Seat } from '#model/section'

/** How one sits or lies for breath work. */
export const seatNames: Readonly<Record<Seat, string>> = {
  lying: 'lying',
  incline: 'lying, upper body raised',
  side: 'lying on the side',
  chair: 'on a chair',
  floorSeat: 'sitting on the floor',
  kneeling: 'kneeling',
  standing: 'standing, hands on the thighs',
}
