import { nanoid } from 'nanoid'
import type { OwnPose, Pose } from '#model/pose'
import { markedName } from '#words/text'

const three = <T>(value: T) => ({ new: value, regular: value, experienced: value })

/** An empty pose to start from: what has a usual value has it, what only the teacher can know is open. */
export const emptyPose = (): OwnPose => ({
  id: nanoid(),
  names: { english: '', others: [] },
  base: { enter: 'supine', leave: 'supine' },
  holds: {
    restorative: { new: range(60, 120, 180), regular: range(120, 240, 300), experienced: range(180, 300, 480) },
    yin: { new: range(60, 120, 120), regular: range(120, 180, 240), experienced: range(180, 240, 300) },
  },
  practices: ['yin'],
  fromLevel: 'new',
  targets: [],
  directions: [],
  sensation: { from: 0, to: 4 },
  families: [],
  times: {
    setUpS: three(20),
    settleS: 10,
    comingOutS: 15,
    betweenSidesS: 10,
    afterRestS: { restorative: 30, yin: 45 },
  },
  head: { turned: 'never', rests: '' },
  cues: [],
  mistakes: [],
  looksFor: [],
  comingOut: [],
  counterposes: [],
  places: ['deep'],
  warms: [],
  wantsWarm: [],
  props: [],
  withoutProps: '',
  variants: [],
  energyLines: [],
  setUpWords: [],
})

function range(fromS: number, usualS: number, toS: number) {
  return { fromS, usualS, toS }
}

/** A copy of a pose under an id of its own, said to be one. */
export const copyOf = (pose: Pose): OwnPose => ({
  ...structuredClone(pose),
  id: nanoid(),
  copiedFrom: pose.id,
  names: { ...structuredClone(pose.names), english: markedName(pose.names.english, ', mine') },
})

const keptAs = (id: string) => `zovrin.draft.pose.${id}`

/** What was typed and not yet saved, kept in this browser: a closed tab loses nothing. */
export function keptDraft(id: string): OwnPose | undefined {
  try {
    const kept: OwnPose | null = JSON.parse(localStorage.getItem(keptAs(id)) ?? 'null')
    // One that was begun with the first edition has no words for arranging.
    return kept ? { ...kept, setUpWords: kept.setUpWords ?? [] } : undefined
  } catch {
    return undefined
  }
}
export const keepDraft = (id: string, pose: OwnPose): void => {
  localStorage.setItem(keptAs(id), JSON.stringify(pose))
}
export const dropDraft = (id: string): void => {
  localStorage.removeItem(keptAs(id))
}
