export { countGrades, findAll, worstFirst } from './find-all.ts'
export type { Finds, Found, Grade, RuleOf } from './rule.ts'
export { settingAside, takingBack, withSetAside } from './set-aside.ts'
export type { Judged } from './set-aside.ts'
