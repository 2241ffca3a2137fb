import { row } from './row.ts'

/** Prop cautions of the reference 2.2. */
export const propRules = [
  row(
    'prop_eye.avoid.1',
    'prop_eye',
    'avoid',
    '@eye head_injury',
    'weight presses eye',
    'cloth shade that does not touch the eye',
    'B',
  ),
  row(
    'prop_eye.care.1',
    'prop_eye',
    'care',
    'trauma anxiety_panic migraine',
    'darkness, scent',
    'offer, never place without yes',
    'C',
  ),
  row(
    'prop_weight.avoid.1',
    'prop_weight',
    'avoid',
    '@preg postpartum hernia surg_abdo reflux heart asthma_copd osteoporosis hypermobility! varicose dvt_hist anticoag minor',
    'pressure on belly, ribs, veins, slack joints',
    'blanket only',
    'B',
  ),
  row(
    'prop_strap.modify.1',
    'prop_strap',
    'modify',
    'varicose dvt_hist diabetes knee hypermobility trauma',
    'flow cut, numb skin, trapped',
    'loose, quick release, or none',
    'B',
  ),
  row(
    'prop_heat_scent.avoid.1',
    'prop_heat_scent',
    'avoid',
    '@preg diabetes! asthma_copd migraine heart hypotension',
    'overheating, burns on numb skin, airway or headache trigger',
    'cool, scent-free room',
    'B',
  ),
]
