<script setup lang="ts">
import type { Walker } from '@/api/types'
import DraftInput from '@/ui/DraftInput.vue'

/** Who walks, and when they come. */
const props = defineProps<{ walker: Walker; groups: { name: string; zone: string }[] }>()
const emit = defineEmits<{ change: [walker: Walker] }>()

function change(part: Partial<Walker>) {
  emit('change', { ...props.walker, ...part })
}

const value = (event: Event) => (event.target as HTMLInputElement).value
const names = (event: Event) =>
  value(event)
    .split(',')
    .map((name) => name.trim())
    .filter(Boolean)
</script>

<template>
  <div class="grid grid-cols-2 gap-x-3 gap-y-2">
    <label
      ><span class="label">Group</span>
      <select
        class="field"
        :value="walker.group"
        @change="change({ group: Number(value($event)) })"
      >
        <option v-for="(group, i) in groups" :key="i" :value="i">
          {{ group.name }} ({{ group.zone }})
        </option>
      </select>
    </label>
    <label
      ><span class="label">Comes on, in their time</span>
      <input
        class="field"
        type="datetime-local"
        required
        :value="walker.start.slice(0, 16)"
        @change="value($event) && change({ start: `${value($event)}:00` })"
      />
    </label>
    <label
      ><span class="label">Has the tags</span>
      <DraftInput
        class="field"
        :value="walker.tags.join(', ')"
        placeholder="none"
        @change="change({ tags: names($event) })"
      />
    </label>
    <label
      ><span class="label">Is on the lists</span>
      <DraftInput
        class="field"
        :value="walker.lists.join(', ')"
        placeholder="none"
        @change="change({ lists: names($event) })"
      />
    </label>
    <label
      ><span class="label">Which of the model’s people</span>
      <DraftInput
        class="field"
        type="number"
        min="0"
        max="999"
        :value="walker.number"
        @change="change({ number: Math.trunc(Number(value($event))) })"
      />
    </label>
    <label class="flex items-center gap-1.5 self-end pb-1.5"
      ><input
        type="checkbox"
        :checked="walker.agreesToTexts"
        @change="change({ agreesToTexts: ($event.target as HTMLInputElement).checked })"
      />
      agrees to texts</label
    >
  </div>
</template>
