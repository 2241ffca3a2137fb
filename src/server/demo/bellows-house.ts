import type { Person } from '#model/person'
import type { Place } from '#model/place'

/** The invented place of all sample data. */
export const bellowsHouse: Place = {
  id: 'bellows-house',
  name: 'Bellows House',
  lengthUnit: 'cm',
  usual: true,
  timeZone: 'Europe/Amsterdam',
  emergency: ['Call from the telephone in the hall', 'Bellows House, 4 Reed Lane, the door to the river'],
  rooms: [
    {
      id: 'workshop',
      name: 'The old workshop',
      lengthMm: 11_400,
      widthMm: 7_200,
      walls: [{ id: 'river-wall', name: 'River wall', freeMm: 9200, side: 'left' }],
      door: { side: 'back', atMm: 6200 },
      cupboard: { side: 'right', atMm: 1500 },
    },
  ],
  cupboard: [
    { id: 'rect-bolsters', kind: 'rectBolster', count: 9 },
    { id: 'round-bolsters', kind: 'roundBolster', count: 3 },
    { id: 'blankets', kind: 'blanket', count: 40, sizeMm: { length: 2000, width: 1500 } },
    { id: 'foam-blocks', kind: 'foamBlock', count: 24 },
    { id: 'cork-blocks', kind: 'corkBlock', count: 8 },
    { id: 'long-pillows', kind: 'longPillow', count: 6 },
    { id: 'straps', kind: 'strap', count: 14 },
    { id: 'eye-pillows', kind: 'eyePillow', count: 14 },
    { id: 'chairs', kind: 'chair', count: 10 },
    { id: 'sandbags', kind: 'sandbag', count: 6 },
    { id: 'mats', kind: 'mat', count: 16 },
  ],
}

type Told = Omit<Person, 'conditions' | 'consents'> & {
  readonly conditions: readonly Omit<Person['conditions'][number], 'askedOn'>[]
  readonly askedDaysAgo: number
}

/** Ids that say nothing of whom they are. */
const told: readonly Told[] = [
  {
    ...{ id: 'qX7mB2tLr0aV', name: 'Ansgar Tiel', level: 'regular', statureMm: 1840, touch: 'yes', askedDaysAgo: 21 },
    conditions: [{ id: 'knee', severe: 'no', side: 'left' }],
  },
  {
    ...{ id: 'h4Wc9ZkPe1sN', name: 'Berit Oosterlo', level: 'experienced', statureMm: 1680, touch: 'yes' },
    ...{ conditions: [], askedDaysAgo: 14 },
  },
  {
    ...{ id: 'Jt8vYd3uMf5G', name: 'Corvin Maas', level: 'new', statureMm: 1770, askedDaysAgo: 7 },
    conditions: [{ id: 'htn_ctrl', severe: 'no' }],
  },
  {
    ...{ id: 'b0RnKq6xSw2E', name: 'Dunja Ferrel', level: 'regular', statureMm: 1630, touch: 'ask', askedDaysAgo: 35 },
    conditions: [{ id: 'hypotension', severe: 'no' }],
  },
  {
    ...{ id: 'Zp5gHc1iTo9D', name: 'Edda Quint', level: 'regular', statureMm: 1590, touch: 'ask', askedDaysAgo: 14 },
    inCase: 'Her son Wim, number on the card at the desk',
    conditions: [
      { id: 'osteoporosis', severe: 'no' },
      { id: 'elder', severe: 'no' },
    ],
  },
  {
    ...{ id: 'u3LaFx7yQb4J', name: 'Falk Immering', level: 'new', statureMm: 1910, askedDaysAgo: 7 },
    conditions: [{ id: 'hamstring', severe: 'unsure', side: 'right' }],
  },
  {
    ...{ id: 'V9eMw2kCn8Rh', name: 'Gesine Palland', level: 'regular', statureMm: 1720, touch: 'no' },
    ...{ conditions: [], askedDaysAgo: 49 },
  },
  {
    ...{ id: 'd6SjUo0pGz1X', name: 'Henk Zuurveld', level: 'experienced', statureMm: 1790, askedDaysAgo: 28 },
    conditions: [{ id: 'reflux', severe: 'no' }],
  },
  {
    ...{ id: 'Kf2yTb5vLm7A', name: 'Imke Larrow', level: 'new', statureMm: 1660, touch: 'ask', askedDaysAgo: 7 },
    conditions: [{ id: 'preg_t2', severe: 'no' }],
  },
  {
    ...{ id: 'w8QhXr3nEd0C', name: 'Joris Bellmann', level: 'regular', statureMm: 1870, askedDaysAgo: 63 },
    conditions: [{ id: 'disc', severe: 'no' }],
  },
  {
    ...{ id: 'P1zGsk6aVj4U', name: 'Katrijn Voss', calledAs: 'Kat', level: 'regular', statureMm: 1700, touch: 'yes' },
    ...{ conditions: [{ id: 'knee', severe: 'no', side: 'both' }], askedDaysAgo: 14 },
  },
  {
    ...{ id: 'm7BoNi9cWy2F', name: 'Lotte Sundermeer', level: 'experienced', statureMm: 1640, askedDaysAgo: 21 },
    conditions: [{ id: 'hypermobility', severe: 'no' }],
  },
  {
    ...{ id: 'Re5tHl0xDq8K', name: 'Mirco Adlung', level: 'regular', statureMm: 1750, askedDaysAgo: 28 },
    conditions: [{ id: 'asthma_copd', severe: 'no' }],
  },
  {
    ...{ id: 'g3JpZu4sMv6Y', name: 'Nele Trautwyn', level: 'new', statureMm: 1550, askedDaysAgo: 14 },
    conditions: [{ id: 'neck', severe: 'no' }],
  },
]

const dayMs = 24 * 3_600_000

/** Fourteen invented people with ordinary complaints; days are counted back from the day it is made. */
export function bellowsPeople(today: Date): readonly Person[] {
  return told.map(({ conditions, askedDaysAgo, ...person }) => {
    const askedOn = new Date(today.getTime() - askedDaysAgo * dayMs).toISOString().slice(0, 10)
    return { ...person, conditions: conditions.map((condition) => ({ ...condition, askedOn })), consents: [] }
  })
}
