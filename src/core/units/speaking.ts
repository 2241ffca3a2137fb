/** Words a minute of a teacher who leaves room, spoken slowly [estimate; changeable]. */
export const usualPace = 110
export const paceLimits = { least: 60, most: 200 } as const

export const wordCount = (text: string): number => text.split(/\s+/).filter((word) => /[\p{L}\p{N}]/u.test(word)).length

/** Seconds a few words take at the usual pace. */
export const secondsToSay = (text: string): number => (wordCount(text) / usualPace) * 60

/** Seconds a text takes to say, in steps of 5 s: words by the pace, and a breath for each new line. */
export function speakingSeconds(text: string, wordsPerMinute: number): number {
  const lines = text.split('\n').filter((line) => line.trim() !== '').length
  const seconds = (wordCount(text) / wordsPerMinute) * 60 + Math.max(0, lines - 1) * 2
  return Math.ceil(seconds / 5) * 5
}
