import type { Pose } from '#model/pose'
import type { ShelfPose } from './parts.ts'
import { byLevel, inward, lastWords, setUp } from './parts.ts'

/** What seats for breath work have in common: still, upright, as long as the breath asks. */
const seat = {
  base: { enter: 'seated', leave: 'seated' },
  holds: {
    restorative: byLevel([1, 3, 5], [2, 5, 15], [3, 10, 30]),
    yin: byLevel([1, 3, 5], [2, 5, 15], [3, 10, 30]),
  },
  practices: ['restorative', 'yin'],
  targets: ['wholeBody'],
  directions: ['neutral'],
  sensation: { from: 0, to: 2 },
  families: ['seat'],
  head: { turned: 'never', rests: 'Over the breastbone, chin a little in.' },
  yinCues: lastWords,
  counterposes: ['constructive-rest'],
  places: ['opening', 'closing'],
  warms: [],
  wantsWarm: [],
  energyLines: [],
} as const satisfies Partial<Pose>

const times = (setUpS: number): Pose['times'] => ({
  setUpS: setUp(setUpS),
  settleS: 10,
  comingOutS: 10,
  betweenSidesS: 0,
  afterRestS: { restorative: 20, yin: 20 },
})

/** Seats for breath work, beside the cross-legged one and the chair. */
export const seatPoses: readonly ShelfPose[] = [
  {
    ...seat,
    id: 'hero-seat',
    names: {
      english: 'Upright hero on a block',
      sanskrit: 'vīrāsana',
      others: ['Kneeling seat', 'Seat between the heels'],
    },
    base: { enter: 'kneeling', leave: 'kneeling' },
    fromLevel: 'new',
    figure: { kind: 'kneeling', feet: 'flat', view: 'leftEnd' },
    times: times(30),
    setUpWords: ['The block between the feet, so high that the knees are quiet', 'Tops of the feet on something soft'],
    cues: inward('Seat bones heavy, the back grows out of them'),
    mistakes: ['The feet turn out.', 'People stay with burning knees.'],
    looksFor: ['The seat is on the block, not on the feet.', 'Knees no wider than the hips.'],
    comingOut: ['Lean forward onto the hands', 'free one shin at a time'],
    withoutProps: 'Two thick books with a towel over them between the feet.',
    variants: [
      { id: 'higher', name: 'Higher', grade: 'easier', change: 'A block more under the seat.' },
      {
        id: 'bench',
        name: 'On a kneeling bench',
        grade: 'easier',
        change: 'A bench over the calves carries the seat.',
        setUpWords: ['Tops of the feet on something soft'],
      },
    ],
  },
  {
    ...seat,
    id: 'accomplished-seat',
    names: {
      english: 'One heel before the other',
      sanskrit: 'siddhāsana',
      others: ['Accomplished seat', 'Heels in line'],
    },
    fromLevel: 'regular',
    figure: { kind: 'seated', legs: 'crossed', crossing: 'heelsInLine', trunk: 'upright', view: 'rightEnd' },
    times: times(25),
    setUpWords: ['One heel near, the other before it', 'Sit so high that the knees can fall'],
    cues: inward('Let the spine balance by itself', 'Change the legs if the feet fall asleep'),
    mistakes: ['One ankle presses on the other.', 'The knees are higher than the hips.'],
    looksFor: ['The ankles lie one before the other.', 'Hips at or above the knees.'],
    comingOut: ['Let light in', 'hands under the knees to open them'],
    withoutProps: 'A folded coat under the seat.',
    variants: [
      {
        id: 'feet-apart',
        name: 'Feet further away',
        grade: 'easier',
        change: 'Both heels a hand further from the seat.',
      },
      {
        id: 'back-to-the-wall',
        name: 'Back to the wall',
        grade: 'easier',
        change: 'The wall supports the back.',
        cues: inward('Let the back lean', 'Change the legs if the feet fall asleep'),
      },
    ],
  },
  {
    ...seat,
    id: 'half-lotus-seat',
    names: { english: 'Half lotus seat', sanskrit: 'ardha padmāsana', others: ['One foot on the thigh'] },
    sides: { left: 'left foot on the right thigh', right: 'right foot on the left thigh' },
    holds: {
      restorative: byLevel([0.5, 1, 2], [1, 2, 3], [2, 3, 4]),
      yin: byLevel([0.5, 1, 2], [1, 2, 3], [2, 3, 4]),
    },
    practices: ['yin'],
    fromLevel: 'experienced',
    targets: ['outerHip'],
    directions: ['outwardRotation'],
    sensation: { from: 1, to: 4 },
    families: ['seat', 'pigeon'],
    figure: { kind: 'seated', legs: 'crossed', crossing: 'footOnThigh', trunk: 'upright', view: 'rightEnd' },
    times: { ...times(25), betweenSidesS: 10 },
    setUpWords: [
      'The turn comes from the hip: lift the {this} foot with both hands',
      'If the knee speaks, cross the legs instead',
    ],
    cues: inward('Nothing in the {this} knee'),
    mistakes: ['The {this} knee hangs in the air.', 'The ankle is bent to reach the thigh.'],
    looksFor: ['The {this} foot lies flat, sole up.', 'Both knees have something under them.'],
    comingOut: ['Lift the {this} foot down with both hands', 'legs long for a breath'],
    wantsWarm: ['outerHip'],
    withoutProps: 'A folded coat under the seat, a jumper under the knee.',
    variants: [
      {
        id: 'on-the-calf',
        name: 'Foot on the calf',
        grade: 'easier',
        change: 'The foot lies on the calf in place of the thigh.',
      },
      {
        id: 'crossed',
        name: 'Legs only crossed',
        grade: 'easier',
        change: 'Both feet on the floor, shins crossed.',
        setUpWords: ['Sit so high that the knees can fall'],
        comingOut: ['Hands under the knees to uncross them'],
      },
    ],
  },
]
