<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, useTemplateRef } from 'vue'
import { outdated, questions } from '@/api/queries'
import { useAttempt } from '@/api/useAttempt'
import { fileSize } from '@/ui/figures'
import { keepFile, replaceFile } from './keepFile'

/** A picture of the account: chosen, or dropped or picked from this machine. */
const props = defineProps<{ file: string | null }>()
const emit = defineEmits<{ change: [file: string] }>()

const files = useQuery(questions.files())
const pictures = computed(() => (files.data.value ?? []).filter((one) => one.width !== null))
const shown = computed(() => pictures.value.find((one) => one.name === props.file) ?? null)
const picker = useTemplateRef<HTMLInputElement>('picker')
const over = ref(false)
const replacing = ref(false)
const { failure, busy, attempt } = useAttempt()

function pick(instead: boolean) {
  replacing.value = instead
  picker.value?.click()
}

/** Keeps it; instead of the one that is there, wherever that is shown, only if that was asked for. */
async function take(given: File | undefined, instead: boolean) {
  over.value = false
  if (!given) return
  const name = instead && props.file ? props.file : null
  await attempt(async () => {
    const kept = name ? await replaceFile(name, given) : await keepFile(given)
    await outdated('files')
    emit('change', kept.name)
  })
}

function chosen(event: Event) {
  const field = event.target as HTMLInputElement
  void take(field.files?.[0], replacing.value)
  // The same file can be chosen once more.
  field.value = ''
}
</script>

<template>
  <div
    class="flex flex-wrap items-center gap-x-3 gap-y-2 rounded-md border border-dashed border-line p-2"
    :class="{ 'border-marigold! bg-marigold-soft': over }"
    @dragover.prevent="over = true"
    @dragleave="over = false"
    @drop.prevent="take($event.dataTransfer?.files[0], false)"
  >
    <img v-if="shown" :src="shown.address" alt="" class="h-12 max-w-40 rounded-sm object-contain" />
    <div class="min-w-50 flex-1">
      <select
        class="field"
        aria-label="Picture"
        :value="file ?? ''"
        @change="emit('change', ($event.target as HTMLSelectElement).value)"
      >
        <option value="" disabled>choose a picture</option>
        <option v-if="file && !shown" :value="file">{{ file }} (is not there)</option>
        <option v-for="one in pictures" :key="one.name" :value="one.name">{{ one.name }}</option>
      </select>
      <p v-if="failure" class="mt-0.5 text-note text-clay" role="alert">{{ failure }}</p>
      <p v-else class="note mt-0.5">
        <template v-if="shown"
          >{{ shown.width }} × {{ shown.height }} · {{ fileSize(shown.bytes) }}</template
        >
        <template v-else>or drop one here</template>
      </p>
    </div>
    <button type="button" class="button button-small" :disabled="busy" @click="pick(false)">
      From this machine
    </button>
    <button
      v-if="shown"
      type="button"
      class="button button-small"
      title="Another picture in its place, wherever it is shown"
      :disabled="busy"
      @click="pick(true)"
    >
      Replace everywhere
    </button>
    <input
      ref="picker"
      type="file"
      class="hidden"
      accept="image/png,image/jpeg,image/gif"
      aria-label="Picture from this machine"
      @change="chosen"
    />
  </div>
</template>
