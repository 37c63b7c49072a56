<script setup lang="ts">
import { onMounted, ref, useTemplateRef } from 'vue'
import { reasonOf } from '@/api/client'
import Trouble from '@/ui/Trouble.vue'
import { useLibrary } from './useLibrary'
import { contentOf, type MessageKind } from './newSteps'

/** Writes a message into the library; its text comes later. */
const props = withDefaults(defineProps<{ kind?: MessageKind }>(), { kind: 'email' })
const emit = defineEmits<{ added: [message: string]; cancel: [] }>()

const { addMessage } = useLibrary()
const name = ref('')
const words = ref('')
const trouble = ref<string | null>(null)
const first = useTemplateRef<HTMLInputElement>('first')
onMounted(() => first.value?.focus())

async function add() {
  trouble.value = null
  try {
    const added = await addMessage(name.value, contentOf(props.kind, words.value))
    emit('added', added.id)
  } catch (failure) {
    trouble.value = reasonOf(failure)
  }
}
</script>

<template>
  <form
    class="grid grid-cols-2 items-end gap-2 rounded-lg bg-sunk p-2.5"
    aria-label="New message"
    @submit.prevent="add"
    @keydown.esc.stop="emit('cancel')"
  >
    <label>
      <span class="label">New message’s name</span>
      <input ref="first" v-model="name" class="field" required maxlength="80" />
    </label>
    <label>
      <span class="label">{{ kind === 'text' ? 'Its words' : 'Its subject' }}</span>
      <input v-model="words" class="field" required :maxlength="kind === 'text' ? 1000 : 200" />
    </label>
    <div class="col-span-2 flex gap-2">
      <button type="submit" class="button button-main button-small">Add message</button>
      <button type="button" class="button button-small" @click="emit('cancel')">Cancel</button>
    </div>
    <Trouble v-if="trouble" class="col-span-2" :text="trouble" />
  </form>
</template>
