<script setup lang="ts">
import type { Backup } from '@icy-ribbon/contract';
import { Button, Checkbox, Popconfirm } from 'ant-design-vue';
import dayjs from 'dayjs';
import { computed, onMounted, ref } from 'vue';
import { say, sayProblem } from '#notice/notices.ts';
import { useDevices } from '#store/devices.ts';
import { usePiece } from '#store/piece/piece.ts';
import { useSafekeeping } from '#store/safekeeping.ts';
import { useSignedIn } from '#store/signedIn.ts';
import { ageWords } from '#words/general.ts';
import { bytesWords, REASON_WORDS } from '#words/backup.ts';
import SecondFolder from './parts/SecondFolder.vue';

const keeping = useSafekeeping();
const devices = useDevices();
onMounted(devices.ensure);
const piece = usePiece();
const busy = ref<string | null>(null);

const shown = computed(() => keeping.shown);
/** So little room that a few days of backups would fill it. */
const isNarrow = computed(() => shown.value !== null && shown.value.freeBytes < 1e9);

onMounted(() => keeping.load().catch(sayProblem));
const signedIn = useSignedIn();
onMounted(() => signedIn.load().catch(sayProblem));
/** What concerns the machine is done at the machine. */
const isHost = computed(() => signedIn.shown?.rank === 'host');

async function during(what: string, work: () => Promise<void>): Promise<void> {
  busy.value = what;
  try {
    await work();
  } catch (error) {
    sayProblem(error);
  } finally {
    busy.value = null;
  }
}

const backUp = () =>
  during('backup', async () => {
    await keeping.backUp();
    say('The backup is made, and was read back whole.');
  });

const restore = (backup: Backup) =>
  during(backup.name, async () => {
    await keeping.restore(backup.name);
    // Everything on the page is of the studio before.
    piece.letGo();
    window.location.assign('/today');
  });

function copyWords({ isCopied, isOfOther }: Backup): string {
  if (isOfOther) return 'from another studio';
  if (!isCopied) return shown.value?.secondFolder ? 'only here' : 'none';
  return shown.value?.isSameDisk ? 'same disk, photos linked' : 'in the second folder';
}

const when = (backup: Backup) => dayjs(backup.madeAt).format('ddd D MMM YYYY, HH:mm');
</script>

<template>
  <main class="keeping stacked gap-16">
    <header>
      <h1>Safekeeping</h1>
      <p v-if="shown?.isDamaged" class="alarm" role="alert">
        The database cannot be read as it is. Put the newest good copy back: what is there now is set aside,
        not thrown away.
      </p>
      <p v-else class="soft">
        A copy of everything is made each day, and before anything large happens. Each is read back after it
        is written.
      </p>
    </header>
    <template v-if="shown">
      <dl class="facts">
        <dt>The studio</dt>
        <dd class="numeral">{{ bytesWords(shown.dataBytes) }}</dd>
        <dt>All backups</dt>
        <dd class="numeral">{{ bytesWords(shown.backupBytes) }}</dd>
        <dt>Partial uploads</dt>
        <dd class="numeral">{{ bytesWords(shown.partBytes) }}</dd>
        <dt>Room on the disk</dt>
        <dd class="numeral" :class="{ alarm: isNarrow }">{{ bytesWords(shown.freeBytes) }}</dd>
      </dl>
      <p v-if="shown.trouble" class="alarm" role="alert">{{ shown.trouble }}</p>
      <section aria-labelledby="devices">
        <h2 id="devices">Devices</h2>
        <p>
          <Checkbox
            :checked="devices.standIns"
            aria-label="Stand-ins for scale, camera and room sensor"
            @update:checked="devices.connect(Boolean($event))"
          />
          Stand-ins for a scale, a camera over the table and a room sensor. They make weights, pictures and
          numbers up, for trying things out: the record says what is theirs, it can be filtered out, and
          nothing is learned from it.
        </p>
      </section>
      <section aria-labelledby="backups">
        <div class="head">
          <h2 id="backups">Backups</h2>
          <Button
            v-if="!shown.isDamaged && signedIn.shown?.rank !== 'table'"
            type="primary"
            :loading="busy === 'backup'"
            :disabled="busy !== null"
            @click="backUp"
          >
            Back up now
          </Button>
        </div>
        <p v-if="shown.backups.length === 0" class="soft">
          None yet. The first is made a minute after the start, or now by the button.
        </p>
        <table v-else>
          <thead>
            <tr>
              <th scope="col">Made</th>
              <th scope="col">Why</th>
              <th scope="col" class="number">Pieces</th>
              <th scope="col" class="number">Photos</th>
              <th scope="col" class="number">Size</th>
              <th scope="col">Second copy</th>
              <th scope="col"><span class="visually-hidden">Put back</span></th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="backup in shown.backups" :key="backup.name">
              <td>
                {{ when(backup) }} <span class="soft">{{ ageWords(backup.madeAt) }}</span>
              </td>
              <td>{{ REASON_WORDS[backup.reason] }}</td>
              <td class="number numeral">{{ backup.pieces }}</td>
              <td class="number numeral">{{ backup.photos }}</td>
              <td class="number numeral">{{ bytesWords(backup.bytes) }}</td>
              <td>
                {{ copyWords(backup) }}
              </td>
              <td>
                <Popconfirm
                  v-if="isHost"
                  placement="left"
                  title="Put this copy in place of everything? What is there now is backed up first."
                  ok-text="Put it back"
                  cancel-text="Leave it"
                  :icon="null"
                  @confirm="restore(backup)"
                >
                  <Button
                    type="link"
                    size="small"
                    :loading="busy === backup.name"
                    :disabled="busy !== null"
                    :aria-label="`Put back the copy of ${when(backup)}`"
                  >
                    Put back
                  </Button>
                </Popconfirm>
              </td>
            </tr>
          </tbody>
        </table>
      </section>
      <SecondFolder v-if="isHost && !shown.isDamaged" />
      <p v-if="signedIn.shown && !isHost" class="soft">
        At the machine that the studio is on you can also put a backup back and choose a second folder.
      </p>
      <section v-if="shown.pieces.length > 0" aria-labelledby="unreadable">
        <h2 id="unreadable">Cannot be worked out</h2>
        <ul>
          <li v-for="each in shown.pieces" :key="each.id">
            <RouterLink :to="{ name: 'result', params: { pieceId: each.id } }">{{ each.name }}</RouterLink>
            <span class="alarm">{{ each.trouble }}</span>
          </li>
        </ul>
      </section>
    </template>
  </main>
</template>

<style scoped>
.keeping {
  align-content: start;
  max-width: 1080px;
  height: 100%;
  padding: 16px 24px 48px;
  overflow: auto;
}

.facts {
  display: grid;
  grid-template-columns: repeat(4, auto);
  grid-template-rows: auto auto;
  grid-auto-flow: column;
  justify-content: start;
  gap: 0 48px;
}

.facts dt {
  color: var(--ink-soft);
}

.facts dd {
  font-size: var(--type-title);
}

.head {
  display: flex;
  align-items: center;
  justify-content: space-between;
}

table {
  width: 100%;
  border-collapse: collapse;
}

th,
td {
  padding: 8px 16px 8px 0;
  text-align: left;
  border-bottom: 1px solid var(--rule);
}

.number {
  text-align: right;
}

li {
  display: flex;
  gap: 16px;
  padding: 6px 0;
}
</style>
