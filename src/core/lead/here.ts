import type { KeptEvent, LedStart } from '#model/led-class'

interface Led {
  readonly start: Pick<LedStart, 'people'>
  readonly events: readonly Pick<KeptEvent, 'event'>[]
}

/** How many are in a class: those at Start and those who came late. */
export const peopleHere = ({ start, events }: Led): number =>
  start.people + events.filter(({ event }) => event.type === 'cameLate').length
