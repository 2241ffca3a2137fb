import type { Level, Practice } from '#model/common'

/** Stillness after a hold: yin teachers call it the rebound [decisions]. */
export const afterRestName = (practice: Practice): string => (practice === 'yin' ? 'rebound' : 'rest after')
export const afterRestNames = (practice: Practice): string => (practice === 'yin' ? 'rebounds' : 'rests after')

export const practiceChoices: { value: Practice; words: string }[] = [
  { value: 'restorative', words: 'Restorative' },
  { value: 'yin', words: 'Yin' },
  { value: 'breath', words: 'Breath' },
  { value: 'mixed', words: 'Mixed' },
]

export const levelChoices: { value: Level; words: string }[] = [
  { value: 'new', words: 'New' },
  { value: 'regular', words: 'Regular' },
  { value: 'experienced', words: 'Experienced' },
]
