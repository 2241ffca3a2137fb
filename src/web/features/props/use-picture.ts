import { useMediaQuery } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import type { Ref } from 'vue'
import { sides } from '#model/common'
import type { Side } from '#model/common'
import { figureViews } from '#model/figure'
import type { FigureView } from '#model/figure'
import { sideDrawn, turnedTo } from '#core/figure'
import { seenFromWords, viewWords } from '#words/seen-from'
import { drawFrom } from '#web/shared/figures/draw.ts'
import { useProps } from './use-props.ts'

/** On paper it has a width of its own, px. */
const onPaper = { width: 680, height: 430 } as const
/** What a picture at least wants, px. */
const least = { width: 280, height: 200 } as const

/** The picture of the set-up that is looked at: from which side, which side of the pose, and drawn to the room there is. */
export function usePicture(room: { readonly width: Ref<number>; readonly height: Ref<number> }) {
  const { chosen, figure, items, picture, measures, kinds, unit } = useProps()
  /** Each pose opens in the picture that says most; the others are a press away. */
  const chosenView = ref<FigureView>()
  const chosenSide = ref<Side>()
  watch(
    () => chosen.value?.key,
    () => {
      chosenView.value = undefined
      chosenSide.value = undefined
    },
  )
  const view = computed({
    get: () => chosenView.value ?? figure.value?.view ?? 'side',
    set: (wanted) => (chosenView.value = wanted),
  })
  const side = computed({
    get: () => chosenSide.value ?? (figure.value ? sideDrawn(figure.value) : 'right'),
    set: (wanted) => (chosenSide.value = wanted),
  })
  const printing = useMediaQuery('print')
  const size = computed(() =>
    printing.value
      ? onPaper
      : {
          width: Math.max(least.width, Math.floor(room.width.value)),
          height: Math.max(least.height, Math.floor(room.height.value)),
        },
  )
  const drawing = computed(() => {
    if (!picture.value || !figure.value || room.width.value === 0) return undefined
    const elevation = turnedTo(chosen.value?.hasSides === true ? side.value : undefined, figure.value, picture.value)
    return drawFrom(view.value, {
      ...{ elevation, measures: measures.value, unit: unit.value, mat: kinds.value.mat },
      order: items.value.map(({ id }) => id),
      ...size.value,
    })
  })
  return {
    ...{ view, side, drawing },
    views: computed(() => {
      const shown = figure.value
      return shown ? figureViews.map((value) => ({ value, words: viewWords(value, shown) })) : []
    }),
    sidesShown: computed(() =>
      chosen.value?.hasSides === true
        ? sides.map((value) => ({ value, words: value === 'left' ? 'Left' : 'Right' }))
        : [],
    ),
    seenFrom: computed(() => (figure.value ? `seen from ${seenFromWords(view.value, figure.value)}` : '')),
  }
}
