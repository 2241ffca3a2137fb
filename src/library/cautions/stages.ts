import type { Stage } from '#model/caution'

/** The breath’s progression, reference 3.3: shipping defaults, convention and not evidence. */
export const stages: readonly Stage[] = [
  {
    stage: 1,
    ratio: 'natural, belly',
    counts: 'none',
    earliest: 'day 1',
    movesOnWhen: 'calm for 5 min, no urge to sigh',
  },
  {
    stage: 2,
    ratio: '1:1',
    counts: '3, then 4 s',
    earliest: 'week 2',
    movesOnWhen: 'steady 10 min for 4 weeks, first breath as easy as last',
  },
  {
    stage: 3,
    ratio: 'toward 1:2 via 1:1.25, 1:1.5',
    counts: 'in 3–4 s',
    earliest: 'week 6',
    movesOnWhen: '1:2 steady 10 min for 6 weeks; next inhale unhurried',
  },
  {
    stage: 4,
    ratio: '1:1:2 (start with a 1–2 s pause)',
    counts: 'in 3–4 s; hold max 4 s',
    earliest: 'week 16, in person',
    movesOnWhen: 'steady 8 weeks, no gasp',
  },
  {
    stage: 5,
    ratio: '1:2:2; empty pause of 1–2 s, later max 4 s',
    counts: 'in 3–4 s; hold max 8 s',
    earliest: 'month 8, in person',
    movesOnWhen: 'steady 6 months',
  },
  {
    stage: 6,
    ratio: '1:4:2, locks',
    counts: 'in max 4 s; hold max 16 s',
    earliest: 'hidden; personal guidance only',
    movesOnWhen: 'never auto-advance',
  },
]
