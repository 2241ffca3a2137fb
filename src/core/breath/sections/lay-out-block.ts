import type { Stretch } from './lay-out-section.ts'
import { layOutSection } from './lay-out-section.ts'
import type { ResolvedSection } from './resolve-section.ts'

/** A stretch of a block, and which of its sections it belongs to, from 0. */
export interface BlockStretch extends Stretch {
  readonly section: number
}

/** A block's sections one after the other, without gap. */
export const layOutBlock = (sections: readonly ResolvedSection[]): readonly BlockStretch[] =>
  sections.flatMap((section, index) => layOutSection(section).map((stretch) => ({ ...stretch, section: index })))
