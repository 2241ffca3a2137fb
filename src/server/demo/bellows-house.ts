import type { Person } from '#model/person'
import type { Place } from '#model/place'

/** The invented place of all sample data. */
export const bellowsHouse: Place = {
  id: 'bellows-house',
  name: 'Bellows House',
  lengthUnit: 'cm',
  usual: true,
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

type Told = readonly [
  name: string,
  level: Person['level'],
  statureMm: number,
  conditions: readonly Omit<Person['conditions'][number], 'askedOn'>[],
  askedDaysAgo: number,
]

const told: readonly Told[] = [
  ['Ansgar Tiel', 'regular', 1840, [{ id: 'knee', severe: 'no', side: 'left' }], 21],
  ['Berit Oosterlo', 'experienced', 1680, [], 14],
  ['Corvin Maas', 'new', 1770, [{ id: 'htn_ctrl', severe: 'no' }], 7],
  ['Dunja Ferrel', 'regular', 1630, [{ id: 'hypotension', severe: 'no' }], 35],
  [
    'Edda Quint',
    'regular',
    1590,
    [
      { id: 'osteoporosis', severe: 'no' },
      { id: 'elder', severe: 'no' },
    ],
    14,
  ],
  ['Falk Immering', 'new', 1910, [{ id: 'hamstring', severe: 'unsure', side: 'right' }], 7],
  ['Gesine Palland', 'regular', 1720, [], 49],
  ['Henk Zuurveld', 'experienced', 1790, [{ id: 'reflux', severe: 'no' }], 28],
  ['Imke Larrow', 'new', 1660, [{ id: 'preg_t2', severe: 'no' }], 7],
  ['Joris Bellmann', 'regular', 1870, [{ id: 'disc', severe: 'no' }], 63],
  ['Katrijn Voss', 'regular', 1700, [{ id: 'knee', severe: 'no', side: 'both' }], 14],
  ['Lotte Sundermeer', 'experienced', 1640, [{ id: 'hypermobility', severe: 'no' }], 21],
  ['Mirco Adlung', 'regular', 1750, [{ id: 'asthma_copd', severe: 'no' }], 28],
  ['Nele Trautwyn', 'new', 1550, [{ id: 'neck', severe: 'no' }], 14],
]

const dayMs = 24 * 3_600_000

/** Fourteen invented people with ordinary complaints; days are counted back from the day it is made. */
export function bellowsPeople(today: Date): readonly Person[] {
  return told.map(([name, level, statureMm, conditions, daysAgo]) => {
    const askedOn = new Date(today.getTime() - daysAgo * dayMs).toISOString().slice(0, 10)
    return {
      id: name.toLowerCase().replaceAll(' ', '-'),
      name,
      level,
      statureMm,
      conditions: conditions.map((condition) => ({ ...condition, askedOn })),
      consents: [],
    }
  })
}
