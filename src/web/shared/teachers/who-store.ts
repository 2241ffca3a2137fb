import { useEventListener } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import type { SignedIn } from '#model/teacher'
import { onSignedOut } from '#web/shared/api/client.ts'
import { readSignedIn, signOut } from '#web/shared/api/teachers.ts'
import { isNobodyHere, isOther, rememberSignedOut, rememberTeacher, teacherHere } from './teacher-here.ts'

/** Who is signed in here, and whether somebody has to be. */
export const useWhoStore = defineStore('who', () => {
  const signedIn = shallowRef<SignedIn>()
  /** Nobody is: whoever was signed out, or the server said so in the middle of something. */
  const isOut = shallowRef(isNobodyHere())
  const isAway = shallowRef(false)
  onSignedOut(() => {
    // What is being typed counts as if the field were left: it waits with the rest.
    if (document.activeElement instanceof HTMLElement) document.activeElement.blur()
    isOut.value = true
    void load()
  })
  // Another window was signed in as somebody else: what is open here is not theirs.
  useEventListener(window, 'storage', (event) => {
    if (isOther(event)) location.reload()
  })

  async function load(): Promise<void> {
    const reply = await readSignedIn()
    // With the server away one goes on as whoever was here last.
    isAway.value = reply.kind !== 'ok'
    if (reply.kind === 'ok') take(reply.value)
  }
  /** With another teacher the page begins anew: nothing of the one before stays in it. */
  function take(next: SignedIn): void {
    const { kind, teacher } = next
    signedIn.value = next
    isOut.value = teacher === null && kind !== 'alone'
    const { id: before } = teacherHere() ?? {}
    if (kind === 'alone' || teacher) rememberTeacher(kind === 'alone' || !teacher ? null : { ...teacher, kind })
    const isAnother = kind === 'alone' ? before !== undefined || isNobodyHere() : teacher && teacher.id !== before
    if (isAnother) location.reload()
  }

  async function leave(): Promise<void> {
    await signOut()
    rememberSignedOut()
    location.assign('/')
  }
  const teacher = computed(() => signedIn.value?.teacher ?? null)
  return {
    ...{ signedIn, isAway, teacher, load, take, leave },
    kind: computed(() => signedIn.value?.kind ?? teacherHere()?.kind ?? 'alone'),
    /** Whether whoever is here keeps the house; alone one does. */
    isKeeper: computed(
      () => signedIn.value === undefined || signedIn.value.kind === 'alone' || teacher.value?.role === 'keeper',
    ),
    mustSignIn: computed(() => isOut.value),
  }
})
