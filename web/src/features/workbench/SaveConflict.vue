<script setup lang="ts">
import { computed, ref } from 'vue'
import { reasonOf, type ApiProblem } from '@/api/client'
import { clock } from '@/ui/figures'
import Trouble from '@/ui/Trouble.vue'
import { useJourneyStore } from './journeyStore'

/** Two tabs have saved the same journey: both sides, and which holds, line by line. */
const props = defineProps<{ problem: ApiProblem }>()
const store = useJourneyStore()
const failure = ref<string | null>(null)
const busy = ref(false)

const lines = computed(
  () => props.problem.yours?.difference.filter((line) => line.kind !== 'SAME') ?? [],
)
/** Which lines are to be as they are here; at first those that were changed here. */
const mine = ref(new Set(props.problem.yours?.changedHere ?? []))

function choose(row: string, ours: boolean) {
  const next = new Set(mine.value)
  if (ours) next.add(row)
  else next.delete(row)
  mine.value = next
}

async function settle(rows: string[]) {
  busy.value = true
  failure.value = null
  try {
    await store.settle(rows)
  } catch (problem) {
    failure.value = reasonOf(problem)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <section class="panel mx-3 mb-2 border-clay!" role="alert" aria-labelledby="conflict">
    <div class="panel-head bg-clay-soft">
      <h2 id="conflict" class="text-clay">Two versions of this journey</h2>
      <span
        >{{ problem.detail }} Theirs is version {{ problem.current?.version }}, saved
        {{ clock(problem.current?.savedAt ?? '') }}.</span
      >
    </div>
    <ul class="max-h-64 overflow-y-auto px-3 py-1" tabindex="0" aria-label="What differs">
      <li
        v-for="line in lines"
        :key="line.row"
        class="grid grid-cols-2 gap-3 border-b border-line2 py-1 last:border-0"
      >
        <label
          v-for="ours in [false, true]"
          :key="String(ours)"
          class="flex items-start gap-2 rounded-md px-1"
          :class="{ 'bg-marigold-soft': mine.has(line.row) === ours }"
        >
          <input
            type="radio"
            class="mt-1"
            :name="line.row"
            :checked="mine.has(line.row) === ours"
            @change="choose(line.row, ours)"
          />
          <span>
            <b class="mr-1">{{ ours ? 'Yours' : 'Theirs' }}</b>
            <template v-if="line.kind === 'MOVED'"
              >{{ line.after }}
              <i>{{ ours ? 'where you put it' : 'where they have it' }}</i></template
            >
            <template v-else-if="(ours ? line.after : line.before) === null"
              ><i>without this line</i></template
            >
            <template v-else>{{ ours ? line.after : line.before }}</template>
          </span>
        </label>
      </li>
      <li v-if="lines.length === 0" class="py-1">Both say the same.</li>
    </ul>
    <div class="flex items-center gap-2 px-3 py-2">
      <button type="button" class="button button-main" :disabled="busy" @click="settle([...mine])">
        Save as chosen
      </button>
      <button type="button" class="button" :disabled="busy" @click="settle([])">
        Keep all of theirs
      </button>
      <button
        type="button"
        class="button"
        :disabled="busy"
        @click="settle(lines.map((line) => line.row))"
      >
        Keep all of yours
      </button>
      <span class="note">Undo brings yours back, and once more theirs.</span>
    </div>
    <Trouble v-if="failure" class="m-2" :text="failure" />
  </section>
</template>
