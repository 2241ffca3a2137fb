import { nanoid } from 'nanoid'
import type { FormerOwnPose, OwnPose, Pose } from '#model/pose'
import { fullOf, listedSetUp, propCounts, setUpsFor, splitCounts } from '#core/session'
import type { Catalog } from '#core/session'
import type { SetUp } from '#model/set-up'
import { markedName } from '#words/text'
import { itsOwn } from '#web/shared/teachers/teacher-here.ts'

const three = <T>(value: T) => ({ new: value, regular: value, experienced: value })

/** A pose as it is typed: with what it takes, which is kept as a set-up of its own. */
export type OwnPoseDraft = OwnPose & { props: Pose['props'] }

/** An empty pose to start from: what has a usual value has it, what only the teacher can know is open. */
export const emptyPose = (): OwnPoseDraft => ({
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
export const copyOf = (pose: Pose): OwnPoseDraft => ({
  ...structuredClone(pose),
  id: nanoid(),
  copiedFrom: pose.id,
  names: { ...structuredClone(pose.names), english: markedName(pose.names.english, ', mine') },
})

/** The document of a draft. Its forms take what those of the pose do that it was copied from. */
export const poseOf = (draft: OwnPoseDraft): OwnPose => splitCounts(draft as FormerOwnPose, () => true).pose

/** The set-up that a draft's counts make, where its pose is not set up with them already. */
export function setUpOfDraft({ id, props }: OwnPoseDraft, catalog: Catalog): SetUp | undefined {
  const full = fullOf(setUpsFor(catalog, id))
  const listed = listedSetUp(props, id)
  const isSame = JSON.stringify(propCounts(full?.items ?? [])) === JSON.stringify(propCounts(listed.items))
  if (isSame) return undefined
  return full?.poseId === id ? { ...full, items: listed.items } : listed
}

const keptAs = (id: string) => itsOwn(`zovrin.draft.pose.${id}`)

/** What was typed and not yet saved, kept in this browser: a closed tab loses nothing. */
export function keptDraft(id: string): OwnPoseDraft | undefined {
  try {
    const kept: OwnPoseDraft | null = JSON.parse(localStorage.getItem(keptAs(id)) ?? 'null')
    // One that was begun with the first edition has no words for arranging.
    return kept ? { ...kept, setUpWords: kept.setUpWords ?? [] } : undefined
  } catch {
    return undefined
  }
}
export const keepDraft = (id: string, pose: OwnPoseDraft): void => {
  localStorage.setItem(keptAs(id), JSON.stringify(pose))
}
export const dropDraft = (id: string): void => {
  localStorage.removeItem(keptAs(id))
}
