import type { Movement } from '#model/movement'

/** Two breath-timed movements, one symmetric and one each side. */
export const movements: readonly Movement[] = [
  {
    id: 'arms-overhead-lying',
    names: { english: 'Arms overhead, lying', others: ['Arm sweep'] },
    base: { enter: 'supine', leave: 'supine' },
    parts: [
      { part: 'in', halfCounts: 8, does: 'Arms up and over' },
      { part: 'out', halfCounts: 8, does: 'Arms back down' },
    ],
    pace: { num: 1000, den: 1 },
    rounds: 6,
    setUpS: 20,
    betweenSidesS: 0,
    restS: 30,
    comingOut: ['Let the arms lie'],
  },
  {
    id: 'leg-raise-lying',
    names: { english: 'One leg up, lying', others: ['Slow leg raise'] },
    base: { enter: 'supine', leave: 'supine' },
    sides: { left: 'left leg moves, right knee bent', right: 'right leg moves, left knee bent' },
    parts: [
      { part: 'in', halfCounts: 6, does: '{this} leg up' },
      { part: 'stay', halfCounts: 10, does: 'Stay, breathing freely' },
      { part: 'out', halfCounts: 6, does: '{this} leg down' },
    ],
    pace: { num: 1000, den: 1 },
    rounds: 4,
    setUpS: 20,
    betweenSidesS: 10,
    restS: 30,
    comingOut: ['Both knees bent', 'rest the hands on the belly'],
  },
]
