import type { Session } from '#model/session'
import { reedAndBellows } from './reed-and-bellows.ts'

/** The planned hour of the series "Thursday slow hour": 58:48 in all. */
export const thursdaySlowHour: Session = {
  schema: 2,
  id: 'thursday-slow-hour',
  name: 'Thursday slow hour',
  practice: 'yin',
  level: 'regular',
  lengthS: 3600,
  schoolId: 'mixed',
  purpose: 'Hips and breath for people who sit, sing and blow.',
  blocks: [
    {
      kind: 'talk',
      id: 'arrive',
      title: 'Arrive',
      text: 'What we do today, and the stop signs',
      s: 180,
    },
    {
      kind: 'breath',
      id: 'even-breath',
      sections: [
        {
          kind: 'rounds',
          id: 'breath',
          techniqueId: 'even-breath',
          leadInS: 0,
          wayOutS: 0,
          amount: { sets: 1, roundsPerSet: 30 },
        },
      ],
    },
    {
      kind: 'hold',
      id: 'wide-knee-fold',
      poseId: 'wide-knee-fold',
      hold: { holdS: 240 },
      // This teacher knows how long her people take: they lay out with the talk, and change while they rest.
      times: { changeS: 10 },
      cues: [
        // Written when the hold was still longer, as it happens to everybody: the findings say so.
        { id: 'announce', at: { fromStartS: 5 }, text: 'Five minutes here' },
        { id: 'belly', at: { fromStartS: 30 }, text: 'Let the belly hang between the thighs' },
        { id: 'head', at: { share: 0.5 }, text: 'Turn the head to the other cheek' },
        { id: 'last', at: { beforeEndS: 20 }, text: 'Twenty seconds more' },
      ],
    },
    { kind: 'hold', id: 'sphinx', poseId: 'sphinx', hold: { holdS: 180 }, times: { changeS: 10 } },
    {
      kind: 'hold',
      id: 'figure-four',
      poseId: 'figure-four-lying',
      hold: { holdS: 210 },
      times: { changeS: 10, betweenSidesS: 6 },
      cues: [
        { id: 'hip', at: { fromStartS: 30 }, text: 'The left hip grows heavy' },
        { id: 'breathe', at: { share: 0.5 }, text: 'Breathe into the {this} hip' },
        { id: 'last', at: { beforeEndS: 20 }, text: 'Twenty seconds more', sound: { kind: 'wood', strokes: 1 } },
      ],
    },
    {
      kind: 'hold',
      id: 'deer',
      poseId: 'deer',
      hold: { holdS: 210 },
      answers: { betweenSides: 'stillness' },
      times: { changeS: 25, setUpS: 24 },
    },
    {
      kind: 'hold',
      id: 'crescent',
      poseId: 'crescent-lying',
      hold: { holdS: 180 },
      times: { changeS: 15, setUpS: 16, betweenSidesS: 6, afterRestS: 0 },
    },
    {
      kind: 'hold',
      id: 'calves',
      poseId: 'calves-on-a-chair',
      hold: { holdS: 300 },
      changeText: 'fetch the chairs',
      times: { changeS: 44, afterRestS: 0 },
      breathOver: { techniqueId: 'long-exhale', rounds: 30, countedRounds: 3 },
    },
    {
      kind: 'closing',
      id: 'closing',
      finalRestS: 360,
      changeText: 'slide away from the chair',
      times: { changeS: 25 },
    },
  ],
}

/** The long rest of the series "Sunday long rest": everything carried, 1:14:25 in all. */
export const sundayLongRest: Session = {
  schema: 2,
  id: 'sunday-long-rest',
  name: 'Sunday long rest',
  practice: 'restorative',
  level: 'regular',
  lengthS: 4500,
  schoolId: 'restorative',
  purpose: 'Five shapes that carry everything.',
  blocks: [
    {
      kind: 'talk',
      id: 'arrive',
      title: 'Arrive',
      text: 'Fetch everything once: bolster, blocks, blankets, chair. The stop signs',
      s: 300,
    },
    { kind: 'hold', id: 'fold', poseId: 'wide-knee-fold', hold: { holdS: 300 } },
    { kind: 'hold', id: 'incline', poseId: 'inclined-rest', hold: { holdS: 540 } },
    { kind: 'hold', id: 'bound', poseId: 'reclined-bound-angle', hold: { holdS: 540 } },
    { kind: 'hold', id: 'twist', poseId: 'twist-over-a-bolster', hold: { holdS: 240 } },
    { kind: 'hold', id: 'calves', poseId: 'calves-on-a-chair', hold: { holdS: 420 } },
    { kind: 'closing', id: 'closing', finalRestS: 600 },
  ],
}

/** A home practice of 20 minutes: 19:57 in all. */
export const shortEveningRest: Session = {
  schema: 2,
  id: 'short-evening-rest',
  name: 'Twenty minutes before supper',
  practice: 'restorative',
  level: 'regular',
  lengthS: 1200,
  schoolId: 'restorative',
  purpose: 'For the days without a class.',
  blocks: [
    {
      kind: 'talk',
      id: 'arrive',
      title: 'Arrive',
      text: 'Fetch everything once. Stop signs: come out at anything sharp or tingling.',
      s: 60,
    },
    {
      kind: 'breath',
      id: 'watch',
      sections: [{ kind: 'natural', id: 'breath', techniqueId: 'watching-the-breath', s: 120 }],
    },
    {
      kind: 'hold',
      id: 'twist',
      poseId: 'twist-over-a-bolster',
      hold: { holdS: 180 },
      times: { afterRestS: 0 },
    },
    {
      kind: 'closing',
      id: 'closing',
      finalRestS: 300,
      times: { changeS: 15 },
    },
  ],
}

export const demoSessions: readonly Session[] = [thursdaySlowHour, sundayLongRest, shortEveningRest, reedAndBellows]
