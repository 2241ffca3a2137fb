import { watchDebounced } from '@vueuse/core'
import { computed } from 'vue'
import type { Ref } from 'vue'
import type { Side } from '#model/common'
import type { FigureView } from '#model/figure'
import { elevation, turnedTo } from '#core/figure'
import type { Elevation, ElevationInput } from '#core/figure'
import { fittedWords } from '#words/heights'
import { drawTogether } from '#web/shared/figures/draw-fitted.ts'
import { useFit } from '#web/shared/fit/use-fit.ts'
import { usualStatureCm } from '#web/shared/house/use-house.ts'
import { useProps } from './use-props.ts'

/** Somebody short, of usual height and tall, cm. */
const statures = [150, usualStatureCm, 190] as const
/** How long the hands rest before they are fitted anew. */
const restMs = 150

/** The set-up that is looked at as it lies for three heights, drawn to one scale. */
export function useThreeHeights(seen: {
  readonly view: Ref<FigureView>
  readonly side: Ref<Side | undefined>
  readonly width: Ref<number>
  readonly height: Ref<number>
}) {
  const { input, kinds, unit } = useProps()
  const fit = useFit('bodies')
  const bodies = computed(() =>
    statures.map((statureCm) => ({
      statureCm,
      ...(input.value?.who.lateInPregnancy ? { lateInPregnancy: true } : {}),
    })),
  )
  const asked = computed(() => input.value && JSON.stringify({ setUp: { ...input.value, who: bodies.value[1] } }))
  watchDebounced(
    asked,
    (now) => {
      // What is watched over by Vue cannot be sent to a worker; its plain copy can.
      if (now !== undefined) fit.ask({ ...(JSON.parse(now) as { setUp: ElevationInput }), bodies: bodies.value })
    },
    { debounce: restMs, immediate: true },
  )
  const laid = computed(() => {
    const [answer, figure] = [fit.answer.value, input.value?.figure]
    if (!answer?.ok || !figure) return []
    return answer.value.flatMap((fitted, at) => {
      const who = bodies.value[at]
      const drawn = who && elevation({ figure, items: fitted.items, kinds: kinds.value, who })
      if (!who || !drawn?.ok) return []
      return [{ statureCm: who.statureCm, words: fittedWords(fitted, unit.value, kinds.value), elevation: drawn.value }]
    })
  })
  const turned = (one: Elevation): Elevation => (input.value ? turnedTo(seen.side.value, input.value.figure, one) : one)
  return computed(() => {
    const [width, height] = [Math.floor(seen.width.value / statures.length), seen.height.value]
    const drawings = drawTogether(
      laid.value.map((one) => turned(one.elevation)),
      { view: seen.view.value, width, height, air: 8, mostScale: 2.4 },
    )
    return laid.value.flatMap(({ statureCm, words }, at) => {
      const drawing = drawings[at]
      return drawing ? [{ statureCm, words, drawing }] : []
    })
  })
}
