<script setup lang="ts">
import { computed, onMounted, ref, useTemplateRef } from 'vue'
import { answerOf, api } from '@/api/client'
import { outdated } from '@/api/queries'
import type { NameEdit, NameView } from '@/api/types'
import { useForm } from '@/api/useForm'
import { count } from '@/ui/figures'
import GoneForGood from '@/ui/GoneForGood.vue'
import Labelled from '@/ui/Labelled.vue'
import Trouble from '@/ui/Trouble.vue'
import { KINDS, TYPES } from './kinds'
import UseList from './UseList.vue'

/** One name: what it is for, what it is called everywhere, and what becomes of it. */
const props = defineProps<{
  id: number | null
  given: NameEdit
  view: NameView | null
  others: NameView[]
}>()
const emit = defineEmits<{ saved: [name: NameView | null]; cancel: [] }>()

const edit = ref<NameEdit>({ ...props.given, choices: [...props.given.choices] })
const choices = ref(props.given.choices.join('\n'))
const price = ref(props.given.priceCents === null ? '' : (props.given.priceCents / 100).toFixed(2))
const { wrong, failure, busy, send } = useForm(
  'name',
  'fieldType',
  'choices',
  'category',
  'priceCents',
)
const merging = ref(false)
const into = ref<number | null>(null)
const first = useTemplateRef<HTMLInputElement>('first')
onMounted(() => {
  if (props.id === null) first.value?.focus()
})

const words = computed(() => KINDS.find((one) => one.key === edit.value.kind)!)
const tags = computed(() => props.others.filter((one) => one.id !== null && one.id !== props.id))
const renamed = computed(() => props.view && edit.value.name.trim() !== props.view.name)
const becomes = computed(() => {
  if (!renamed.value) return undefined
  return props.view?.usedBy.length
    ? 'Will be called so everywhere, also in what uses it below.'
    : 'Will be called so everywhere.'
})

/** What is written as its price; nothing where nothing is. */
const cents = computed(() =>
  price.value.trim() === '' ? null : Math.round(Number(price.value.replace(',', '.')) * 100),
)
const unpriced = ref(false)

function asWritten(): NameEdit {
  return {
    ...edit.value,
    about: edit.value.about?.trim() || null,
    group: edit.value.group?.trim() || null,
    category: edit.value.category?.trim() || null,
    choices: choices.value
      .split('\n')
      .map((one) => one.trim())
      .filter(Boolean),
    priceCents: cents.value,
  }
}

/** Does it, and tells whatever shows names; what it has become is what the work returns. */
const keep = (work: () => Promise<NameView | null>) =>
  send(async () => {
    const name = await work()
    await Promise.all([outdated('people'), outdated('journeys'), outdated('library')])
    emit('saved', name)
  })

async function save() {
  unpriced.value = Number.isNaN(cents.value)
  if (unpriced.value) return
  await keep(() =>
    answerOf(
      props.id === null
        ? api.POST('/api/names', { body: asWritten() })
        : api.PUT('/api/names/{id}', { params: { path: { id: props.id } }, body: asWritten() }),
    ),
  )
}

const remove = () =>
  keep(async () => {
    await answerOf(api.DELETE('/api/names/{id}', { params: { path: { id: props.id! } } }))
    return null
  })

const merge = () =>
  keep(() =>
    answerOf(
      api.POST('/api/names/{id}/merges', {
        params: { path: { id: props.id! } },
        body: { into: into.value! },
      }),
    ),
  )
</script>

