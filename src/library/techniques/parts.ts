/** Any one of them: let go at once, natural breath, eyes open, three minutes at least, no second try today [cautions reference 3.1]. */
export const stopSigns = [
  'dizziness, or tingling lips or fingers',
  'hunger for air, or a gasp',
  'strain in the face, throat or belly',
  'headache, or pressure in the eyes or ears',
  'a racing or skipping heart',
  'nausea, fear or panic, or feeling far away',
]

export const second = { num: 1000, den: 1 }

/** Amounts that most techniques share: what a new block starts with. */
export const uncounted = (naturalS: number) => ({
  pace: second,
  amount: { naturalS },
  restBetweenSetsS: 0,
  countedRounds: 0,
})
