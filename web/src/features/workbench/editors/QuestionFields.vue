<script setup lang="ts">
import { computed } from 'vue'
import type { ConditionDocument } from '@/api/types'
import { findStep } from '../edits'
import { useJourneyStore } from '../journeyStore'
import NameField from './NameField.vue'

/** One simple question about a person. */
const props = defineProps<{ condition: ConditionDocument; emails: string[] }>()
const emit = defineEmits<{ change: [condition: ConditionDocument] }>()

const store = useJourneyStore()

const asksEmail = computed(() => props.emails.length > 0)
const links = computed(() => {
  if (props.condition.kind !== 'clicked') return []
  const send = store.journey && findStep(store.journey, props.condition.email)
  const message = send?.kind === 'send' ? send.message : null
  return store.messages.find((one) => one.id === message)?.links ?? []
})

function nameOf(email: string): string {
  const row = store.view?.sheet.rows.find((one) => one.id === email)
  return row?.sentence.spans.find((span) => span.strong)?.text ?? email
}

function setKind(event: Event) {
  const kind = (event.target as HTMLSelectElement).value as ConditionDocument['kind']
  const email = 'email' in props.condition ? props.condition.email : (props.emails.at(-1) ?? '')
  if (kind === 'opened') emit('change', { kind, email, peopleOnly: false })
  if (kind === 'clicked') emit('change', { kind, email, link: null })
  if (kind === 'hasTag') emit('change', { kind, tag: 'new tag' })
  if (kind === 'onList') emit('change', { kind, list: 'new list' })
}

function setEmail(event: Event) {
  const email = (event.target as HTMLSelectElement).value
  if (props.condition.kind === 'opened') emit('change', { ...props.condition, email })
  if (props.condition.kind === 'clicked') emit('change', { ...props.condition, email, link: null })
}
</script>

<template>
  <span class="inline-flex flex-wrap items-center gap-1.5">
    <select class="field w-28!" :value="condition.kind" aria-label="Question" @change="setKind">
      <option v-if="asksEmail || condition.kind === 'opened'" value="opened">opened</option>
      <option v-if="asksEmail || condition.kind === 'clicked'" value="clicked">clicked</option>
      <option value="hasTag">have tag</option>
      <option value="onList">are on list</option>
    </select>
    <template v-if="condition.kind === 'opened' || condition.kind === 'clicked'">
      <select class="field w-52!" :value="condition.email" aria-label="Email" @change="setEmail">
        <option v-if="!emails.includes(condition.email)" :value="condition.email">
          {{ nameOf(condition.email) }} (not sent before)
        </option>
        <option v-for="email in emails" :key="email" :value="email">{{ nameOf(email) }}</option>
      </select>
      <label v-if="condition.kind === 'opened'" class="flex items-center gap-1.5">
        <input
          type="checkbox"
          :checked="condition.peopleOnly"
          @change="
            emit('change', {
              ...condition,
              peopleOnly: ($event.target as HTMLInputElement).checked,
            })
          "
        />
        by people only
      </label>
      <select
        v-else
        class="field w-36!"
        :value="condition.link ?? ''"
        aria-label="Link"
        @change="
          emit('change', {
            ...condition,
            link: ($event.target as HTMLSelectElement).value || null,
          })
        "
      >
        <option value="">any link</option>
        <option v-for="link in links" :key="link" :value="link">{{ link }}</option>
      </select>
    </template>
    <NameField
      v-else-if="condition.kind === 'hasTag'"
      what="tag"
      :value="condition.tag"
      @change="emit('change', { kind: 'hasTag', tag: $event })"
    />
    <NameField
      v-else-if="condition.kind === 'onList'"
      what="list"
      :value="condition.list"
      @change="emit('change', { kind: 'onList', list: $event })"
    />
  </span>
</template>