<template>
  <form
    class="panel flex min-h-0 flex-col gap-2.5 overflow-y-auto px-3 py-2.5"
    :aria-label="id === null ? `New ${words.one}` : `This ${words.one}`"
    novalidate
    @submit.prevent="save"
    @keydown.esc="emit('cancel')"
  >
    <h2 class="text-lead font-bold">
      {{ id === null ? `New ${words.one}` : `${words.title} ${view?.name ?? ''}` }}
    </h2>
    <Labelled id="name-name" v-slot="{ described }" name="Name" :wrong="wrong.name" :hint="becomes">
      <input
        id="name-name"
        ref="first"
        v-model="edit.name"
        class="field"
        maxlength="80"
        :placeholder="words.hint"
        :aria-invalid="!!wrong.name"
        :aria-describedby="described"
      />
    </Labelled>
    <Labelled id="name-about" name="What it is for">
      <textarea id="name-about" v-model="edit.about" class="field" rows="2" maxlength="400" />
    </Labelled>
    <Labelled v-if="edit.kind === 'TAG'" id="name-group" name="Group">
      <input id="name-group" v-model="edit.group" class="field" maxlength="80" />
    </Labelled>
    <template v-if="edit.kind === 'FIELD'">
      <Labelled id="name-type" v-slot="{ described }" name="Holds" :wrong="wrong.fieldType">
        <select
          id="name-type"
          v-model="edit.fieldType"
          class="field"
          :aria-invalid="!!wrong.fieldType"
          :aria-describedby="described"
        >
          <option :value="null">what it is first filled with</option>
          <option v-for="(name, type) in TYPES" :key="type" :value="type">{{ name }}</option>
        </select>
      </Labelled>
      <Labelled
        v-if="edit.fieldType === 'ONE_OF'"
        id="name-choices"
        v-slot="{ described }"
        name="What may be chosen, a line each"
        :wrong="wrong.choices"
      >
        <textarea
          id="name-choices"
          v-model="choices"
          class="field"
          rows="4"
          :aria-invalid="!!wrong.choices"
          :aria-describedby="described"
        />
      </Labelled>
    </template>
    <div v-if="edit.kind === 'PRODUCT'" class="grid grid-cols-2 gap-2">
      <Labelled id="name-category" name="Category" :wrong="wrong.category">
        <input id="name-category" v-model="edit.category" class="field" maxlength="80" />
      </Labelled>
      <Labelled
        id="name-price"
        v-slot="{ described }"
        name="Price"
        :wrong="unpriced ? 'A price is a number, such as 12.50.' : wrong.priceCents"
      >
        <input
          id="name-price"
          v-model="price"
          class="field"
          inputmode="decimal"
          :aria-invalid="unpriced || !!wrong.priceCents"
          :aria-describedby="described"
        />
      </Labelled>
    </div>
    <Trouble v-if="failure" :text="failure" />
    <div class="flex gap-2">
      <button type="submit" class="button button-main" :disabled="busy">
        {{ id === null ? 'Make it' : renamed ? 'Rename everywhere' : 'Save' }}
      </button>
      <button type="button" class="button" @click="emit('cancel')">Cancel</button>
    </div>
    <template v-if="id !== null && view">
      <p v-if="view.found" class="flex items-center gap-2">
        <span
          ><b class="figure">{{ count(view.people) }}</b> {{ words.whose(view.people) }}</span
        >
        <RouterLink
          class="button button-small ml-auto"
          :to="{ name: 'people', query: { find: view.found } }"
          >Show them</RouterLink
        >
      </p>
      <UseList :uses="view.usedBy" />
      <div v-if="merging" class="mt-auto rounded-lg bg-sunk px-3 py-2">
        <label class="label" for="name-into"
          >Whoever carries {{ view.name }}, and whatever names it, has this instead:</label
        >
        <select id="name-into" v-model="into" class="field">
          <option v-for="one in tags" :key="one.id!" :value="one.id">{{ one.name }}</option>
        </select>
        <p class="mt-2 flex gap-2">
          <button
            type="button"
            class="button button-small"
            :disabled="busy || into === null"
            @click="merge"
          >
            Make one of them
          </button>
          <button type="button" class="button button-small" @click="merging = false">Cancel</button>
        </p>
      </div>
      <GoneForGood
        v-else
        ask="Delete…"
        :does="`Delete ${view.name}`"
        keeps="Keep it"
        :busy="busy"
        @sure="remove"
      >
        <button
          v-if="view.kind === 'TAG' && tags.length"
          type="button"
          class="underline"
          @click="merging = true"
        >
          Merge with another tag…
        </button>
        <template #consequences
          ><span v-for="one in view.deleting" :key="one" class="block">{{ one }}</span></template
        >
      </GoneForGood>
    </template>
  </form>
</template>
