import type { Series } from '#model/series'
import type { Session } from '#model/session'

/** A series to begin from: its weeks grow out of a session that comes with it. */
export interface ShippedSeries extends Pick<Series, 'id' | 'name' | 'weeks' | 'growth'> {
  /** For whom it is, and what builds, in a sentence. */
  readonly about: string
  readonly base: Session
}

const yin: ShippedSeries = {
  id: 'series-yin',
  name: 'Six slow weeks for hips and back',
  about:
    'Yin, an hour a week: a side bend comes in, then less is said, then there are fewer shapes and they last longer.',
  weeks: 6,
  base: {
    schema: 2,
    id: 'series-yin-hour',
    name: 'Hips and back, an hour',
    practice: 'yin',
    level: 'regular',
    lengthS: 3600,
    schoolId: 'yin',
    purpose: 'Hips, the sides and the back, each week a little quieter.',
    blocks: [
      { kind: 'talk', id: 'arrive', title: 'Arrive', text: 'What we do today, and the stop signs', s: 150 },
      {
        kind: 'breath',
        id: 'watch',
        sections: [{ kind: 'natural', id: 'watch', techniqueId: 'watching-the-breath', s: 240 }],
      },
      { kind: 'movement', id: 'sway', movementId: 'knees-side-to-side' },
      {
        kind: 'hold',
        id: 'fold',
        poseId: 'wide-knee-fold',
        hold: { holdS: 210 },
        cues: [
          { id: 'announce', at: { fromStartS: 5 }, text: 'Three and a half minutes here' },
          { id: 'head', at: { share: 0.5 }, text: 'Turn the head to the other cheek' },
          { id: 'belly', at: { share: 0.7 }, text: 'Let the belly hang between the thighs' },
          { id: 'last', at: { beforeEndS: 20 }, text: 'Twenty seconds more' },
        ],
      },
      { kind: 'hold', id: 'sphinx', poseId: 'sphinx', hold: { holdS: 150 } },
      {
        kind: 'hold',
        id: 'deer',
        poseId: 'deer',
        hold: { holdS: 180 },
        cues: [
          { id: 'hip', at: { fromStartS: 30 }, text: 'The {this} hip grows heavy' },
          { id: 'middle', at: { share: 0.5 }, text: 'Half of it is over' },
          { id: 'last', at: { beforeEndS: 20 }, text: 'Twenty seconds more' },
        ],
      },
      { kind: 'hold', id: 'side', poseId: 'crescent-lying', hold: { holdS: 150 } },
      { kind: 'hold', id: 'four', poseId: 'figure-four-lying', variantId: 'foot-down', hold: { holdS: 150 } },
      { kind: 'hold', id: 'across', poseId: 'knees-across-twist', hold: { holdS: 180 } },
      { kind: 'closing', id: 'closing', finalRestS: 540 },
    ],
  },
  growth: [
    { id: 'side-comes', blockId: 'side', kind: 'comes', week: 2 },
    { id: 'watch-goes', blockId: 'watch', kind: 'goes', week: 2 },
    { id: 'four-whole', blockId: 'four', kind: 'form', week: 3, variantId: null },
    { id: 'fold-quieter', blockId: 'fold', kind: 'quieter', everyWeeks: 3, least: 3 },
    { id: 'four-goes', blockId: 'four', kind: 'goes', week: 5 },
    { id: 'deer-longer', blockId: 'deer', kind: 'longer', everyWeeks: 4 },
    { id: 'across-longer', blockId: 'across', kind: 'longer', everyWeeks: 4 },
    { id: 'side-longer', blockId: 'side', kind: 'longer', everyWeeks: 5 },
  ],
}

