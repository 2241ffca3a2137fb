import type { Block } from '#model/block'
import type { Session } from '#model/session'
import { aSession } from '#testing/sessions'

const poseIds = [
  'deer',
  'figure-four-lying',
  'sphinx',
  'wide-knee-fold',
  'side-rest',
  'long-leg-fold',
  'heart-over-a-roll',
] as const

/** The bench session of the budgets: 40 blocks, 90 minutes, 600 breath phases and a little more. */
export function benchSession(): Session {
  const blocks = Array.from({ length: 39 }, (_, index): Block => {
    const id = `block-${String(index)}`
    // Four breath blocks of 75 rounds with two parts each: 600 breath phases.
    if (index % 10 === 4) {
      return {
        kind: 'breath',
        id,
        sections: [
          {
            kind: 'rounds',
            id: 'rounds',
            techniqueId: 'even-breath',
            pattern: { in: 4, full: 0, out: 4, empty: 0 },
            amount: { sets: 1, roundsPerSet: 75 },
          },
        ],
      }
    }
    const times = { changeS: 5, setUpS: 5, settleS: 5, comingOutS: 5, secondSetUpS: 5, betweenSidesS: 0, afterRestS: 5 }
    return { kind: 'hold', id, poseId: poseIds[index % poseIds.length] ?? 'deer', hold: { holdS: 45 }, times }
  })
  return aSession([...blocks, { kind: 'closing', id: 'closing', finalRestS: 600 }], {
    id: 'bench',
    name: 'Forty blocks',
    lengthS: 5400,
  })
}
