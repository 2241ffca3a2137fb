import type { BasePosition } from '#model/common'

/** What a mark stands for: a base position, breath, or words. */
export type Glyph = BasePosition | 'breath' | 'words'
