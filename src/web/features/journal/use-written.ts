import { nextTick, ref, useTemplateRef } from 'vue'
import type { Ref } from 'vue'
import { whyNot } from '#web/shared/api/client.ts'
import type { Reply } from '#web/shared/api/client.ts'

/** What stands beside a record, in the version of the record it was read with. */
export interface Kept<T> {
  readonly kept: T
  readonly version: number
}

interface Writing<T> {
  /** What it is called: note, incident. */
  readonly what: string
  /** What is typed and not yet saved, kept while the window lives; null: nobody writes. */
  readonly typed: Ref<T | null>
  readonly now: () => Kept<T>
  readonly read: () => Promise<Reply<Kept<T>>>
  readonly write: (typed: T, based: number) => Promise<Reply<{ readonly version: number }>>
  readonly take: (now: Kept<T>) => void
}

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b)

/**
 * Writes something beside the record of a class over what was read of it. A record has one version for all that is written
 * beside it: where another window changed something else meanwhile, it is saved all the same; where it changed this, what
 * it says now is shown, and yours is kept until you save it over that. The button that opens it has the ref `opener`.
 */
export function useWritten<T>({ what, typed, now, read, write, take }: Writing<T>) {
  const told = ref('')
  const isSaving = ref(false)
  const opener = useTemplateRef<{ $el: HTMLElement }>('opener')

  async function leave(): Promise<void> {
    typed.value = null
    told.value = ''
    await nextTick()
    opener.value?.$el.focus()
  }

  /** A key alone gives nothing up that was typed. */
  async function escape(): Promise<void> {
    if (same(typed.value, now().kept)) await leave()
    else told.value = `Not saved yet: Save the ${what} keeps what you wrote, Leave it gives it up.`
  }

  async function saveOver(before: Kept<T>, mine: T): Promise<void> {
    const reply = await write(mine, before.version)
    if (reply.kind === 'ok') {
      take({ kept: mine, version: reply.value.version })
      await leave()
    } else if (reply.kind === 'problem' && reply.problem.code === 'VERSION_STALE') await meet(before, mine)
    else
      told.value = whyNot(
        reply,
        'Not saved: Zovrin’s server does not answer. What you wrote stays here; save it again when it does.',
      )
  }

  async function meet(before: Kept<T>, mine: T): Promise<void> {
    const reply = await read()
    if (reply.kind === 'ok') {
      take(reply.value)
      if (same(reply.value.kept, before.kept) && reply.value.version !== before.version) {
        await saveOver(reply.value, mine)
        return
      }
    }
    told.value = `Not saved: the ${what} was changed in another window and says what stands above. Save puts yours there.`
  }

  async function save(): Promise<void> {
    if (typed.value === null) return
    isSaving.value = true
    await saveOver(now(), typed.value)
    isSaving.value = false
  }

  return { told, isSaving, leave, escape, save }
}
