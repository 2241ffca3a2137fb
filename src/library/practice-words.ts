import type { Practice } from '#model/common'

/** Stillness after a hold: yin teachers call it the rebound [decisions]. */
export const afterRestName = (practice: Practice): string => (practice === 'yin' ? 'rebound' : 'after-rest')
