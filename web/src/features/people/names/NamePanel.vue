<script setup lang="ts">
import { computed, onMounted, ref, useTemplateRef } from 'vue'
import { answerOf, api, faultsOf, reasonOf } from '@/api/client'
import { outdated } from '@/api/queries'
import type { NameEdit, NameView } from '@/api/types'
import { count } from '@/ui/figures'
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
const wrong = ref<Record<string, string>>({})
const failure = ref<string | null>(null)
const busy = ref(false)
const asks = ref<'delete' | 'merge' | null>(null)
const into = ref<number | null>(null)
const first = useTemplateRef<HTMLInputElement>('first')
onMounted(() => {
  if (props.id === null) first.value?.focus()
})

const words = computed(() => KINDS.find((one) => one.key === edit.value.kind)!)
const tags = computed(() => props.others.filter((one) => one.id !== null && one.id !== props.id))
const renamed = computed(() => props.view && edit.value.name.trim() !== props.view.name)

function asWritten(): NameEdit {
  const cents = Math.round(Number(price.value.replace(',', '.')) * 100)
  return {
    ...edit.value,
    about: edit.value.about?.trim() || null,
    group: edit.value.group?.trim() || null,
    category: edit.value.category?.trim() || null,
    choices: choices.value
      .split('\n')
      .map((one) => one.trim())
      .filter(Boolean),
    priceCents: price.value.trim() === '' || Number.isNaN(cents) ? null : cents,
  }
}

async function attempt(work: () => Promise<NameView | null>) {
  busy.value = true
  wrong.value = {}
  failure.value = null
  try {
    const name = await work()
    await outdated('people')
    await outdated('journeys')
    await outdated('library')
    emit('saved', name)
  } catch (reason) {
    wrong.value = faultsOf(reason)
    if (Object.keys(wrong.value).length === 0) failure.value = reasonOf(reason)
  } finally {
    busy.value = false
  }
}

const save = () =>
  attempt(() =>
    answerOf(
      props.id === null
        ? api.POST('/api/names', { body: asWritten() })
        : api.PUT('/api/names/{id}', { params: { path: { id: props.id } }, body: asWritten() }),
    ),
  )

const remove = () =>
  attempt(async () => {
    await answerOf(api.DELETE('/api/names/{id}', { params: { path: { id: props.id! } } }))
    return null
  })

const merge = () =>
  attempt(() =>
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
    <div>
      <label class="label" for="name-name">Name</label>
      <input
        id="name-name"
        ref="first"
        v-model="edit.name"
        class="field"
        maxlength="80"
        :placeholder="words.hint"
        :aria-invalid="!!wrong.name"
      />
      <p v-if="wrong.name" class="mt-0.5 text-note text-clay" role="alert">{{ wrong.name }}</p>
      <p v-else-if="renamed && view" class="note mt-0.5">
        {{
          view.usedBy.length
            ? 'Will be called so everywhere, also in what uses it below.'
            : 'Will be called so everywhere.'
        }}
      </p>
    </div>
    <div>
      <label class="label" for="name-about">What it is for</label>
      <textarea id="name-about" v-model="edit.about" class="field" rows="2" maxlength="400" />
    </div>
    <div v-if="edit.kind === 'TAG'">
      <label class="label" for="name-group">Group</label>
      <input id="name-group" v-model="edit.group" class="field" maxlength="80" />
    </div>
    <template v-if="edit.kind === 'FIELD'">
      <div>
        <label class="label" for="name-type">Holds</label>
        <select
          id="name-type"
          v-model="edit.fieldType"
          class="field"
          :aria-invalid="!!wrong.fieldType"
        >
          <option :value="null">what it is first filled with</option>
          <option v-for="(name, type) in TYPES" :key="type" :value="type">{{ name }}</option>
        </select>
        <p v-if="wrong.fieldType" class="mt-0.5 text-note text-clay" role="alert">
          {{ wrong.fieldType }}
        </p>
      </div>
      <div v-if="edit.fieldType === 'ONE_OF'">
        <label class="label" for="name-choices">What may be chosen, a line each</label>
        <textarea
          id="name-choices"
          v-model="choices"
          class="field"
          rows="4"
          :aria-invalid="!!wrong.choices"
        />
        <p v-if="wrong.choices" class="mt-0.5 text-note text-clay" role="alert">
          {{ wrong.choices }}
        </p>
      </div>
    </template>
    <div v-if="edit.kind === 'PRODUCT'" class="grid grid-cols-2 gap-2">
      <div>
        <label class="label" for="name-category">Category</label>
        <input id="name-category" v-model="edit.category" class="field" maxlength="80" />
      </div>
      <div>
        <label class="label" for="name-price">Price</label>
        <input id="name-price" v-model="price" class="field" inputmode="decimal" />
      </div>
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
      <div
        v-if="asks === 'delete'"
        class="warning mt-auto"
        role="alertdialog"
        aria-labelledby="deleting"
      >
        <p id="deleting">
          <span v-for="one in view.deleting" :key="one" class="block">{{ one }}</span>
          This cannot be taken back.
        </p>
        <p class="mt-2 flex gap-2">
          <button type="button" class="button button-small" :disabled="busy" @click="remove">
            Delete {{ view.name }}
          </button>
          <button type="button" class="button button-small" @click="asks = null">Keep it</button>
        </p>
      </div>
      <div v-else-if="asks === 'merge'" class="mt-auto rounded-lg bg-sunk px-3 py-2">
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
          <button type="button" class="button button-small" @click="asks = null">Cancel</button>
        </p>
      </div>
      <p v-else class="note mt-auto flex gap-3">
        <button
          v-if="view.kind === 'TAG' && tags.length"
          type="button"
          class="underline"
          @click="asks = 'merge'"
        >
          Merge with another tag…
        </button>
        <button type="button" class="underline" @click="asks = 'delete'">Delete…</button>
      </p>
    </template>
  </form>
</template>
