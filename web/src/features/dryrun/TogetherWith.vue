<script setup lang="ts">
import { computed, ref } from 'vue'
import { count } from '@/ui/figures'

/** Other journeys that the same people go through; of very many, those that are looked for. */
const props = defineProps<{ others: { id: number; name: string }[]; chosen: number[] }>()
const emit = defineEmits<{ change: [chosen: number[]] }>()

const MOST_CHOSEN = 5
const MOST_SHOWN = 20

const wanted = ref('')
const many = computed(() => props.others.length > MOST_SHOWN)
const isChosen = (id: number) => props.chosen.includes(id)

/** The chosen ones stay, whatever is looked for. */
const shown = computed(() => {
  if (!many.value) return props.others
  const word = wanted.value.trim().toLowerCase()
  const found = props.others.filter(
    (one) => !isChosen(one.id) && one.name.toLowerCase().includes(word),
  )
  const chosen = props.others.filter((one) => isChosen(one.id))
  return [...chosen, ...found.slice(0, MOST_SHOWN)]
})

function toggle(id: number) {
  emit('change', isChosen(id) ? props.chosen.filter((one) => one !== id) : [...props.chosen, id])
}
</script>

<template>
  <details :open="chosen.length > 0">
    <summary>
      Together with {{ chosen.length ? `${chosen.length} other` : 'no other journey' }}
    </summary>
    <input
      v-if="many"
      v-model="wanted"
      type="search"
      class="field my-1 min-h-6.5!"
      aria-label="Find journeys to run together"
      :placeholder="`Find among ${count(others.length)} journeys`"
    />
    <label v-for="one in shown" :key="one.id" class="flex items-center gap-2 py-0.5 pl-3">
      <input
        type="checkbox"
        :checked="isChosen(one.id)"
        :disabled="!isChosen(one.id) && chosen.length >= MOST_CHOSEN"
        @change="toggle(one.id)"
      />
      {{ one.name }}
    </label>
    <p class="note pl-3">Who enters two gets both, and the frequency guard counts across them.</p>
  </details>
</template>
