import type { Session } from '#model/session'

/**
 * Week 6 of the eight-week course "Reed and bellows", which began at step 6 of the ladder with six even weeks before: step
 * 9, even breath 4 : 4 for ten minutes; its other thread is three-part breath, as one. 29:41 in all.
 */
export const reedAndBellows: Session = {
  schema: 2,
  id: 'breath-week-6',
  name: 'Reed and bellows',
  practice: 'breath',
  level: 'regular',
  lengthS: 1800,
  schoolId: 'breath',
  purpose: 'A steady breath for people who play and sing.',
  blocks: [
    {
      kind: 'talk',
      id: 'arrive',
      title: 'Arrive',
      text: 'How the half hour goes, and the stop signs: dizziness, tingling, hunger for air.',
      s: 180,
    },
    {
      kind: 'breath',
      id: 'lesson',
      sections: [
        { kind: 'natural', id: 'ten', breaths: 10, attend: 'Ten breaths as they come' },
        { kind: 'lesson', id: 'one', techniqueId: 'three-part-breath', lesson: 4, s: 180 },
        { kind: 'natural', id: 'quiet', s: 60 },
      ],
    },
    {
      kind: 'breath',
      id: 'even',
      sections: [
        {
          kind: 'rounds',
          id: 'rounds',
          techniqueId: 'even-breath',
          pattern: { in: 8, full: 0, out: 8, empty: 0 },
          amount: { fillS: 600, roundsPerSet: 20 },
          restS: 45,
          countedRounds: 3,
        },
        { kind: 'natural', id: 'after', s: 90 },
      ],
    },
    { kind: 'closing', id: 'closing', finalRestS: 450 },
  ],
}
