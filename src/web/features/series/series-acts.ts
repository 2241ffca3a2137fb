import { nanoid } from 'nanoid'
import { useRouter } from 'vue-router'
import { textLimits } from '#model/limits'
import type { PlannedClass } from '#model/planned-class'
import type { ClassOfSeries, Growth, Series } from '#model/series'
import type { Session } from '#model/session'
import type { ClassInWeeks } from '#core/series'
import { withFields } from '#core/session'
import type { FieldsOf } from '#core/session'
import { dayOf } from '#words/class-days'
import { dayOfMonth } from '#words/dates'
import { markedName } from '#words/text'
import { whyNot } from '#web/shared/api/client.ts'
import { createSession } from '#web/shared/api/sessions.ts'
import { usePlacesStore } from '#web/shared/house/places-store.ts'
import { usePlannedClassesStore } from '#web/shared/house/planned-classes-store.ts'
import type { WeekOfSeries } from './use-series.ts'

type Chosen = Readonly<{ value: Series | undefined }>
type Change = (by: FieldsOf<Series>) => Promise<boolean>

export function growthActs(chosen: Chosen, change: Change) {
  return {
    addGrowth: (rule: Growth) => change({ growth: [...(chosen.value?.growth ?? []), rule] }),
    removeGrowth: (id: string) => change({ growth: (chosen.value?.growth ?? []).filter((rule) => rule.id !== id) }),
  }
}

/** Keeps a new session; its id, or undefined where it was refused and why is told. */
export async function kept(session: Session, told: { value: string }): Promise<string | undefined> {
  told.value = ''
  const reply = await createSession(session)
  if (reply.kind === 'ok') return session.id
  told.value = whyNot(reply)
  return undefined
}

/** A class of a series, planned for its day with who comes to the series. */
const plannedFor = (
  series: Series,
  { n, day, startsAt }: ClassInWeeks,
  where: Pick<PlannedClass, 'sessionId' | 'placeId'>,
): PlannedClass => ({
  ...{ id: nanoid(), ...where, series: { id: series.id, n }, day },
  ...(series.roomId === undefined ? {} : { roomId: series.roomId }),
  ...(startsAt === undefined ? {} : { startsAt }),
  ...{ people: series.people.map((personId) => ({ personId })), guests: series.guests },
  ...{ forms: [], substitutes: [], setAside: [] },
})

/** What is said of the classes of a series, apart from its rhythm. */
function sayingsOf(chosen: Chosen, change: Change) {
  /** What is said of one class; nothing said of it takes it out of the list. */
  const say = (n: number, by: FieldsOf<ClassOfSeries>): Promise<boolean> => {
    const all = chosen.value?.classes ?? []
    const said = withFields<ClassOfSeries>(all.find((one) => one.n === n) ?? { n }, by)
    const others = all.filter((one) => one.n !== n)
    return change({ classes: Object.keys(said).length > 1 ? [...others, said].sort((a, b) => a.n - b.n) : others })
  }
  return {
    say,
    leaveOut: (n: number, why: string | undefined) => say(n, { leftOut: why }),
    /** Several at once, as one step. */
    leaveOutAll(out: readonly { readonly n: number; readonly why: string }[]): Promise<boolean> {
      const others = (chosen.value?.classes ?? []).filter(({ n }) => !out.some((one) => one.n === n))
      const said = out.map(({ n, why }) => ({
        ...(chosen.value?.classes.find((one) => one.n === n) ?? { n }),
        leftOut: why.slice(0, textLimits.line),
      }))
      return change({ classes: [...others, ...said].sort((a, b) => a.n - b.n) })
    },
    /** From that week on everything grows a week later; or no longer so. */
    wait(week: number, waits: boolean): Promise<boolean> {
      const others = (chosen.value?.waits ?? []).filter((one) => one !== week)
      const now = waits ? [...others, week].sort((a, b) => a - b) : others
      return change({ waits: now.length === 0 ? undefined : now })
    },
    /** Takes a record of the same week as this class's, which was led on another day. */
    async takeLed({ n, offered }: WeekOfSeries): Promise<void> {
      if (offered) await say(n, { day: dayOf(Date.parse(offered.startedAt)), sessionId: offered.sessionId })
    },
    asComputed: (n: number) => say(n, { sessionId: undefined }),
  }
}

export function classActs(chosen: Chosen, change: Change, told: { value: string }) {
  const router = useRouter()
  const classes = usePlannedClassesStore()
  const places = usePlacesStore()
  const { say, ...sayings } = sayingsOf(chosen, change)
  /** The session of a class: the one it has, or a version made of what it grew to; undefined where that was refused. */
  async function ownSession({ n, day, sessionId, session }: ClassInWeeks): Promise<string | undefined> {
    const { value: series } = chosen
    if (sessionId !== undefined || !series) return sessionId
    const name = markedName(series.name, `, ${dayOfMonth(day)}`)
    const id = await kept({ ...session, id: nanoid(), name, versionOf: { sessionId: series.baseId } }, told)
    return id !== undefined && (await say(n, { sessionId: id })) ? id : undefined
  }
  return {
    ...sayings,
    /** Moves a class; one that is planned already is moved with it. */
    async move({ n, planned }: WeekOfSeries, to: { readonly day?: string; readonly startsAt?: string | undefined }) {
      if (!(await say(n, to)) || !planned) return
      const when = 'startsAt' in to ? { ...to, startsAt: to.startsAt ?? chosen.value?.startsAt } : to
      await classes.put(withFields<PlannedClass>(planned, when))
    },
    /** Has the planned class be where the series has it now: on its day, or nowhere. */
    async bringPlanned({ planned, leftOut, day, startsAt }: WeekOfSeries): Promise<void> {
      if (!planned) return
      const isDone =
        leftOut === undefined
          ? await classes.put(withFields<PlannedClass>(planned, { day, startsAt }))
          : await classes.remove(planned.id)
      told.value = isDone ? '' : classes.problem
    },
    /** Opens the class in Plan: the session it has, or a version of its own from then on. */
    async openInPlan(one: WeekOfSeries): Promise<void> {
      const id = await ownSession(one)
      if (id === undefined) return
      if (one.planned) classes.openWith(id, one.planned.id)
      await router.push({ name: 'plan', params: { id } })
    },
    /** Plans the class for its day, with who comes to the series: it is led by a session of its own from then on. */
    async planClass(one: ClassInWeeks): Promise<void> {
      const { value: series } = chosen
      const placeId = series?.placeId ?? places.places.find(({ usual }) => usual)?.id ?? places.places[0]?.id
      const sessionId = series && placeId !== undefined ? await ownSession(one) : undefined
      if (!series || placeId === undefined || sessionId === undefined) {
        if (placeId === undefined) told.value = 'A class is planned at a place: add one in Cupboard first.'
        return
      }
      const planned = plannedFor(series, one, { sessionId, placeId })
      if (await classes.put(planned)) await router.push({ name: 'who', params: { id: sessionId } })
      else told.value = classes.problem
    },
  }
}
