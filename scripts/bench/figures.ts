import { elevation, measuresOf } from '#core/figure'
import { propKinds } from '#library/prop-kinds'
import { setUps } from '#library/set-ups'
import { figureOf } from '#testing/set-ups'
import { bodyOf } from '#web/shared/figures/body/body.ts'
import { drawFrom } from '#web/shared/figures/draw.ts'
import { skinOf } from '#web/shared/figures/skin/skin.ts'
import { drawThumbnail } from '#web/shared/figures/thumbnails/draw-thumbnail.ts'
import { ms, quantile, report, times } from './measure.ts'

/** As large as in Set-ups on a screen of 1280, px. */
const room = { width: 718, height: 480 } as const

/** Every shipped set-up drawn in flesh, with and without its labels, and all of them as thumbnails. */
export function benchFigures(): void {
  const laid = setUps.flatMap((setUp) => {
    const figure = figureOf(setUp)
    const one = elevation({ figure, items: setUp.items, kinds: propKinds, who: { statureCm: 170 } })
    return one.ok ? [{ elevation: one.value, measures: measuresOf(figure, one.value) }] : []
  })
  const medians = (work: (one: (typeof laid)[number]) => unknown) =>
    laid.map((one) =>
      quantile(
        times(5, () => work(one)),
        0.5,
      ),
    )
  const told = (what: string, of: readonly number[], budget: string): void => {
    const [median, p95] = [quantile(of, 0.5), quantile(of, 0.95)]
    report(`${what} (${String(laid.length)} set-ups)`, `median ${ms(median)}, p95 ${ms(p95)}`, budget)
  }
  told(
    'flesh and skin of a figure',
    medians(({ elevation: one }) => skinOf(bodyOf(one), one, 'side', 1.2)),
    '< 4 ms',
  )
  const input = { ...room, unit: 'cm', mat: propKinds.mat } as const
  told(
    'a drawing with skin, unlabelled',
    medians(({ elevation: one }) => drawFrom('side', { ...input, elevation: { ...one, heaps: [] }, measures: [] })),
    '< 4 ms',
  )
  told(
    'the same with labels',
    medians((one) => drawFrom('side', { ...input, ...one })),
    '',
  )
  const once = times(1, () =>
    setUps.map((setUp) => drawThumbnail({ figure: figureOf(setUp), items: setUp.items }, propKinds)),
  )
  report(
    `thumbnails of the whole shelf (${String(setUps.length)}), solved and drawn once`,
    ms(quantile(once, 0.5)),
    '< 3 s',
  )
}
