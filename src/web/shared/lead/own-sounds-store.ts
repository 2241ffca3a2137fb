import { nanoid } from 'nanoid'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { soundLimits, textLimits } from '#model/limits'
import type { OwnSound } from '#model/sound'
import { whyNot } from '#web/shared/api/client.ts'
import { bringSound, heardAt, listSounds, removeSound } from '#web/shared/api/sounds.ts'
import { ports } from '#web/shared/ports.ts'
import { lengthOfSound } from './sound-length.ts'

const notASound = 'This file is none that can be played here: bring it as WAV, MP3, Ogg, Opus, FLAC, AAC or WebM.'
const mostMb = soundLimits.bytes / 1024 ** 2

/** Has a bell ready to be struck; false where it does not answer, or cannot be played here: its bell sounds then. */
async function isAtHand(id: string): Promise<boolean> {
  try {
    const reply = await fetch(heardAt(id))
    if (!reply.ok) return false
    await ports()
      .audio()
      .keep(id, await reply.arrayBuffer())
    return true
  } catch {
    return false
  }
}

const nameOf = (file: File): string => file.name.replace(/\.\w+$/, '').slice(0, textLimits.name) || 'A sound'

/** The teacher's own sounds: bells that are struck, tracks that play through a class. */
export const useOwnSoundsStore = defineStore('own-sounds', () => {
  const sounds = shallowRef<readonly OwnSound[]>([])
  /** Why one was not brought in, or not removed. */
  const mend = ref('')
  const atHand = new Set<string>()

  async function load(): Promise<void> {
    const reply = await listSounds()
    if (reply.kind === 'ok') sounds.value = reply.value
  }
  const loaded = load()

  /** Has the bells of these ids ready to be struck; one that is gone leaves its place to the bell it stands for. */
  async function have(ids: readonly string[]): Promise<void> {
    await loaded
    const wanted = ids.filter((id) => !atHand.has(id) && sounds.value.some((one) => one.id === id))
    for (const id of wanted) if (await isAtHand(id)) atHand.add(id)
  }

  /** Brings a file in: up to half a minute it is a bell, anything longer music. Says why not. */
  async function bring(file: File): Promise<OwnSound | undefined> {
    mend.value = file.size > soundLimits.bytes ? `A sound may take up to ${String(mostMb)} MB: save it smaller.` : ''
    if (mend.value !== '') return undefined
    const lengthMs = await lengthOfSound(file)
    if (lengthMs === undefined) {
      mend.value = notASound
      return undefined
    }
    const use = lengthMs <= soundLimits.bellMs ? 'bell' : 'music'
    const reply = await bringSound({ id: nanoid(), name: nameOf(file), use, lengthMs }, file)
    if (reply.kind !== 'ok') {
      mend.value = whyNot(reply, 'Zovrin’s server does not answer: bring it again.')
      return undefined
    }
    await load()
    return reply.value
  }

  async function remove(id: string): Promise<void> {
    const reply = await removeSound(id)
    mend.value = reply.kind === 'ok' ? '' : whyNot(reply)
    await load()
  }

  return {
    sounds,
    bells: computed(() => sounds.value.filter(({ use }) => use === 'bell')),
    tracks: computed(() => sounds.value.filter(({ use }) => use === 'music')),
    ...{ mend, have, bring, remove },
  }
})
