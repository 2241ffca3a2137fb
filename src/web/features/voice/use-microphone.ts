import { ports } from '#web/shared/ports.ts'

/** The microphone of a view: had with the first sentence, kept for the next ones, let go at the end. */
export function useMicrophone() {
  let stream: MediaStream | undefined
  return {
    /** Rejects where there is none, or it may not be used; one that was unplugged since is asked for anew. */
    async have(): Promise<MediaStream> {
      if (!stream?.active) stream = await ports().microphone()
      return stream
    },
    letGo(): void {
      stream?.getTracks().forEach((track) => {
        track.stop()
      })
      stream = undefined
    },
  }
}
