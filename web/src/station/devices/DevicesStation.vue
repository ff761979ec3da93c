<script setup lang="ts">
import type { DeviceKind, Invitation } from '@icy-ribbon/contract';
import { Button, Checkbox, Popconfirm } from 'ant-design-vue';
import dayjs from 'dayjs';
import { useIntervalFn } from '@vueuse/core';
import { computed, onMounted, ref, watch } from 'vue';
import { say, sayProblem } from '#notice/notices.ts';
import { attempt } from '#notice/useTask.ts';
import { useSignedIn } from '#store/signedIn.ts';
import JoinCode from './parts/JoinCode.vue';

/** The studio on other devices: whether they may come in, by which address, and which are signed in. */
const store = useSignedIn();
onMounted(() => store.load().catch(sayProblem));

const door = computed(() => store.shown?.door);
const devices = computed(() => store.shown?.devices ?? []);
const isSecure = ref<boolean | null>(null);
const secure = computed({
  get: () => isSecure.value ?? (door.value?.isOpen ? door.value.isSecure : true),
  set: (wanted: boolean) => (isSecure.value = wanted),
});
/** What the box says is not how it is open now. */
const isChanged = computed(
  () => door.value?.isOpen && isSecure.value !== null && isSecure.value !== door.value.isSecure,
);

const setDoor = (isOpen: boolean) =>
  attempt(async () => {
    await store.setDoor(isOpen, secure.value);
    invitation.value = null;
    isSecure.value = null;
  });

const KEEPS = [
  { days: 1, label: 'today only' },
  { days: 30, label: 'for a month' },
  { days: 365, label: 'for a year' },
] as const;
const keepDays = ref<1 | 30 | 365>(30);
const invitation = ref<Invitation | null>(null);
const KINDS = [
  { kind: 'table', label: 'at the table', does: 'Weighs, reads, pours, takes photos, and rates.' },
  {
    kind: 'studio',
    label: 'for the whole studio',
    does: 'Does everything except what concerns this machine: its door, folders, and putting backups back.',
  },
] as const;
const chosenKind = ref<DeviceKind | null>(null);
/** Who comes for a day comes to the table. */
const kind = computed({
  get: (): DeviceKind => chosenKind.value ?? (keepDays.value === 1 ? 'table' : 'studio'),
  set: (chosen: DeviceKind) => (chosenKind.value = chosen),
});
const invite = () => attempt(async () => (invitation.value = await store.invite(keepDays.value, kind.value)));
// A code is for what was chosen when it was made.
watch([keepDays, kind], () => (invitation.value = null));
const mayInvite = computed(() => store.shown?.rank !== 'table');

// Who joins by the code appears by itself.
useIntervalFn(() => {
  if (!invitation.value) return;
  if (Date.parse(invitation.value.until) < Date.now()) invitation.value = null;
  store.load().catch(() => {});
}, 2000);

const day = (at: string) => dayjs(at).format('D MMM YYYY, HH:mm');

const signOut = (id: string, name: string) =>
  attempt(async () => {
    await store.signOut(id);
    say(`"${name}" is signed out.`);
  });
</script>

