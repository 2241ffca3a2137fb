import { sessionSchema } from '#model/session'
import { compileTimeline } from '#core/timeline'
import { orThrow } from '#core/result'
import { usualHold } from '#core/session'
import { shippedCatalog } from './shipped.ts'
import { templates } from './templates.ts'

test('there are templates from 20 to 90 minutes, for each practice', () => {
  expect(templates.map(({ lengthS }) => lengthS / 60)).toEqual([20, 45, 60, 75, 30, 90, 45, 60, 60, 20, 30, 45])
  expect(new Set(templates.map(({ practice }) => practice))).toEqual(new Set(['restorative', 'yin', 'mixed', 'breath']))
})

test.each(templates.map((template) => [template.name, template] as const))(
  '%s is valid, fits its length to the minute, and its holds are usual',
  (_, template) => {
    expect(sessionSchema.parse(template)).toEqual(template)
    const { totalMs, blocks } = orThrow(compileTimeline(template, shippedCatalog))
    expect(totalMs / 1000).toBeLessThanOrEqual(template.lengthS)
    expect(totalMs / 1000).toBeGreaterThan(template.lengthS - 60)
    for (const { block } of blocks) {
      if (block.kind !== 'hold') continue
      const { fromS, toS } = usualHold(block.pose, template.practice, template.level)
      for (const { holdS } of block.sides)
        expect([block.pose.id, holdS >= fromS && holdS <= toS]).toEqual([block.pose.id, true])
    }
  },
)
