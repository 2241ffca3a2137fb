import { tallyTimeline } from '#core/timeline'
import type { Tally, Timeline } from '#core/timeline'
import { formatDuration, formatMs, wholeSeconds } from '#core/units'

const kinds = [
  ['hold', 'holdMs', 'held'],
  ['breath', 'breathMs', 'breath'],
  ['movement', 'movementMs', 'movement'],
  ['talk', 'talkMs', 'talk'],
  ['rest', 'restMs', 'rest'],
  ['between', 'betweenMs', 'between'],
] as const satisfies readonly (readonly [string, keyof Tally, string])[]

/** The bar of composed time against the length wanted, by kind, and what it says in words. */
export function gaugeOf(timeline: Timeline, wantedS: number) {
  const tally = tallyTimeline(timeline)
  const wholeMs = Math.max(timeline.totalMs, wantedS * 1000)
  const parts = kinds
    .filter(([, sum]) => tally[sum] > 0)
    .map(([kind, sum, word]) => ({
      kind,
      percent: (tally[sum] / wholeMs) * 100,
      words: `${formatMs(tally[sum])} ${word}`,
    }))
  const words = spareWords(wholeSeconds(timeline.totalMs), wantedS)
  return {
    parts,
    words,
    wantedPercent: ((wantedS * 1000) / wholeMs) * 100,
    label: [words, ...parts.map((part) => part.words)].join(', '),
  }
}

function spareWords(totalS: number, wantedS: number): string {
  const spareS = wantedS - totalS
  if (spareS === 0) return 'fits'
  return spareS > 0 ? `${formatDuration(spareS)} to spare` : `${formatDuration(-spareS)} over`
}

/** How even two sides are: within 5 % even, to 10 % shown, past it told as too far apart. */
export function evennessWords(leftMs: number, rightMs: number): string {
  const longer = Math.max(leftMs, rightMs)
  if (longer === 0) return ''
  const share = Math.abs(leftMs - rightMs) / longer
  const shorterSide = leftMs < rightMs ? 'left' : 'right'
  if (share <= 0.05) return 'even'
  return `${shorterSide} ${formatMs(Math.abs(leftMs - rightMs))} short, ${String(Math.round(share * 100))} % apart`
}