<template>
  <main class="devices">
    <header>
      <h1>Devices</h1>
      <p class="soft">
        The phone at the table, the tablet at the easel: the same studio, on the network of this house.
      </p>
    </header>

    <section v-if="door" aria-labelledby="door">
      <h2 id="door">Open it on another device</h2>
      <template v-if="!door.isOpen">
        <p>Nothing but this machine can reach the studio now.</p>
        <template v-if="store.shown?.isHome">
          <Checkbox v-model:checked="secure">Encrypt what goes over the network</Checkbox>
          <p class="soft">
            {{
              secure
                ? 'The certificate is made here, so that the other device warns once that it does not know it. Only an encrypted page keeps the screen awake, installs itself and shows the camera.'
                : 'Anyone on the same network can read along what goes between the devices, the sign-in too: leave it so only on a network that you trust.'
            }}
          </p>
          <Button type="primary" @click="setDoor(true)">Let other devices in</Button>
        </template>
        <p v-else>Open it at the machine that the studio lies on.</p>
      </template>

      <template v-else>
        <p v-if="door.addresses.length === 0" role="alert">
          This machine is on no network: connect it, then let other devices in again.
        </p>
        <dl v-else>
          <div v-for="each in door.addresses" :key="each.url">
            <dt class="soft">on the network {{ each.network }}</dt>
            <dd class="numeral">{{ each.url }}</dd>
          </div>
        </dl>
        <p v-if="door.isSecure" class="soft">
          Encrypted. When the other device warns of the certificate, its SHA-256 is to be
          <span class="numeral fingerprint">{{ door.fingerprint }}</span>
        </p>
        <p v-else class="care">
          Not encrypted: whoever is on this network can read along, and take over a sign-in. Use it on a
          network that you trust.
        </p>
        <div v-if="mayInvite" class="keep">
          <span id="keep">The device stays signed in</span>
          <fieldset class="choice" aria-labelledby="keep">
            <label v-for="each in KEEPS" :key="each.days" :class="{ on: keepDays === each.days }">
              <input v-model="keepDays" type="radio" name="keep" :value="each.days" />{{ each.label }}
            </label>
          </fieldset>
        </div>
        <div v-if="mayInvite" class="keep">
          <span id="kind">The device works</span>
          <fieldset class="choice" aria-labelledby="kind">
            <label v-for="each in KINDS" :key="each.kind" :class="{ on: kind === each.kind }">
              <input v-model="kind" type="radio" name="kind" :value="each.kind" />{{ each.label }}
            </label>
          </fieldset>
          <span class="soft">{{ KINDS.find((each) => each.kind === kind)?.does }}</span>
        </div>
        <JoinCode v-if="invitation" :invitation="invitation" />
        <div class="acts">
          <Button v-if="mayInvite" :type="invitation ? 'default' : 'primary'" @click="invite">
            {{ invitation ? 'Another code' : 'Show a code' }}
          </Button>
          <template v-if="store.shown?.isHome && !door.isGiven">
            <Button @click="setDoor(false)">Close it again</Button>
            <Checkbox v-model:checked="secure">Encrypt what goes over the network</Checkbox>
            <Button v-if="isChanged" @click="setDoor(true)">Open it so</Button>
          </template>
        </div>
      </template>
    </section>

    <section aria-labelledby="signed-in">
      <h2 id="signed-in">Signed in</h2>
      <p v-if="devices.length === 0" class="soft">No other device is signed in.</p>
      <ul v-else class="rows">
        <li v-for="device in devices" :key="device.id">
          <span class="name">{{ device.name }}<template v-if="device.isThis"> (this one)</template></span>
          <span class="soft"
            >{{ device.kind === 'table' ? 'at the table' : 'for the whole studio' }}, seen
            {{ day(device.seenAt) }}, joined {{ day(device.joinedAt) }}, stays until
            {{ day(device.until) }}</span
          >
          <Popconfirm
            v-if="mayInvite || device.isThis"
            :title="`Sign &quot;${device.name}&quot; out? It needs a new code to come back.`"
            ok-text="Sign out"
            cancel-text="Cancel"
            @confirm="signOut(device.id, device.name)"
          >
            <Button>Sign out</Button>
          </Popconfirm>
        </li>
      </ul>
    </section>
  </main>
</template>

<style scoped>
.devices {
  display: grid;
  gap: 32px;
  align-content: start;
  max-width: 860px;
  padding: 16px 24px;
}

section {
  display: grid;
  gap: 12px;
  justify-items: start;
}

dl > div {
  display: flex;
  flex-wrap: wrap;
  gap: 0 16px;
}

dd {
  font-size: var(--type-lead);
}

.fingerprint {
  overflow-wrap: anywhere;
}

.care {
  padding: 8px 12px;
  border-left: 4px solid var(--alarm);
}

.keep,
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 16px;
  align-items: center;
}

ul {
  display: grid;
  gap: 8px;
  width: 100%;
}

li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: center;
  padding: 8px 0;
  border-bottom: 1px solid var(--rule);
}

.name {
  font-weight: var(--weight-strong);
}

li > .soft {
  flex: 1;
}
</style>
