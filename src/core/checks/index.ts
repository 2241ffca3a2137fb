export { checkSession, settingAside, takingBack, withSetAside } from './check.ts'
export type { CheckInput, Judged, Noticed } from './check.ts'
export { rules } from './registry.ts'
export type { Facts, Mend } from './rule.ts'
