/** How long a file sounds, ms; undefined where it is none that a browser plays. */
export async function lengthOfSound(file: File): Promise<number | undefined> {
  if (document.createElement('audio').canPlayType(file.type) === '') return undefined
  const { parseBlob } = await import('music-metadata')
  try {
    const { format } = await parseBlob(file, { duration: true, skipCovers: true })
    const seconds = format.duration ?? 0
    return seconds > 0 ? Math.round(seconds * 1000) : undefined
  } catch {
    return undefined
  }
}
