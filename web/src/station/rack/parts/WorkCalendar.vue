<script setup lang="ts">
import type { WorkDate } from '@icy-ribbon/core/piece/care';
import { useStorage } from '@vueuse/core';
import { Button, Calendar, Popconfirm } from 'ant-design-vue';
import dayjs, { type Dayjs } from 'dayjs';
import { computed, onMounted, ref } from 'vue';
import { attempt } from '#notice/useTask.ts';
import { useRack } from '#store/rack.ts';
import { workDateWords } from '#words/care.ts';
import { datesByDay } from './datesByDay.ts';

/** What is due, by day: a month or a week of it. */
const rack = useRack();
const shown = useStorage<'month' | 'week'>('icy-ribbon.calendar', 'month');
const at = ref<Dayjs>(dayjs());

const byDay = computed(() => datesByDay(rack.dates));
const on = (day: Dayjs): readonly WorkDate[] => byDay.value.get(day.format('YYYY-MM-DD')) ?? [];
const week = computed(() =>
  Array.from({ length: 7 }, (_, index) => at.value.startOf('week').add(index, 'day')),
);
const title = computed(() =>
  shown.value === 'month'
    ? at.value.format('MMMM YYYY')
    : `${week.value[0]!.format('D MMM')} to ${week.value[6]!.format('D MMM YYYY')}`,
);
const go = (step: number) => (at.value = at.value.add(step, shown.value));
const isToday = (day: Dayjs) => day.isSame(dayjs(), 'day');
const feed = computed(() => rack.calendarPath && location.origin + rack.calendarPath);
onMounted(rack.loadCalendarPath);
const makeAddress = () => attempt(rack.renewCalendarPath);
</script>

<template>
  <section class="calendar stacked gap-12" aria-label="Calendar">
    <div class="bar">
      <h2>{{ title }}</h2>
      <Button @click="go(-1)">Before</Button>
      <Button @click="at = dayjs()">Today</Button>
      <Button @click="go(1)">After</Button>
      <fieldset class="choice" aria-label="How much is shown">
        <label v-for="each in ['month', 'week'] as const" :key="each" :class="{ on: shown === each }">
          <input v-model="shown" type="radio" name="calendar" :value="each" />{{
            each === 'month' ? 'Month' : 'Week'
          }}
        </label>
      </fieldset>
      <p class="feed soft">
        <a href="/api/calendar.ics" download="icy-ribbon.ics">Save as a calendar file</a>
        <template v-if="feed"
          >, or subscribe on the phone to <span class="address">{{ feed }}</span>
          <Popconfirm
            title="Make a new address? Calendars that subscribed to this one stop updating."
            ok-text="Make a new one"
            cancel-text="Cancel"
            :icon="null"
            @confirm="makeAddress"
          >
            <Button type="link" size="small">Renew address</Button>
          </Popconfirm>
        </template>
        <Button v-else type="link" size="small" @click="makeAddress">Subscribe on the phone</Button>
      </p>
    </div>
    <Calendar v-if="shown === 'month'" v-model:value="at" :fullscreen="true">
      <template #headerRender><span></span></template>
      <template #dateFullCellRender="{ current }">
        <div
          class="day"
          :class="{ today: isToday(current as Dayjs), other: (current as Dayjs).month() !== at.month() }"
        >
          <span class="of">{{ (current as Dayjs).date() }}</span>
          <RouterLink
            v-for="date in on(current as Dayjs).slice(0, 3)"
            :key="date.key"
            :to="`/rack/${date.pieceId}`"
            :title="`${date.name}: ${workDateWords(date)}`"
          >
            <strong>{{ date.name }}</strong> {{ workDateWords(date) }}
          </RouterLink>
          <span v-if="on(current as Dayjs).length > 3" class="soft">
            {{ on(current as Dayjs).length - 3 }} more, see the week
          </span>
        </div>
      </template>
    </Calendar>
    <ol v-else class="week stacked">
      <li v-for="day in week" :key="day.valueOf()" :class="{ today: isToday(day) }">
        <h3>{{ day.format('ddd D') }}</h3>
        <RouterLink v-for="date in on(day)" :key="date.key" :to="`/rack/${date.pieceId}`">
          <strong>{{ date.name }}</strong> {{ workDateWords(date) }}
        </RouterLink>
        <span v-if="on(day).length === 0" class="soft">nothing</span>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.bar {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: center;
}

h2 {
  min-width: 220px;
  font-size: var(--type-title);
}

.feed {
  margin-left: auto;
  font-size: var(--type-note);
}

.address {
  user-select: all;
}

.calendar :deep(thead th) {
  padding: 0 6px 4px;
  text-align: left;
}

.day {
  display: grid;
  align-content: start;
  min-height: 88px;
  padding: 2px 6px;
  text-align: left;
  font-size: var(--type-note);
  border-top: 1px solid var(--rule);
}

.day a {
  overflow: hidden;
  color: var(--ink);
  text-decoration: none;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.day a:hover,
.week a:hover {
  text-decoration: underline;
}

.other,
.other a {
  color: var(--ink-soft);
}

.today {
  background: var(--ice);
  border-top: 2px solid var(--ink);
}

.week {
  grid-template-columns: repeat(7, minmax(0, 1fr));
}

.week li {
  display: grid;
  gap: 8px;
  align-content: start;
  min-height: 320px;
  padding: 8px;
  border-top: 1px solid var(--rule);
}

.week a {
  color: var(--ink);
  text-decoration: none;
}

@media (width < 1000px) {
  .week {
    grid-template-columns: minmax(0, 1fr);
  }

  .week li {
    min-height: 0;
  }
}
</style>
