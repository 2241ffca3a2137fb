import { nanoid } from 'nanoid'
import type { Section } from '#model/section'
import type { Technique } from '#model/technique'
import { techniqueSection as sectionOf } from '#core/session'

/** A technique as a section with an id of its own. */
export const techniqueSection = (technique: Technique): Section => sectionOf(technique, nanoid())
