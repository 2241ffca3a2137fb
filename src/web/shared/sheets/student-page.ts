import type { Session } from '#model/session'
import { leadPlan, soundsByClock } from '#core/lead'
import type { DueSound } from '#core/lead'
import type { PropSpecs } from '#core/props'
import type { Catalog } from '#core/session'
import { formatMs } from '#core/units'
import { sheetBlocks, titleBeside } from '#words/class-sheet'
import { homeParts } from '#formats/sheets/home-parts'
import type { RunData } from '#formats/student-page/run-page'
import { studentPage } from '#formats/student-page/student-page'
import { picturesOf } from './pictures-of.ts'

const bellNames = { bowl: 'bowl', lowBell: 'low', wood: 'tick' } as const

/** As the page sounds them: what is no bell of the application's own is left out. */
const bellsOf = (due: readonly DueSound[]): RunData['bells'] =>
  due.flatMap(({ atMs, sound: { kind } }) =>
    kind in bellNames ? [{ atMs, is: bellNames[kind as keyof typeof bellNames] }] : [],
  )

/** Tenths of a px are finer than any screen of a phone. */
const shorter = (svg: string): string =>
  svg.replaceAll(/-?\d+\.\d{2,}/g, (number) => String(Math.round(Number(number) * 10) / 10))

/**
 * A class as a page for its students, as it is practised at home: nobody is named on it, and nothing strong stands on it.
 * Undefined where the session cannot be compiled, or nothing of it goes home.
 */
export async function studentPageOf(session: Session, catalog: Catalog, kinds: PropSpecs): Promise<string | undefined> {
  const { parts, timeline } = homeParts(session, catalog)
  if (!timeline || parts.length === 0) return undefined
  return studentPage({
    ...{ name: session.name, about: session.theme ?? '', length: formatMs(timeline.totalMs) },
    parts: parts.map(({ resolved, ...part }) => {
      const [picture] = picturesOf(resolved, catalog, kinds)
      return { ...part, ...(picture === undefined ? {} : { picture: shorter(picture) }) }
    }),
    run: {
      totalMs: timeline.totalMs,
      bells: bellsOf(soundsByClock(leadPlan(timeline, {}))),
      parts: sheetBlocks(timeline, session.practice).flatMap(({ name, parts: its }, block) =>
        its.map(({ title, startMs, endMs }) => ({ block, name, title: titleBeside(title, name), startMs, endMs })),
      ),
    },
  })
}
