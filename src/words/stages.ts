import type { Setting } from '#model/session'

const settingNames: Readonly<Record<Setting, string>> = {
  room: 'in a room, with the teacher',
  online: 'online',
  home: 'by people alone at home',
}
export const settingChoices = (['room', 'online', 'home'] as const).map((value) => ({
  value,
  words: settingNames[value],
}))

/** The stages of breath work, each by what it may add [breath book 4]. */
const stageNames = {
  1: 'the breath as it is',
  2: 'even counts',
  3: 'a longer exhale',
  4: 'held full up to 4 counts',
  5: 'held full up to 8, empty up to 4',
  6: 'held full up to 16',
} as const
export type Stage = keyof typeof stageNames

/** The stages that are offered; the sixth is not until it is switched on, unless the session has it already [breath book 5]. */
export const stageChoices = (now: number | undefined, withSixth: boolean) =>
  ([1, 2, 3, 4, 5, 6] as const)
    .filter((stage) => stage < 6 || withSixth || now === 6)
    .map((value) => ({ value, words: `${String(value)} · ${stageNames[value]}` }))
