import type { Grade } from '#core/finding'
import { joined } from './text.ts'

/** Grades of findings in a word. */
export const findingGradeNames: Readonly<Record<Grade, string>> = { must: 'To mend', look: 'To look at', tip: 'Tip' }

/** What stands wrong as planned and what wants a look; tips are not counted [decisions]. */
export const countWords = ({ must, look }: Readonly<Record<Grade, number>>): string =>
  joined([must > 0 ? `${String(must)} to mend` : '', look > 0 ? `${String(look)} to look at` : ''], ', ')
