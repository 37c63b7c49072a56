<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { reasonOf } from '@/api/client'
import { questions } from '@/api/queries'
import { count, interval, margin, percent } from '@/ui/figures'
import ShareBar from '@/ui/ShareBar.vue'

/** How the message did in the newest dry run of each journey that sends it. */
const props = defineProps<{ id: string }>()
const results = useQuery(computed(() => questions.messageResults(props.id)))
const all = computed(() => results.data.value ?? [])
</script>

<template>
  <section class="panel flex min-h-0 flex-col overflow-hidden" aria-label="How it does">
    <div class="panel-head"><h2>How it does</h2></div>
    <div
      class="min-h-0 flex-1 overflow-y-auto px-3 py-2"
      tabindex="0"
      role="group"
      aria-label="Results"
    >
      <p v-if="results.error.value" class="warning" role="alert">
        {{ reasonOf(results.error.value) }}
      </p>
      <p v-else-if="results.isSuccess.value && all.length === 0" class="note">
        No dry run has sent it yet.
      </p>
      <div v-for="one in all" :key="`${one.run}.${one.step}`" class="mb-2 last:mb-0">
        <RouterLink
          class="text-note underline"
          :to="{ name: 'dry-run', params: { id: one.journeyId }, query: { run: one.run } }"
          >{{ one.journeyName }}, dry run {{ one.run }}</RouterLink
        >
        <span class="note">
          <template v-if="one.which"> · {{ one.which }}</template> · {{ count(one.people) }} people
          · an estimate</span
        >
        <dl class="grid grid-cols-[54px_1fr_auto] items-center gap-x-2">
          <template
            v-for="[name, share] in [
              ['opened', one.opened],
              ['clicked', one.clicked],
            ] as const"
            :key="name"
          >
            <dt>{{ name }}</dt>
            <dd><ShareBar :value="share.value ?? 0" /></dd>
            <dd class="figure text-note" :title="interval(share)">
              {{ percent(share.value, 1) }} {{ share.value === null ? '' : margin(share) }}
            </dd>
          </template>
        </dl>
      </div>
    </div>
  </section>
</template>
