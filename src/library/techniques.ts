import type { Technique } from '#model/technique'
import { inPersonTechniques } from './techniques/in-person.ts'
import { quietTechniques } from './techniques/quiet.ts'

/** The techniques of the cautions reference's register 3.1, from watching the breath to the strong ones. */
export const techniques: readonly Technique[] = [...quietTechniques, ...inPersonTechniques]
