<script setup lang="ts">
import { disclaimer, teacherPrompt } from '#words/advice'
import { askedOfThemselves, touchChoices } from '#words/people'

/** A form on paper that somebody fills in for themselves; what they tick is ticked in on their page. Shown in print only. */
const touches = touchChoices.filter(({ value }) => value !== '')
</script>

<template>
  <section class="intake">
    <h1>About you</h1>
    <p>“{{ teacherPrompt }}” You may read at any time what is written about you, and have it deleted.</p>
    <p class="line">Name <i /></p>
    <p class="line">What you wish to be called <i /></p>
    <p class="line">Height, cm <i class="short" /> Whom to call in an emergency <i /></p>
    <p>
      A blanket laid, or a hand:
      <span v-for="{ words } in touches" :key="words" class="tick">{{ words }}</span>
    </p>
    <p>
      Yoga so far:
      <span v-for="words in ['new to it', 'now and then', 'for years']" :key="words" class="tick">{{ words }}</span>
    </p>
    <h2>Tick what you have, or had; leave out what you like</h2>
    <ul>
      <li v-for="{ id, name, asks } in askedOfThemselves" :key="id">
        <span class="tick"
          ><b>{{ name }}</b></span
        >
        <small>{{ asks }}</small>
      </li>
    </ul>
    <p class="line">Anything else, or any limit your doctor or midwife has set <i /></p>
    <p class="line">Date <i class="short" /> Signature <i /></p>
    <p class="small">{{ disclaimer }}</p>
  </section>
</template>

<style scoped>
@media print {
  .intake {
    color: #000;
    font-size: 11.5pt;
  }
  h1 {
    font-size: 20pt;
  }
  h2 {
    margin: 12px 0 4px;
    font-size: 13pt;
  }
  p {
    margin: 6px 0;
  }
  .line {
    display: flex;
    align-items: baseline;
    gap: 8px;
  }
  .line i {
    flex: 1;
    min-width: 80px;
    border-bottom: 1px solid #000;
  }
  .line .short {
    flex: 0 0 90px;
  }
  ul {
    columns: 2;
    column-gap: 22px;
  }
  li {
    break-inside: avoid;
    padding: 2px 0 2px 20px;
    text-indent: -20px;
  }
  small,
  .small {
    font-size: 9pt;
  }
  small {
    display: block;
    text-indent: 0;
  }
  .line,
  p {
    text-indent: 0;
  }
  .tick::before {
    content: '';
    display: inline-block;
    width: 10px;
    height: 10px;
    margin: 0 8px 0 0;
    border: 1px solid #000;
  }
  .tick + .tick {
    margin-left: 18px;
  }
}
</style>
