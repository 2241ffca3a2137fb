import type { CautionGrade } from '#model/caution'

/** Worst first. */
export const cautionGradeOrder: readonly CautionGrade[] = ['avoid', 'modify', 'care']
