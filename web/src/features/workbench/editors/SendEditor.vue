<script setup lang="ts">
import DraftInput from '@/ui/DraftInput.vue'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { reasonOf } from '@/api/client'
import { questions } from '@/api/queries'
import type { SendStep } from '@/api/types'
import Trouble from '@/ui/Trouble.vue'
import { useJourneyStore } from '../journeyStore'
import { useLibrary } from '../useLibrary'
import NewMessage from '../NewMessage.vue'
import MessagePicker from './MessagePicker.vue'
import SendOptions from './SendOptions.vue'

const props = defineProps<{ step: SendStep; emails: string[] }>()
const emit = defineEmits<{ change: [step: SendStep] }>()

const store = useJourneyStore()
const { messages, saveMessage } = useLibrary()
const writing = ref(false)
const trouble = ref<string | null>(null)

const emailMessages = computed(() => messages.value.filter((one) => one.content.kind === 'email'))
const message = computed(() => messages.value.find((one) => one.id === props.step.message))

const uses = useQuery(() => questions.messageUses(props.step.message))
/** The other journeys that send the message. */
const others = computed(() => [
  ...new Set(
    (uses.data.value ?? [])
      .filter((use) => use.journey !== store.view?.id)
      .map((use) => `“${use.name}”`),
  ),
])

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
      <div class="flex items-end gap-1.5">
        <MessagePicker
          :value="step.message"
          :messages="emailMessages"
          @change="emit('change', { ...step, message: $event })"
        />
        <button type="button" class="button" :aria-expanded="writing" @click="writing = !writing">
          New
        </button>
        <RouterLink
          v-if="message"
          class="button"
          title="Its subject, its text, its links"
          :to="{ name: 'composer', params: { id: message.id } }"
          >Write it</RouterLink
        >
      </div>
      <p v-if="others.length" class="note mt-1">
        Sent in {{ others.join(', ') }}, too: what is changed here changes there.
      </p>
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
