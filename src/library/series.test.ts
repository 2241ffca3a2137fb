import { seriesSchema } from '#model/series'
import { sessionSchema } from '#model/session'
import { checkSession } from '#core/checks'
import { orThrow } from '#core/result'
import { growWeeks } from '#core/series'
import { compileTimeline } from '#core/timeline'
import { cautionBook } from './cautions/book.ts'
import { shippedSeries } from './series.ts'
import { shippedCatalog as catalog } from './shipped.ts'

test('there is one of each practice, of four to eight weeks', () => {
  expect(shippedSeries.map(({ base, weeks }) => [base.practice, weeks])).toEqual([
    ['yin', 6],
    ['restorative', 4],
    ['breath', 8],
  ])
})

describe.each(shippedSeries.map((shipped) => [shipped.name, shipped] as const))('%s', (_, shipped) => {
  const { base, growth, weeks } = shipped
  const grown = growWeeks({ base, growth, weeks, catalog })

  test('is valid, and every rule is of a block that is there', () => {
    expect(sessionSchema.parse(base)).toEqual(base)
    const { name, id } = shipped
    const series = { schema: 1, id, name, baseId: base.id, weekdays: ['MO'], firstDay: '2026-03-02', weeks, growth }
    expect(seriesSchema.safeParse({ ...series, people: [], guests: 0, classes: [] }).error).toBeUndefined()
    const blocks = new Set(base.blocks.map((block) => block.id))
    expect(growth.filter(({ blockId }) => !blocks.has(blockId))).toEqual([])
  })

  test('each week fits its length, has nothing to look at, and after the first something new', () => {
    for (const { week, session, news } of grown) {
      const timeline = orThrow(compileTimeline(session, catalog))
      expect([week, timeline.totalMs <= session.lengthS * 1000]).toEqual([week, true])
      const found = checkSession({ session, timeline, catalog, book: cautionBook, asked: undefined, names: [] })
      expect([week, found.map(({ code }) => code)]).toEqual([week, []])
      expect([week, news.length > 0]).toEqual([week, week > 1])
    }
  })
})

test('what is restorative never gets stronger: no other pose, no counted breath, and nothing is held past its usual top', () => {
  const rules = shippedSeries.find(({ base }) => base.practice === 'restorative')?.growth ?? []
  expect(new Set(rules.map(({ kind }) => kind))).toEqual(new Set(['quieter', 'goes', 'longer']))
  expect(rules.filter((rule) => rule.kind === 'longer' && rule.mostS !== undefined)).toEqual([])
})
