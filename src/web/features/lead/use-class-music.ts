import { onScopeDispose } from 'vue'
import type { ShallowRef } from 'vue'
import { musicSpan } from '#core/lead'
import type { Conducted } from '#core/lead'
import { heardAt } from '#web/shared/api/sounds.ts'
import { ports } from '#web/shared/ports.ts'
import { useOwnSoundsStore } from '#web/shared/lead/own-sounds-store.ts'
import { useSettingsStore } from '#web/shared/settings/settings-store.ts'

/** The track the teacher chose, through the class that runs: from its start, gone when the last rest begins. */
export function useClassMusic(conducted: Readonly<ShallowRef<Conducted | undefined>>) {
  const settings = useSettingsStore()
  const sounds = useOwnSoundsStore()
  const { music } = ports().audio()
  /** The track that was asked for; another class may ask for another. */
  let playing: string | undefined

  function stop(): void {
    if (playing === undefined) return
    music.stop()
    playing = undefined
  }
  onScopeDispose(stop)

  /** What plays follows the class as it is now; `runMs` is its exact instant. */
  async function follow(runMs: number): Promise<void> {
    const audio = ports().audio()
    const chosen = settings.music
    const isThere = chosen && sounds.tracks.some(({ id }) => id === chosen.soundId)
    if (!isThere) {
      stop()
      return
    }
    if (!conducted.value || !audio.isRunning()) return
    const { fadeMs, toMs } = musicSpan(conducted.value.start.plan, conducted.value.state)
    if (runMs >= toMs) {
      stop()
      return
    }
    const at = (ms: number): number => audio.now() + (ms - runMs) / 1000
    const fade = { fromS: at(fadeMs), toS: at(toMs) }
    if (playing !== chosen.soundId) {
      playing = chosen.soundId
      try {
        await music.play(heardAt(chosen.soundId), runMs / 1000)
      } catch {
        // A track that cannot be played here leaves the class as it is without one.
        return
      }
    }
    music.level(chosen.loudness / 100, fade)
  }
  return { follow, stop }
}
