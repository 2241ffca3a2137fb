import type { Block } from '#model/block'
import type { Growth, Series } from '#model/series'
import type { Session } from '#model/session'
import { course } from '#core/breath'
import type { CourseWeek, LadderPractice } from '#core/breath'
import type { Catalog } from '#core/session'
import { answersIn } from '#core/session'
import { atLesson, atStep } from './breath-step.ts'
import { growHold } from './grow-block.ts'
import type { News } from './news.ts'

/** A week of a series as it grows out of its base. */
export interface GrownWeek {
  /** From 1; weeks that wait are not counted. */
  readonly week: number
  readonly session: Session
  /** What is otherwise than the week before; nothing in the first. */
  readonly news: readonly News[]
}

interface GrowInput {
  readonly base: Session
  readonly growth: Series['growth']
  readonly weeks: number
  readonly catalog: Catalog
  /** Breath practices as they were recorded, by week; absent: as the rule expects them. */
  readonly practices?: readonly LadderPractice[]
}

/** Where the rules stand after some weeks: the week each last took a step in, and events that are done. */
interface Standing {
  readonly session: Session
  readonly stepped: ReadonlyMap<string, number>
}

/**
 * The weeks of a series [decisions, series]: each week every block takes at most one step, of the first rule that is due
 * for it and has one; a rule that has to wait takes it the week after. A step of the ladder, or a lesson, goes before
 * other rules of its block. The same input gives the same weeks.
 */
export function growWeeks({ base, growth, weeks, catalog, practices }: GrowInput): readonly GrownWeek[] {
  const courses = coursesOf(base, growth, weeks, catalog, practices)
  const grown: GrownWeek[] = []
  let now: Standing = { session: begin(base, growth, courses), stepped: new Map() }
  for (let week = 1; week <= weeks; week += 1) {
    const news: News[] = []
    if (week > 1) now = stepWeek(now, { base, growth, week, catalog, courses, news })
    grown.push({ week, session: now.session, news })
  }
  return grown
}

type Courses = ReadonlyMap<string, readonly CourseWeek[]>

/** The two threads of breath of each rule that has them. */
function coursesOf(
  base: Session,
  growth: Series['growth'],
  weeks: number,
  catalog: Catalog,
  practices: readonly LadderPractice[] | undefined,
): Courses {
  const { threePartBreath } = answersIn(base, catalog) ?? {}
  return new Map(
    growth.flatMap((rule): [string, readonly CourseWeek[]][] => {
      if (rule.kind !== 'ladder') return []
      const { startStep, perWeek, topStage, evenWeeksBefore, lessons } = rule
      const learned = (lessons?.techniqueIds ?? []).flatMap((id) => {
        const technique = catalog.techniques.get(id)
        return technique ? [{ techniqueId: id, lessons: technique.lessons.length }] : []
      })
      const made = course({
        ...{ startStep, perWeek, weeks, learned, threePartBreath },
        ...(topStage === undefined ? {} : { topStage }),
        ...(evenWeeksBefore === undefined ? {} : { evenWeeksBefore }),
        ...(lessons?.from === undefined ? {} : { lessonsFrom: lessons.from }),
        ...(practices ? { practices } : {}),
      })
      return made.ok ? [[rule.id, made.value]] : []
    }),
  )
}

const withBlock = (session: Session, block: Block): Session => ({
  ...session,
  blocks: session.blocks.map((one) => (one.id === block.id ? block : one)),
})
const blockIn = ({ blocks }: Session, id: string): Block | undefined => blocks.find((block) => block.id === id)

/** The first week: the base without what comes later, at the first step of its ladders. */
function begin(base: Session, growth: Series['growth'], courses: Courses): Session {
  const later = new Set(growth.flatMap((rule) => (rule.kind === 'comes' && rule.week > 1 ? [rule.blockId] : [])))
  const session = { ...base, blocks: base.blocks.filter(({ id }) => !later.has(id)) }
  return growth.reduce((before, rule) => {
    const [first] = courses.get(rule.id) ?? []
    return rule.kind === 'ladder' && first ? practised(before, rule, first).session : before
  }, session)
}

