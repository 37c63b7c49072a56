<script setup lang="ts">
import { onMounted, ref, useTemplateRef } from 'vue'
import type { WalkChoice, WalkView } from '@/api/types'

/** What they do with the message that they have just got. */
const props = defineProps<{ ask: NonNullable<WalkView['ask']> }>()
const emit = defineEmits<{ choose: [choice: WalkChoice]; rest: [] }>()

const hours = ref(5)
const link = ref(0)
const first = useTemplateRef<HTMLButtonElement>('first')
onMounted(() => first.value?.focus())

function choose(does: WalkChoice['does'], after = hours.value) {
  emit('choose', { step: props.ask.step, does, hours: after, link: link.value })
}
</script>

<template>
  <div
    class="rounded-lg border border-marigold bg-marigold-soft p-2.5"
    role="group"
    aria-label="What do they do with it?"
  >
    <p class="mb-2">
      <b>{{ ask.when }}: “{{ ask.message }}” has come.</b> What do they do?
    </p>
    <div class="flex flex-wrap items-center gap-1.5">
      <button ref="first" type="button" class="button button-small" @click="choose('OPEN', 0)">
        Open now
      </button>
      <button type="button" class="button button-small" @click="choose('OPEN')">
        Open in {{ hours }} h
      </button>
      <button type="button" class="button button-small" @click="choose('CLICK')">Click</button>
      <button type="button" class="button button-small" @click="choose('BUY')">Buy</button>
      <button type="button" class="button button-small" @click="choose('IGNORE')">Ignore</button>
      <button type="button" class="button button-small" @click="choose('UNSUBSCRIBE')">
        Unsubscribe
      </button>
      <button type="button" class="button button-small" @click="choose('BOUNCE')">
        It comes back
      </button>
      <button type="button" class="button button-small" @click="choose('MODEL')">
        Let the model choose
      </button>
    </div>
    <div class="mt-2 flex flex-wrap items-center gap-3">
      <label class="flex items-center gap-1.5"
        >hours until they open
        <input v-model.number="hours" class="field w-20!" type="number" min="0" max="8760" />
      </label>
      <label v-if="ask.links.length" class="flex items-center gap-1.5"
        >link
        <select v-model.number="link" class="field w-40!">
          <option v-for="(name, i) in ask.links" :key="name" :value="i">{{ name }}</option>
        </select>
      </label>
      <button type="button" class="button button-small ml-auto" @click="emit('rest')">
        Let the model choose the rest
      </button>
    </div>
  </div>
</template>
