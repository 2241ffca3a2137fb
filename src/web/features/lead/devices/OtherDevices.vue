<script setup lang="ts">
import Button from 'primevue/button'
import { computed, defineAsyncComponent } from 'vue'
import { clockText } from '#words/dates'
import { codeText, heardWords, kindWords, warningWords } from '#words/devices'
import { useSettingsStore } from '#web/shared/settings/settings-store.ts'
import { useDevices } from './use-devices.ts'

/** The students’ screen, and other devices: where they are let in, by which code, and which there are. */
const QrCode = defineAsyncComponent(() => import('./QrCode.vue'))
const settings = useSettingsStore()
const { room, mend, open, close, code, disconnect } = useDevices()
/** The code stands behind the #, which no browser sends on. */
const link = computed(() =>
  room.value?.open && room.value.code ? `${room.value.open.url}/pair#${room.value.code.code}` : '',
)
const openScreen = (): void => void window.open('/screen', 'zovrin-screen')
</script>

<template>
  <div class="devices">
    <section aria-label="Students’ screen">
      <h3>Students’ screen</h3>
      <p class="soft">Pose, side, clock and breath. No names, no numbers, nothing that is said.</p>
      <div class="line">
        <Button severity="secondary" outlined label="Open it in a window" @click="openScreen" />
        <label><input v-model="settings.screenClock" type="checkbox" /> with a clock</label>
      </div>
    </section>
    <section v-if="room" aria-label="Other devices">
      <h3>Other devices</h3>
      <template v-if="!room.open">
        <p class="soft">
          Nothing listens on the network now. Devices in the same network can be let in, each by a code of its own: a
          screen for the students, a tablet to lead from.
        </p>
        <p v-if="room.addresses.length === 0">This machine is in no network: join one, then open this again.</p>
        <div class="line">
          <Button
            v-for="address in room.addresses"
            :key="address"
            severity="secondary"
            outlined
            :label="`Let other devices in at ${address}`"
            @click="open(address)"
          />
        </div>
      </template>
      <template v-else>
        <p v-if="room.closedUntil" role="alert">
          Five wrong codes: nobody is let in until {{ clockText(Date.parse(room.closedUntil)) }}.
        </p>
        <div v-else-if="room.code" class="code" data-testid="code">
          <div>
            <p class="soft">
              {{ kindWords[room.code.kind] }}, one device, until {{ clockText(Date.parse(room.code.until)) }}
            </p>
            <p class="digits">{{ codeText(room.code.code) }}</p>
            <p>
              Read the square with it, or open
              <b>{{ room.open.url }}{{ room.open.fingerprint ? '' : '/pair' }}</b> there and type the code.
            </p>
          </div>
          <QrCode :text="link" words="The address and the code, for a camera" />
          <p v-if="room.open.fingerprint" class="warns soft">
            {{ warningWords }} <span class="print">{{ room.open.fingerprint }}</span>
          </p>
        </div>
        <p v-else class="soft">Open at {{ room.open.url }}. Each device needs a code:</p>
        <div class="line">
          <Button severity="secondary" outlined label="Let in a screen" @click="code('screen')" />
          <Button severity="secondary" outlined label="Let in a tablet to lead from" @click="code('teacher')" />
        </div>
      </template>
      <ul v-if="room.devices.length > 0">
        <li v-for="device in room.devices" :key="device.id">
          <span
            ><b>{{ device.name }}</b> · {{ heardWords(device) }}</span
          >
          <Button
            severity="secondary"
            text
            label="Disconnect"
            :aria-label="`Disconnect ${device.name}`"
            @click="disconnect(device.id)"
          />
        </li>
      </ul>
      <Button
        v-if="room.open?.fingerprint"
        severity="secondary"
        outlined
        label="Let nobody in any more"
        @click="close"
      />
      <p v-if="mend" role="alert" class="mend">{{ mend }}</p>
    </section>
  </div>
</template>

<style scoped>
.devices,
section {
  display: grid;
  align-content: start;
  gap: 8px;
}
.devices {
  gap: 18px;
}
.soft {
  color: var(--ink-soft);
  font-size: 16px;
}
.line {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
}
.devices :deep(.p-button) {
  min-height: 44px;
}
label {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 44px;
  font-size: 17px;
}
input {
  width: 22px;
  height: 22px;
  accent-color: var(--ink);
}
.code {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 150px;
  gap: 6px 18px;
  align-items: start;
}
.digits {
  font-size: 44px;
  font-weight: 650;
  line-height: 1.15;
}
.warns {
  grid-column: 1 / -1;
}
.print {
  overflow-wrap: anywhere;
}
b {
  overflow-wrap: anywhere;
}
li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 12px;
  border-top: 1px solid var(--line);
  font-size: 17px;
}
.mend {
  color: var(--left);
}
</style>
