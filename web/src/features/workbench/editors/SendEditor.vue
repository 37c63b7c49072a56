<script setup lang="ts">
import DraftInput from '@/ui/DraftInput.vue'
import { computed, ref } from 'vue'
import { reasonOf } from '@/api/client'
import type { SendStep } from '@/api/types'
import Trouble from '@/ui/Trouble.vue'
import { useLibrary } from '../useLibrary'
import NewMessage from '../NewMessage.vue'
import SendOptions from './SendOptions.vue'

const props = defineProps<{ step: SendStep; emails: string[] }>()
const emit = defineEmits<{ change: [step: SendStep] }>()

const { messages, saveMessage } = useLibrary()
const writing = ref(false)
const trouble = ref<string | null>(null)

const emailMessages = computed(() => messages.value.filter((one) => one.content.kind === 'email'))
const message = computed(() => messages.value.find((one) => one.id === props.step.message))

function written(added: string) {
  writing.value = false
  emit('change', { ...props.step, message: added })
}

async function setLinks(event: Event) {
  if (!message.value) return
  trouble.value = null
  const links = (event.target as HTMLInputElement).value
    .split(',')
    .map((link) => link.trim())
    .filter(Boolean)
  try {
    await saveMessage({ ...message.value, links })
  } catch (failure) {
    trouble.value = reasonOf(failure)
  }
}

function setSubject(event: Event) {
  const text = (event.target as HTMLInputElement).value.trim()
  emit('change', { ...props.step, subject: text === '' ? null : text })
}
</script>

<template>
  <div class="grid grid-cols-2 gap-x-4 gap-y-2.5">
    <div>
      <label class="label" for="message">Message</label>
      <div class="flex gap-1.5">
        <select
          id="message"
          class="field"
          :value="step.message"
          @change="emit('change', { ...step, message: ($event.target as HTMLSelectElement).value })"
        >
          <option v-for="one in emailMessages" :key="one.id" :value="one.id">
            {{ one.name }}
          </option>
        </select>
        <button type="button" class="button" :aria-expanded="writing" @click="writing = !writing">
          New
        </button>
      </div>
    </div>
    <div>
      <label class="label" for="subject">Subject for this send</label>
      <DraftInput
        id="subject"
        class="field"
        :value="step.subject ?? ''"
        :placeholder="message?.content.kind === 'email' ? message.content.subject : ''"
        maxlength="200"
        @change="setSubject"
      />
    </div>
    <NewMessage v-if="writing" class="col-span-2" @added="written" @cancel="writing = false" />
    <div class="col-span-2">
      <label class="label" for="links"
        >Links in this message that people can click, with commas between</label
      >
      <DraftInput
        id="links"
        class="field"
        :value="message?.links.join(', ')"
        placeholder="such as: Hive kits, Find a keeper"
        @change="setLinks"
      />
    </div>
    <Trouble v-if="trouble" class="col-span-2" :text="trouble" />
    <SendOptions
      class="col-span-2"
      :step="step"
      :emails="emails"
      @change="emit('change', $event)"
    />
  </div>
</template>