/** A session with what a week of the two threads is; what of it was otherwise before. */
function practised(
  session: Session,
  rule: Extract<Growth, { kind: 'ladder' }>,
  { step, lesson }: CourseWeek,
  before?: CourseWeek,
): { readonly session: Session; readonly news: readonly News[] } {
  const news: News[] = []
  let now = session
  const ratio = blockIn(now, rule.blockId)
  if (ratio?.kind === 'breath' && step !== before?.step) {
    now = withBlock(now, atStep(ratio, step))
    if (before) news.push({ blockId: ratio.id, is: 'step', from: before.step, to: step })
  }
  // Both threads in one block would be two things at once: there the lessons are left out.
  const learning =
    rule.lessons && rule.lessons.blockId !== rule.blockId ? blockIn(now, rule.lessons.blockId) : undefined
  const isNew = lesson?.techniqueId !== before?.lesson?.techniqueId || lesson?.lesson !== before?.lesson?.lesson
  if (learning?.kind === 'breath' && lesson && isNew) {
    now = withBlock(now, atLesson(learning, lesson.techniqueId, lesson.lesson))
    if (before) news.push({ blockId: learning.id, is: 'lesson', ...lesson })
  }
  return { session: now, news }
}

interface Week {
  readonly base: Session
  readonly growth: Series['growth']
  readonly week: number
  readonly catalog: Catalog
  readonly courses: Courses
  /** Told along the way. */
  readonly news: News[]
}

function stepWeek(before: Standing, { base, growth, week, catalog, courses, news }: Week): Standing {
  let session = before.session
  const stepped = new Map(before.stepped)
  for (const rule of growth) {
    const weeks = courses.get(rule.id)
    const [now, last] = [weeks?.[week - 1], weeks?.[week - 2]]
    if (rule.kind !== 'ladder' || !now || !last || news.some(({ blockId }) => blockId === rule.blockId)) continue
    const done = practised(session, rule, now, last)
    session = done.session
    news.push(...done.news)
  }
  for (const rule of growth) {
    if (rule.kind === 'ladder' || news.some(({ blockId }) => blockId === rule.blockId)) continue
    if (!isDue(rule, week, stepped.get(rule.id))) continue
    const done = stepOf(session, base, rule, catalog)
    if (!done) continue
    session = done.session
    news.push(done.news)
    stepped.set(rule.id, week)
  }
  return { session, stepped }
}

/** A rule of so many weeks is due so long after its last step, one of a week from it on until it is done. */
function isDue(rule: Exclude<Growth, { kind: 'ladder' }>, week: number, last: number | undefined): boolean {
  if (rule.kind === 'longer' || rule.kind === 'quieter') return week - (last ?? 1) >= rule.everyWeeks
  return last === undefined && week >= rule.week
}

function stepOf(
  session: Session,
  base: Session,
  rule: Exclude<Growth, { kind: 'ladder' }>,
  catalog: Catalog,
): { readonly session: Session; readonly news: News } | undefined {
  const { blockId } = rule
  if (rule.kind === 'comes') {
    const block = blockIn(base, blockId)
    if (!block || blockIn(session, blockId)) return undefined
    return { session: { ...session, blocks: inserted(session, base, block) }, news: { blockId, is: 'comes' } }
  }
  const block = blockIn(session, blockId)
  if (!block) return undefined
  if (rule.kind === 'goes')
    return {
      session: { ...session, blocks: session.blocks.filter(({ id }) => id !== blockId) },
      news: { blockId, is: 'goes' },
    }
  if (block.kind !== 'hold') return undefined
  const grown = growHold(session, block, rule, catalog)
  return grown && { session: withBlock(session, grown.block), news: grown.news }
}

/** A block comes in where the base has it: after the nearest before it that is there. */
function inserted({ blocks }: Session, base: Session, block: Block): Block[] {
  const before = base.blocks.slice(
    0,
    base.blocks.findIndex(({ id }) => id === block.id),
  )
  const at = before.reduce(
    (last, { id }) =>
      Math.max(
        last,
        blocks.findIndex((one) => one.id === id),
      ),
    -1,
  )
  return blocks.toSpliced(at + 1, 0, block)
}
