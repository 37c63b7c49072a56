<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed } from 'vue'
import { answerOf, api, reasonOf } from '@/api/client'
import { outdated, questions } from '@/api/queries'
import type { HouseStyleDocument, HouseStyleView } from '@/api/types'
import { useKeptDraft } from '@/editing/useKeptDraft'
import Labelled from '@/ui/Labelled.vue'
import { useTabTitle } from '@/ui/useTabTitle'
import FileField from '../composer/FileField.vue'
import StyleSample from './StyleSample.vue'

/** How all messages and pages look; the contrast is told while colours are chosen. */
const { data: seen, error } = useQuery(questions.houseStyle())
const asKept = (is: HouseStyleView) => ({ document: is.style, version: is.version })
const { given, changed, save, undo, failure, busy } = useKeptDraft<HouseStyleDocument>({
  kept: computed(() => seen.value && asKept(seen.value)),
  place: 'house-style',
  put: async ({ document, version }) =>
    asKept(await answerOf(api.PUT('/api/house-style', { body: { style: document, version } }))),
  lookAnew: () => Promise.all([outdated('house-style'), outdated('message')]),
})

const asked = refDebounced(
  computed(() => (given.value ? JSON.stringify(given.value) : null)),
  80,
)
const look = useQuery(
  computed(() => ({
    ...questions.houseStyleLook(JSON.parse(asked.value ?? 'null') as HouseStyleDocument),
    enabled: asked.value !== null,
  })),
)
const told = computed(() => look.data.value?.told ?? [])

const COLOURS = [
  { key: 'ground', name: 'Ground' },
  { key: 'paper', name: 'Paper' },
  { key: 'ink', name: 'Text' },
  { key: 'link', name: 'Links' },
  { key: 'button', name: 'Buttons' },
  { key: 'buttonInk', name: 'Words on buttons' },
] as const
const SHAPES = [
  { key: 'SQUARE', name: 'square' },
  { key: 'SOFT', name: 'soft' },
  { key: 'ROUND', name: 'round' },
] as const

function addLink() {
  given.value!.social.push({ words: '', link: { to: { kind: 'web', address: '' }, name: null } })
}

useTabTitle(() => 'House style')
</script>

<template>
  <main class="flex min-h-0 flex-col px-4 pb-3">
    <header class="flex items-center gap-3 pt-3 pb-3">
      <h1 class="text-page">House style</h1>
      <span class="note">every message and page follows it</span>
      <span class="note ml-auto" role="status">{{
        changed ? 'Not saved yet' : given ? 'Saved' : ''
      }}</span>
      <button v-if="changed && seen" type="button" class="button" :disabled="busy" @click="undo">
        Undo
      </button>
      <button type="button" class="button button-main" :disabled="busy || !changed" @click="save">
        Save
      </button>
    </header>
    <p v-if="error" class="warning mb-2" role="alert">{{ reasonOf(error) }}</p>
    <p v-if="failure" class="warning mb-2" role="alert">
      {{ failure }}
    </p>
    <div v-if="given && seen" class="grid min-h-0 flex-1 grid-cols-[minmax(400px,42%)_1fr] gap-3">
      <div
        class="panel grid content-start gap-4 overflow-y-auto p-4"
        tabindex="0"
        role="group"
        aria-label="House style"
      >
        <div class="grid grid-cols-2 gap-3 xl:grid-cols-3">
          <label v-for="one in COLOURS" :key="one.key" class="grid gap-1"
            ><span class="label mb-0!">{{ one.name }}</span>
            <span class="flex items-center gap-2"
              ><input
                v-model="given.colours[one.key]"
                type="color"
                class="h-7.5 w-10 shrink-0 rounded-md border border-line bg-panel"
                :aria-label="`${one.name}: colour`" /><input
                v-model.lazy="given.colours[one.key]"
                class="field figure"
                maxlength="7"
                :aria-label="`${one.name}: number`" /></span
          ></label>
        </div>
        <ul class="grid gap-0.5" aria-label="Contrast">
          <li
            v-for="one in told"
            :key="one.what"
            :class="one.enough ? 'note' : 'font-semibold text-clay'"
          >
            {{ one.sentence }}
          </li>
        </ul>
        <div class="grid grid-cols-2 gap-3">
          <Labelled id="typeface" name="Type" hint="Only what mail programs have.">
            <select id="typeface" v-model="given.typeface" class="field">
              <option
                v-for="one in seen.typefaces"
                :key="one.name"
                :value="one.name"
                :style="{ fontFamily: one.families }"
              >
                {{ one.words }}
              </option>
            </select>
          </Labelled>
          <Labelled id="shape" name="Buttons">
            <select id="shape" v-model="given.shape" class="field">
              <option v-for="one in SHAPES" :key="one.key" :value="one.key">{{ one.name }}</option>
            </select>
          </Labelled>
          <Labelled id="size" name="Size of the text">
            <span class="flex items-center gap-2"
              ><input
                id="size"
                v-model.number="given.size"
                type="range"
                class="accent-vine"
                min="13"
                max="22"
              /><span class="figure whitespace-nowrap">{{ given.size }} px</span></span
            >
          </Labelled>
          <Labelled id="width" name="Width of the letter">
            <span class="flex items-center gap-2"
              ><input
                id="width"
                v-model.number="given.width"
                type="range"
                class="accent-vine"
                min="420"
                max="720"
                step="10"
              /><span class="figure whitespace-nowrap">{{ given.width }} px</span></span
            >
          </Labelled>
        </div>
        <div>
          <span class="label">Logo</span>
          <FileField :file="given.logo" @change="(file) => (given!.logo = file)" />
          <label class="mt-2 flex items-center gap-2"
            ><span class="whitespace-nowrap text-ink2">its words</span>
            <input v-model="given.logoWords" class="field" maxlength="200"
          /></label>
          <button
            v-if="given.logo"
            type="button"
            class="button button-small mt-2"
            @click="given.logo = null"
          >
            Without a logo
          </button>
        </div>
        <Labelled
          id="why"
          name="Why they get this"
          hint="Stands in every footer, with the address of the account, their choices and unsubscribe."
        >
          <input id="why" v-model="given.why" class="field" maxlength="300" />
        </Labelled>
        <div>
          <span class="label">Where else one can be found</span>
          <p v-for="(one, i) in given.social" :key="i" class="mb-1.5 flex items-center gap-2">
            <input
              v-model="one.words"
              class="field w-36!"
              maxlength="80"
              :aria-label="`Link ${i + 1}: words`"
            />
            <input
              class="field"
              type="url"
              maxlength="2000"
              :aria-label="`Link ${i + 1}: address`"
              :value="one.link.to?.kind === 'web' ? one.link.to.address : ''"
              @change="
                one.link.to = { kind: 'web', address: ($event.target as HTMLInputElement).value }
              "
            />
            <button
              type="button"
              class="button button-small"
              :aria-label="`Remove link ${i + 1}`"
              @click="given.social.splice(i, 1)"
            >
              ×
            </button>
          </p>
          <button
            type="button"
            class="button button-small"
            :disabled="given.social.length >= 8"
            @click="addLink"
          >
            Add a link
          </button>
        </div>
      </div>
      <StyleSample :style-of="given" />
    </div>
  </main>
</template>
