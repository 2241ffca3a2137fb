import type { NotToday } from '#model/caution'

/** Asked before every class: each ends practice for the day, whatever is noted of the person [cautions reference 0]. */
export const notToday: readonly NotToday[] = [
  {
    id: 'low_sugar',
    name: 'Low sugar now',
    instead: 'Sugar first, if awake and swallowing; somebody stays with them.',
  },
  { id: 'dulled', name: 'Drink, or a drug that dulls', instead: 'No practice today; see that they get home.' },
  { id: 'fever', name: 'Fever, or a new infection', instead: 'Home, and medical advice.' },
  { id: 'wound', name: 'A wound that opens', instead: 'No practice today; medical advice.' },
  { id: 'emergency_sign', name: 'A sign of an emergency', instead: 'Call the local emergency number.' },
  { id: 'sudden_pain', name: 'Sudden severe or spreading pain', instead: 'No practice today; medical advice.' },
]
