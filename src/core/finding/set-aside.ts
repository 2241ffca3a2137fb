import type { Finding } from '#model/finding'
import type { Session } from '#model/session'

type SetAside = NonNullable<Session['setAside']>[number]

/** Where a finding stands, as it is kept with one that was set aside. */
export const placeOf = ({ place }: Finding): string => place.blockId ?? ''

/** What is short of one kind is another finding than what is short of the next. */
const isOf = (finding: Finding, { code, place, facts }: SetAside): boolean =>
  finding.code === code && placeOf(finding) === place && finding.facts['kind'] === facts['kind']

const sameFacts = (a: Finding['facts'], b: Finding['facts']): boolean =>
  Object.keys(a).length === Object.keys(b).length && Object.entries(a).every(([name, value]) => b[name] === value)

/** A finding, and whether it was set aside: with the reason as long as its facts are those of then. */
export interface Judged<F extends Finding = Finding> {
  readonly finding: F
  readonly aside: SetAside | undefined
  /** It was set aside once, and its facts have changed since. */
  readonly isBack: boolean
}

/** Findings against those the teacher set aside: one comes back when its numbers change. */
export const withSetAside = <F extends Finding>(
  findings: readonly F[],
  { setAside = [] }: Pick<Session, 'setAside'>,
): Judged<F>[] =>
  findings.map((finding) => {
    const former = setAside.filter((one) => isOf(finding, one))
    const aside = former.find(({ facts }) => sameFacts(facts, finding.facts))
    return { finding, aside, isBack: former.length > 0 && aside === undefined }
  })

/** The list of those set aside with one more; an older one of the same code and place gives way. */
export const settingAside = (
  session: Pick<Session, 'setAside'>,
  finding: Finding,
  reason: string,
  at: string,
): SetAside[] => [
  ...(session.setAside ?? []).filter((one) => !isOf(finding, one)),
  { code: finding.code, place: placeOf(finding), facts: finding.facts, reason, at },
]

/** The list without one that was set aside. */
export const takingBack = (session: Pick<Session, 'setAside'>, finding: Finding): SetAside[] =>
  (session.setAside ?? []).filter((one) => !isOf(finding, one))
