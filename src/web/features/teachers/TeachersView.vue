<script setup lang="ts">
import Button from 'primevue/button'
import { computed, onMounted, ref, shallowRef } from 'vue'
import type { KeptTeacher } from '#model/teacher'
import { secretWord, teacherState } from '#words/teachers'
import { whyNot } from '#web/shared/api/client.ts'
import type { Reply } from '#web/shared/api/client.ts'
import { changeTeacher, letChoose, listTeachers } from '#web/shared/api/teachers.ts'
import { useWhoStore } from '#web/shared/teachers/who-store.ts'
import AddSecond from './AddSecond.vue'
import AddTeacher from './AddTeacher.vue'
import OwnSecret from './OwnSecret.vue'

/** Who teaches in this house: added and changed by its keeper. */
const who = useWhoStore()
const teachers = shallowRef<readonly KeptTeacher[]>([])
const mend = ref('')
const told = ref('')
/** A code is shown this once. */
const handed = shallowRef<{ readonly name: string; readonly code: string }>()
const isAlone = computed(() => who.kind === 'alone')

async function load(): Promise<void> {
  const reply = await listTeachers()
  if (reply.kind === 'ok') teachers.value = reply.value
  else mend.value = whyNot(reply)
}
onMounted(load)

async function done(reply: Reply<unknown>, words: string): Promise<void> {
  mend.value = reply.kind === 'ok' ? '' : whyNot(reply)
  told.value = reply.kind === 'ok' ? words : ''
  await load()
}
async function change(teacher: KeptTeacher, to: Partial<KeptTeacher>, words: string): Promise<void> {
  await done(await changeTeacher({ ...teacher, ...to }), words)
}
async function chooseAnew({ id, name }: KeptTeacher): Promise<void> {
  const reply = await letChoose(id)
  if (reply.kind === 'ok') handed.value = { name, code: reply.value.code }
  await done(reply, '')
}
function added(name: string, code: string | undefined): void {
  handed.value = code === undefined ? undefined : { name, code }
  told.value = code === undefined ? `${name} can sign in.` : ''
  void load()
}
</script>

<template>
  <div class="page">
    <div class="page-sheet">
      <header class="page-head">
        <h1>{{ who.kind === 'accounts' ? 'Teachers' : 'Teachers on this machine' }}</h1>
        <RouterLink :to="{ name: 'sessions' }">Back to the sessions</RouterLink>
      </header>
      <p>
        Each has sessions, series, a journal and learned times of their own. Places with their cupboard, people, poses
        and set-ups are shared; what somebody tells a teacher is seen by that teacher, unless the person lets the others
        know.
      </p>
      <p v-if="who.kind !== 'accounts'">
        The file everything lies in is not encrypted: whoever can read this machine’s disk can read it all.
      </p>
      <template v-if="isAlone">
        <p>You are the only one. With a second teacher everybody is asked who they are; what is here stays yours.</p>
        <AddSecond />
      </template>
      <template v-else>
        <table class="list">
          <thead>
            <tr>
              <th scope="col">Name</th>
              <th scope="col">Is</th>
              <td />
            </tr>
          </thead>
          <tbody>
            <tr v-for="teacher in teachers" :key="teacher.id">
              <th scope="row">{{ teacher.name }}<template v-if="teacher.id === who.teacher?.id"> (you)</template></th>
              <td>{{ teacherState(teacher) }}</td>
              <td class="do">
                <template v-if="who.isKeeper">
                  <Button
                    severity="secondary"
                    outlined
                    size="small"
                    label="New code"
                    :aria-label="`A new code for ${teacher.name}`"
                    :disabled="teacher.isClosed"
                    @click="chooseAnew(teacher)"
                  />
                  <Button
                    severity="secondary"
                    outlined
                    size="small"
                    :label="teacher.role === 'keeper' ? 'Make teacher' : 'Make keeper'"
                    :aria-label="
                      teacher.role === 'keeper' ? `Make ${teacher.name} a teacher` : `Make ${teacher.name} a keeper`
                    "
                    :disabled="teacher.isClosed"
                    @click="
                      change(
                        teacher,
                        { role: teacher.role === 'keeper' ? 'teacher' : 'keeper' },
                        `${teacher.name} is changed.`,
                      )
                    "
                  />
                  <Button
                    severity="secondary"
                    outlined
                    size="small"
                    :label="teacher.isClosed ? 'Open again' : 'Close'"
                    :aria-label="`${teacher.isClosed ? 'Open again' : 'Close'}: ${teacher.name}`"
                    @click="
                      change(
                        teacher,
                        { isClosed: !teacher.isClosed },
                        teacher.isClosed
                          ? `${teacher.name} can sign in again.`
                          : `${teacher.name} can sign in no more; what is theirs stays.`,
                      )
                    "
                  />
                </template>
              </td>
            </tr>
          </tbody>
        </table>
        <p v-if="mend" class="mend" role="alert">{{ mend }}</p>
        <p role="status">{{ told }}</p>
        <p v-if="handed" class="handed" role="status">
          The code for {{ handed.name }}: <b>{{ handed.code }}</b><br />
          It is shown this once and is good for a week. With it they choose a {{ secretWord(who.kind) }}: sign in, “I
          was given a code”.
        </p>
        <template v-if="who.isKeeper">
          <h2>Add a teacher</h2>
          <AddTeacher @added="added" />
        </template>
        <h2>Your {{ secretWord(who.kind) }}</h2>
        <OwnSecret />
      </template>
    </div>
  </div>
</template>

<style scoped>
p + p,
.page-head + p {
  margin-top: 8px;
}
h2 {
  margin: 22px 0 8px;
  font-size: 18px;
}
.list {
  margin-top: 14px;
}
.do {
  text-align: right;
}
.do > :deep(* + *) {
  margin-left: 8px;
}
.mend {
  font-weight: 650;
  color: var(--avoid);
}
.handed {
  padding: 10px 14px;
  background: var(--chosen-wash);
  border-radius: 8px;
}
.handed b {
  font-size: 20px;
  letter-spacing: 1px;
}
</style>
