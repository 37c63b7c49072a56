<script setup lang="ts">
import { computed } from 'vue'
import type { StepMeasures } from '@/api/types'
import { arrivalError, count, duration, interval, percent, points } from '@/ui/figures'

const props = defineProps<{ step: StepMeasures; people: number }>()

const figures = computed(() => {
  const { reach, left, email, arrival, waiting } = props.step
  const all = [{ name: 'reached', value: count(reach.count), more: percent(reach.value, 1) }]
  if (email) {
    all.push(
      {
        name: 'opened',
        value: `${points(email.opened.value, 1)}%`,
        more: interval(email.opened),
      },
      {
        name: 'clicked',
        value: `${points(email.clicked.value, 1)}%`,
        more: interval(email.clicked),
      },
    )
  }
  all.push({ name: 'left here', value: count(left.count), more: percent(left.value, 1) })
  if (waiting > 0) all.push({ name: 'still here', value: count(waiting), more: '' })
  if (arrival) {
    all.push({
      name: 'half are here by',
      value: duration(arrival.medianHours),
      more: arrivalError(arrival.medianErrorHours),
    })
  }
  return all
})
</script>

<template>
  <div>
    <dl class="flex flex-wrap gap-x-8 gap-y-2">
      <div v-for="figure in figures" :key="figure.name">
        <dt class="text-fine text-ink2">{{ figure.name }}</dt>
        <dd>
          <b class="font-display text-part">{{ figure.value }}</b>
          <span class="figure ml-1.5 text-fine text-ink2">{{ figure.more }}</span>
        </dd>
      </div>
    </dl>
    <p class="note mt-1.5">
      Estimate from {{ count(people) }} simulated people; ranges are 95% intervals.
    </p>
  </div>
</template>
