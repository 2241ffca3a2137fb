import { nanoid } from 'nanoid'
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import type { Session } from '#model/session'
import type { Voice } from '#model/voice'
import type { VoiceBook } from '#core/lead'
import { talkWords } from '#core/timeline'
import { keepVoice, listVoices, removeVoice, takeVoices, voiceAt } from '#web/shared/api/voices.ts'
import { whyNot } from '#web/shared/api/client.ts'
import type { Reply } from '#web/shared/api/client.ts'
import { haveVoices } from './voices-at-hand.ts'

/** A recording that is on its way to the server, or waits for it, of the session it was recorded for. */
export interface Recording {
  readonly sessionId: string
  readonly text: string
  readonly lengthMs: number
  readonly file: Blob
}

const away = 'Zovrin’s server does not answer: start it and try again.'
const awayWithOne = 'Zovrin’s server does not answer: the recording waits in this window. Start it and press Keep.'

/** What is recorded of a session by its words, and the words of its talks. */
export const bookOf = (session: Pick<Session, 'blocks'>, voices: readonly Voice[]): VoiceBook => ({
  byText: new Map(voices.map(({ text, id, lengthMs }) => [text, { id, lengthMs }])),
  talks: new Map(
    session.blocks.flatMap((block) => {
      const text = talkWords(block)
      return text === undefined ? [] : [[block.id, text] as const]
    }),
  ),
})

/** What is heard of a recording, as it is kept; undefined where it does not come. */
async function heardOf(sessionId: string, { id, text, lengthMs }: Voice): Promise<Recording | undefined> {
  const reply = await fetch(voiceAt(sessionId, id)).catch(() => undefined)
  return reply?.ok ? { sessionId, text, lengthMs, file: await reply.blob() } : undefined
}

/** What is known of the sentences of one session, and what is to be told of the last change. */
function known() {
  const [sessionId, mend] = [shallowRef(''), shallowRef('')]
  return {
    sessionId,
    voices: shallowRef<readonly Voice[]>([]),
    /** Recordings the server has not taken yet; each waits with its session. */
    waiting: shallowRef<readonly Recording[]>([]),
    /** What was there before the last change, to be put back. */
    former: shallowRef<Recording>(),
    /** Why something was not done. */
    mend,
    /** True where it was done; else it is said why not. */
    done<T>(reply: Reply<T>, otherwise = away): reply is Extract<Reply<T>, { kind: 'ok' }> {
      if (reply.kind === 'ok') mend.value = ''
      else mend.value = whyNot(reply, otherwise)
      return reply.kind === 'ok'
    },
  }
}
type Known = ReturnType<typeof known>

/** Keeping, removing and taking sentences: what was there before can be put back, and what is not taken yet waits. */
const changes = ({ sessionId, voices, waiting, former, mend, done }: Known) => ({
  /** Keeps a recording, over one of the same words; it waits here while the server does not take it. */
  async keep(recording: Recording): Promise<void> {
    const { sessionId: of, text, lengthMs, file } = recording
    const before = sessionId.value === of ? voices.value.find((one) => one.text === text) : undefined
    const heard = before && (await heardOf(of, before))
    const reply = await keepVoice(of, { id: nanoid(), text, lengthMs }, file)
    const others = waiting.value.filter((one) => one.text !== text || one.sessionId !== of)
    if (!done(reply, awayWithOne)) {
      waiting.value = [...others, recording]
      return
    }
    waiting.value = others
    // Another session may have been opened since.
    if (sessionId.value !== of) return
    former.value = heard
    voices.value = [...voices.value.filter((one) => one.text !== text), reply.value]
  },
  async remove(voice: Voice): Promise<void> {
    const heard = await heardOf(sessionId.value, voice)
    if (!heard) {
      mend.value = away
      return
    }
    if (!done(await removeVoice(heard.sessionId, voice.id))) return
    if (sessionId.value !== heard.sessionId) return
    former.value = heard
    voices.value = voices.value.filter(({ id }) => id !== voice.id)
  },
  /** What other sessions have of these words. Says how many came. */
  async take(texts: readonly string[]): Promise<number> {
    const of = sessionId.value
    const before = voices.value.length
    const reply = await takeVoices(of, texts)
    if (!done(reply) || sessionId.value !== of) return 0
    voices.value = reply.value
    return reply.value.length - before
  },
})

/** The sentences of one session in the teacher's voice. */
export const useVoicesStore = defineStore('voices', () => {
  const all = known()
  const { sessionId, voices, waiting, former, mend } = all

  async function open(id: string): Promise<void> {
    if (sessionId.value !== id) {
      sessionId.value = id
      voices.value = []
      former.value = undefined
      mend.value = ''
    }
    const reply = await listVoices(id)
    if (reply.kind === 'ok' && sessionId.value === id) voices.value = reply.value
  }
  return {
    ...{ sessionId, voices, former, mend, open },
    ...changes(all),
    /** Has recordings ready to be heard. */
    have: (wanted: readonly Voice[]): Promise<void> => {
      const of = sessionId.value
      return haveVoices(
        wanted.map(({ id }) => id),
        (id) => voiceAt(of, id),
      )
    },
    /** Of the open session. */
    waiting: computed(() => waiting.value.filter((one) => one.sessionId === sessionId.value)),
    isWaiting: computed(() => waiting.value.length > 0),
  }
})
