<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { outdated, questions } from '@/api/queries'
import type { LinkDocument, TargetDocument } from '@/api/types'
import { useAttempt } from '@/api/useAttempt'
import { keepFile } from './keepFile'

/** Where a link leads, and what clicks on it are counted as. */
const props = defineProps<{ link: LinkDocument; named?: string }>()
const emit = defineEmits<{ change: [link: LinkDocument] }>()

const files = useQuery(questions.files())
const { failure, attempt } = useAttempt()
const KINDS: Record<TargetDocument['kind'], string> = {
  web: 'a web address',
  keptFile: 'a file',
  cart: 'their cart',
  choices: 'their choices',
  unsubscribe: 'unsubscribe',
}
const kind = computed(() => props.link.to?.kind ?? 'web')
const counted = computed(() => kind.value !== 'choices' && kind.value !== 'unsubscribe')

function lead(to: TargetDocument | null) {
  emit('change', { ...props.link, to })
}

function choose(event: Event) {
  const chosen = (event.target as HTMLSelectElement).value as TargetDocument['kind']
  if (chosen === 'web') lead({ kind: 'web', address: '' })
  else if (chosen === 'keptFile') {
    const first = files.data.value?.find((one) => one.width === null) ?? files.data.value?.[0]
    lead({ kind: 'keptFile', file: first?.name ?? 'file.pdf' })
  } else lead({ kind: chosen })
}

async function bring(file: File | undefined) {
  if (!file) return
  await attempt(async () => {
    const kept = await keepFile(file)
    await outdated('files')
    lead({ kind: 'keptFile', file: kept.name })
  })
}

/** Typed as people say it, an address gets what belongs before it. */
function complete(event: Event) {
  const typed = (event.target as HTMLInputElement).value.trim()
  const whole = typed && !/^[a-z][a-z0-9+.-]*:/i.test(typed) ? `https://${typed}` : typed
  lead(whole ? { kind: 'web', address: whole } : null)
}
</script>

<template>
  <div class="flex flex-wrap items-center gap-2" role="group" aria-label="Link">
    <label class="flex items-center gap-1.5"
      >leads to
      <select class="field w-auto!" :value="kind" @change="choose">
        <option v-for="(words, one) in KINDS" :key="one" :value="one">{{ words }}</option>
      </select></label
    >
    <input
      v-if="kind === 'web'"
      class="field w-60!"
      type="url"
      aria-label="Web address"
      placeholder="https://"
      maxlength="2000"
      :value="link.to?.kind === 'web' ? link.to.address : ''"
      @change="complete"
    />
    <select
      v-else-if="kind === 'keptFile'"
      class="field w-auto!"
      aria-label="File"
      :value="link.to?.kind === 'keptFile' ? link.to.file : ''"
      @change="lead({ kind: 'keptFile', file: ($event.target as HTMLSelectElement).value })"
    >
      <option v-for="file in files.data.value" :key="file.name" :value="file.name">
        {{ file.name }}
      </option>
    </select>
    <label v-if="kind === 'keptFile'" class="button button-small"
      >From this machine<input
        type="file"
        class="sr-only"
        aria-label="File from this machine"
        @change="bring(($event.target as HTMLInputElement).files?.[0])"
    /></label>
    <span v-if="failure" class="text-note text-clay" role="alert">{{ failure }}</span>
    <label v-if="counted" class="flex items-center gap-1.5"
      >counted as
      <input
        class="field w-40!"
        maxlength="80"
        :placeholder="named || 'its words'"
        :value="link.name ?? ''"
        @change="
          emit('change', {
            ...link,
            name: ($event.target as HTMLInputElement).value.trim() || null,
          })
        "
    /></label>
  </div>
</template>
