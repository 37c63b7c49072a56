<script setup lang="ts">
import { Switch } from '@headlessui/vue'
import { computed, ref } from 'vue'
import { answerOf, api } from '@/api/client'
import { outdated } from '@/api/queries'
import { lateSave } from '@/editing/lateSave'
import type { RuleMeant, RuleView } from '@/api/types'
import { useForm } from '@/api/useForm'
import Labelled from '@/ui/Labelled.vue'
import { count } from '@/ui/figures'
import { shortMoment } from '@/ui/moments'
import RuleSentence from './RuleSentence.vue'

/** A rule with its switch; opened, it can be changed. */
const props = defineProps<{ rule: RuleView }>()

const { wrong, failure, busy, send } = useForm('name')
/** As it was looked at, so that a change by somebody else is not lost. */
const edited = ref<{
  version: number
  name: string
  text: string
  meant: RuleMeant | null
} | null>(null)
const at = computed(() => ({ params: { path: { id: props.rule.id } } }))
const often = computed(() =>
  props.rule.lastAt
    ? `Acted ${count(props.rule.acted)} ${props.rule.acted === 1 ? 'time' : 'times'}, last ${shortMoment(props.rule.lastAt)}`
    : 'Has not acted yet',
)

function open() {
  const { version, name, typed } = props.rule
  edited.value = { version, name, text: typed, meant: null }
}

async function turn(on: boolean) {
  await send(async () => {
    await answerOf(
      on ? api.PUT('/api/rules/{id}/on', at.value) : api.DELETE('/api/rules/{id}/on', at.value),
    )
    await outdated('rules')
  })
}

async function save() {
  const now = edited.value
  if (!now) return
  const saved = await send(async () => {
    try {
      await answerOf(
        api.PUT('/api/rules/{id}', {
          ...at.value,
          body: { version: now.version, name: now.name, text: now.text },
        }),
      )
    } catch (reason) {
      throw lateSave(reason, (version) => (now.version = version))
    } finally {
      await outdated('rules')
    }
  })
  if (saved) edited.value = null
}

async function putAway() {
  await send(async () => {
    await answerOf(api.DELETE('/api/rules/{id}', at.value))
    await outdated('rules')
  })
}
</script>

<template>
  <li class="border-b border-line last:border-0" :aria-label="rule.name">
    <div class="grid grid-cols-[44px_minmax(0,1fr)_15rem_13rem] items-center gap-3 px-3 py-2">
      <Switch
        class="relative h-5 w-9 shrink-0 rounded-full transition-colors"
        :class="rule.on ? 'bg-vine' : 'bg-ink3'"
        :model-value="rule.on"
        :disabled="busy"
        :aria-label="`“${rule.name}” acts`"
        @update:model-value="turn"
      >
        <span
          class="absolute top-0.5 size-4 rounded-full bg-panel transition-[left]"
          :class="rule.on ? 'left-4.5' : 'left-0.5'"
        />
      </Switch>
      <div class="min-w-0">
        <p :class="{ 'text-ink2': !rule.on }">{{ rule.sentence }}.</p>
        <p class="note">{{ rule.name }}</p>
      </div>
      <p class="note">{{ often }}</p>
      <span class="flex justify-end gap-2">
        <button
          type="button"
          class="button button-small"
          :aria-expanded="edited !== null"
          @click="edited ? (edited = null) : open()"
        >
          {{ edited ? 'Leave as it was' : 'Change' }}
        </button>
        <button type="button" class="button button-small" :disabled="busy" @click="putAway">
          Put away
        </button>
      </span>
    </div>
    <form v-if="edited" class="grid gap-2 bg-sunk px-3 py-3" @submit.prevent="save">
      <RuleSentence v-model="edited.text" @meant="(now) => (edited!.meant = now)" />
      <div class="flex items-end gap-3">
        <Labelled
          :id="`rule-name-${rule.id}`"
          class="w-96"
          name="Name, as stories tell it"
          :wrong="wrong['name']"
        >
          <input :id="`rule-name-${rule.id}`" v-model="edited.name" class="field" maxlength="80" />
        </Labelled>
        <button class="button button-main" :disabled="busy || !edited.meant">Save</button>
        <span v-if="rule.on" class="note pb-2">It acts by what it says from then on.</span>
      </div>
    </form>
    <p v-if="failure" class="warning mx-3 mb-2" role="alert">{{ failure }}</p>
  </li>
</template>