const restorative: ShippedSeries = {
  id: 'series-restorative',
  name: 'Four weeks of being carried',
  about:
    'Restorative, seventy-five minutes a week: less is said, then there is one shape less and the others last longer. Nothing gets stronger.',
  weeks: 4,
  base: {
    schema: 2,
    id: 'series-restorative-rest',
    name: 'Carried, seventy-five minutes',
    practice: 'restorative',
    level: 'regular',
    lengthS: 4500,
    schoolId: 'restorative',
    purpose: 'Few shapes, all of them carried, and from week to week fewer words.',
    blocks: [
      {
        kind: 'talk',
        id: 'arrive',
        title: 'Arrive',
        text: 'Fetch everything once. Stop signs: come out at anything sharp or tingling.',
        s: 240,
      },
      {
        kind: 'hold',
        id: 'incline',
        poseId: 'inclined-rest',
        hold: { holdS: 480 },
        cues: [
          { id: 'eyes', at: { fromStartS: 60 }, text: 'Eyes closed or covered' },
          { id: 'jaw', at: { fromStartS: 150 }, text: 'Let the jaw be heavy' },
          { id: 'nothing', at: { share: 0.5 }, text: 'There is nothing to do here' },
          { id: 'last', at: { beforeEndS: 40 }, text: 'Begin to come back' },
        ],
      },
      {
        kind: 'hold',
        id: 'fold',
        poseId: 'wide-knee-fold',
        hold: { holdS: 300 },
        cues: [
          { id: 'weight', at: { fromStartS: 40 }, text: 'Give the bolster all your weight' },
          { id: 'head', at: { share: 0.5 }, text: 'Turn the head to the other cheek' },
        ],
      },
      { kind: 'hold', id: 'twist', poseId: 'twist-over-a-bolster', hold: { holdS: 210 } },
      { kind: 'hold', id: 'bound', poseId: 'reclined-bound-angle', hold: { holdS: 540 } },
      { kind: 'hold', id: 'calves', poseId: 'calves-on-a-chair', hold: { holdS: 420 } },
      { kind: 'closing', id: 'closing', finalRestS: 720 },
    ],
  },
  growth: [
    { id: 'incline-quieter', blockId: 'incline', kind: 'quieter', everyWeeks: 1, least: 2 },
    { id: 'calves-longer', blockId: 'calves', kind: 'longer', everyWeeks: 2 },
    { id: 'fold-goes', blockId: 'fold', kind: 'goes', week: 4 },
    { id: 'bound-longer', blockId: 'bound', kind: 'longer', everyWeeks: 3 },
  ],
}

const breath: ShippedSeries = {
  id: 'series-breath',
  name: 'Eight weeks from watching to even breath',
  about:
    'Breath, half an hour a week for people who never counted one: from watching it to even counts, with lessons of the three-part breath beside. Nothing is held.',
  weeks: 8,
  base: {
    schema: 2,
    id: 'series-breath-half-hour',
    name: 'From watching to even breath, half an hour',
    practice: 'breath',
    level: 'new',
    lengthS: 1800,
    schoolId: 'breath',
    stage: 2,
    purpose: 'One thing at a time, and anybody may breathe as they like.',
    blocks: [
      {
        kind: 'talk',
        id: 'arrive',
        title: 'Arrive',
        text: 'Two hours since a meal, the nose clear, a seat you can keep. The stop signs: dizziness, tingling, hunger for air.',
        s: 180,
      },
      {
        kind: 'breath',
        id: 'lesson',
        sections: [
          { kind: 'natural', id: 'ten', breaths: 10, attend: 'Ten breaths as they come' },
          { kind: 'natural', id: 'quiet', s: 90 },
        ],
      },
      {
        kind: 'breath',
        id: 'practice',
        sections: [
          { kind: 'natural', id: 'practice', techniqueId: 'watching-the-breath', s: 300 },
          { kind: 'natural', id: 'after', s: 90 },
        ],
      },
      { kind: 'closing', id: 'closing', finalRestS: 420 },
    ],
  },
  growth: [
    {
      id: 'two-threads',
      blockId: 'practice',
      kind: 'ladder',
      startStep: 0,
      perWeek: 2,
      lessons: { blockId: 'lesson', techniqueIds: ['three-part-breath'], from: 2 },
    },
  ],
}

/** Series to begin from: one of each practice. */
export const shippedSeries: readonly ShippedSeries[] = [yin, restorative, breath]
