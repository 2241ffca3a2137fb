<script setup lang="ts">
import { computed, defineAsyncComponent, onMounted, ref, useTemplateRef } from 'vue'
import { useRoute } from 'vue-router'
import { useMediaQuery } from '@vueuse/core'
import { lastOpenedId } from '#web/shared/session/last-opened.ts'
import { useSessionStore } from '#web/shared/session/session-store.ts'
import { useWhoStore } from '#web/shared/teachers/who-store.ts'
import HouseWants from './HouseWants.vue'
import RunningClassLink from './RunningClassLink.vue'
import TeacherMenu from './TeacherMenu.vue'

/** Where one is: what is always there, then the open session with its views; at the right what can be done with it. */
const store = useSessionStore()
const route = useRoute()
/** Under this width each of the two groups folds into a menu [design]. */
const folds = useMediaQuery('(max-width: 1179px)')
const who = useWhoStore()

const always = [
  { name: 'sessions', words: 'Sessions' },
  { name: 'people', words: 'People' },
  { name: 'places', words: 'Cupboard' },
  { name: 'journal', words: 'Journal' },
]
// Read one by one: a change of the plan that touches none of them does not draw the bar anew.
const id = computed(() => store.document?.id)
/** Whoever is signed in stands in the bar as well, beside an open session: the first group makes room for it sooner. */
const foldsAlways = useMediaQuery(() => `(max-width: ${who.teacher && id.value !== undefined ? '1319' : '1179'}px)`)
const name = computed(() => store.document?.name ?? '')
const hasBlocks = computed(() => (store.document?.blocks.length ?? 0) > 0)
const views = computed(() =>
  id.value === undefined
    ? []
    : [
        { name: 'plan', words: 'Plan', params: { id: id.value } },
        { name: 'props', words: 'Set-ups', params: { id: id.value } },
        { name: 'breath', words: 'Breath', params: { id: id.value } },
        { name: 'who', words: 'Who takes what', params: { id: id.value } },
      ],
)
/** A view, or what one has come to from it. */
const isHere = (view: string): boolean => route.name === view || route.meta['within'] === view
/** Folded, the group tells by its ground that one is in it. */
const isIn = (group: readonly { readonly name: string }[]): boolean => group.some((view) => isHere(view.name))
// After a reload the session worked on last stands here again, whatever is looked at.
onMounted(() => {
  const last = lastOpenedId()
  if (!store.document && store.opening === 'idle' && last !== null) void store.open(last)
})

/** Fetched at the first press: the first look at a view does not need them. */
const BarMenu = defineAsyncComponent(() => import('./BarMenu.vue'))
const SessionMenu = defineAsyncComponent(() => import('./SessionMenu.vue'))
const open = ref<'always' | 'session'>()
const opener = useTemplateRef<HTMLButtonElement>('opener')
const allOpener = useTemplateRef<HTMLButtonElement>('allOpener')
function toggle(which: 'always' | 'session'): void {
  open.value = open.value === which ? undefined : which
}
</script>

<template>
  <header class="bar">
    <RouterLink class="mark" :to="{ name: 'sessions' }">Zovrin</RouterLink>
    <button
      v-if="foldsAlways"
      ref="allOpener"
      class="opener"
      :class="{ here: isIn(always) }"
      aria-haspopup="menu"
      :aria-expanded="open === 'always'"
      @click="toggle('always')"
    >
      <i class="pi pi-bars" aria-hidden="true" /><span class="visually-hidden"
        >Sessions, People, Cupboard and Journal</span
      >
    </button>
    <nav v-else aria-label="Zovrin">
      <RouterLink
        v-for="view in always"
        :key="view.name"
        :class="{ here: isHere(view.name) }"
        :to="{ name: view.name }"
        >{{ view.words }}</RouterLink
      >
    </nav>
    <BarMenu v-if="open === 'always'" :items="always" :opener="allOpener" @close="open = undefined" />
    <template v-if="id !== undefined">
      <i class="line" aria-hidden="true" />
      <button
        ref="opener"
        class="opener name"
        :class="{ here: folds && isIn(views) }"
        aria-haspopup="menu"
        :aria-expanded="open === 'session'"
        :title="name"
        @click="toggle('session')"
      >
        <span>{{ name }}</span><i class="pi pi-angle-down" aria-hidden="true" />
      </button>
      <SessionMenu v-if="open === 'session'" :views="folds ? views : []" :opener="opener" @close="open = undefined" />
      <nav v-if="!folds" aria-label="Views of the session">
        <RouterLink v-for="{ words, ...to } in views" :key="to.name" :class="{ here: isHere(to.name) }" :to="to">{{
          words
        }}</RouterLink>
      </nav>
    </template>
    <RunningClassLink />
    <HouseWants />
    <span class="grow" />
    <RouterView name="bar" />
    <!-- There is nothing to lead in a session of no blocks. -->
    <RouterLink v-if="id !== undefined && hasBlocks" class="lead" :to="{ name: 'lead', params: { id } }"
      >Lead</RouterLink
    >
    <TeacherMenu />
  </header>
</template>

<style scoped>
.bar {
  display: flex;
  align-items: center;
  gap: 10px;
  padding: 0 16px;
  background: var(--ink);
  color: #edf1ec;
  min-width: 0;
}
.bar :focus-visible {
  outline-color: var(--chosen);
}
.mark {
  margin-right: 10px;
  font-size: 22px;
  font-weight: 700;
  letter-spacing: 0.2px;
  text-decoration: none;
}
nav {
  display: flex;
  gap: 2px;
}
nav a,
.opener {
  padding: 6px 11px;
  border: none;
  border-radius: 6px;
  background: none;
  color: #c4cfc9;
  font: inherit;
  text-decoration: none;
  white-space: nowrap;
}
nav a:hover,
.opener:hover {
  color: #fff;
}
nav a.router-link-active,
nav a.here,
.opener.here,
.opener[aria-expanded='true'] {
  background: #33443f;
  color: #fff;
}
.opener {
  display: flex;
  align-items: center;
  gap: 6px;
  min-width: 0;
  cursor: pointer;
}
.name {
  flex: 0 1 auto;
  max-width: 240px;
  color: #fff;
  font-weight: 650;
}
/* Unfolded it keeps its width, and the gauge gives way: nothing in the bar moves when one changes view. */
@media (min-width: 1180px) {
  .name {
    flex: none;
  }
}
.name span {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
/* Everything of both groups and the gauge beside them: closer together where the window is no wider than a laptop's. */
@media (max-width: 1440px) {
  .bar {
    gap: 6px;
    padding-inline: 12px;
  }
  .mark {
    margin-right: 2px;
  }
  nav {
    gap: 0;
  }
  nav a,
  .opener {
    padding-inline: 6.5px;
  }
  .name {
    max-width: 176px;
  }
}
.line {
  flex: none;
  width: 1px;
  height: 22px;
  background: #4b5c56;
}
.grow {
  flex: 1;
}
.lead {
  padding: 7px 14px;
  border-radius: 8px;
  background: var(--chosen);
  color: var(--ink);
  font-weight: 650;
  text-decoration: none;
}
.lead:hover {
  background: #f0c675;
}
</style>
