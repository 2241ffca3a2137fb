import { elevation } from '#core/figure'
import { eventsOnScreen, onScreen } from '#core/lead'
import type { ScreenClass, ScreenNow } from '#core/lead'
import { sizedKinds } from '#core/props'
import { figureIn } from '#core/session'
import type { Catalog } from '#core/session'
import { compileTimeline } from '#core/timeline'
import type { LedClass } from '#model/led-class'
import type { ClassNow } from '#model/device'

/** For whom the pictures are drawn: nobody in the class. */
const who = { statureCm: 170 }

/** A class as the screens get it, once; its pictures as the shelf has them today. */
export const screenClass = (led: Extract<LedClass, { format: 2 }>, catalog: Catalog): ScreenClass => ({
  ...onScreen(led),
  figures: figuresOf(led, catalog),
})

function figuresOf({ document }: Extract<LedClass, { format: 2 }>, catalog: Catalog): ScreenClass['figures'] {
  const timeline = compileTimeline(document, catalog)
  if (!timeline.ok) return {}
  const kinds = sizedKinds(catalog.propKinds, {})
  return Object.fromEntries(
    timeline.value.blocks.flatMap(({ block }) => {
      const figure = figureIn(block, catalog)
      const items = 'setUp' in block ? (block.setUp?.value.items ?? []) : []
      const drawn = figure && elevation({ figure, items, kinds, who })
      if (!figure || drawn?.ok !== true) return []
      const { view, side } = figure
      const seen = { ...(view ? { view } : {}), ...(side ? { side } : {}) }
      return [[block.block.id, { elevation: drawn.value, ...seen }] as const]
    }),
  )
}

export const screenNow = (
  events: LedClass['events'],
  { id, zeroMs, leads }: ClassNow,
  showsClock: boolean,
): ScreenNow => ({
  ...{ id, events: eventsOnScreen(events), zeroMs, showsClock },
  isInTouch: leads?.isInTouch ?? false,
})
