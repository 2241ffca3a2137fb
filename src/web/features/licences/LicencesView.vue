<script setup lang="ts">
import { onMounted, ref, shallowRef } from 'vue'

interface Licence {
  readonly name: string
  readonly version: string
  readonly licence: string
  readonly text: string
}

/** What of others' work is in the application, and under what. */
const licences = shallowRef<readonly Licence[]>([])
const mend = ref('')
onMounted(async () => {
  try {
    const reply = await fetch('/licences.json')
    licences.value = (await reply.json()) as readonly Licence[]
  } catch {
    mend.value = 'The list cannot be read just now: is Zovrin’s server running?'
  }
})
</script>

<template>
  <div class="page">
    <div class="page-sheet">
      <header class="page-head">
        <h1>Licences</h1>
        <RouterLink :to="{ name: 'cautions' }">About the cautions</RouterLink>
      </header>
      <p>
        Zovrin is made with the work of others. {{ licences.length > 0 ? licences.length : 'Some' }} packages are part
        of it, each under its own licence; so is the font, Ysabeau Office, under the SIL Open Font License.
      </p>
      <p v-if="mend" role="alert">{{ mend }}</p>
      <ul class="licences">
        <li v-for="one in licences" :key="`${one.name} ${one.version}`">
          <details>
            <summary>
              <b>{{ one.name }}</b> {{ one.version }} <span>{{ one.licence }}</span>
            </summary>
            <pre>{{ one.text || 'Its authors put no text beside it.' }}</pre>
          </details>
        </li>
      </ul>
    </div>
  </div>
</template>

<style scoped>
.licences {
  margin: 14px 0 0;
  padding: 0;
  list-style: none;
}
li {
  border-top: 1px solid var(--line-soft);
}
summary {
  padding: 8px 4px;
  cursor: pointer;
  overflow-wrap: anywhere;
}
summary span {
  float: right;
  color: var(--ink-soft);
}
pre {
  margin: 0 0 10px;
  padding: 10px 14px;
  background: var(--ground);
  border-radius: 8px;
  font-size: 14px;
  white-space: pre-wrap;
  overflow-wrap: anywhere;
}
</style>
