<script setup lang="ts">
import { onMounted, useTemplateRef } from 'vue'
import { SHEET_KEYS } from './sheetKeys'

/** The keys of the run sheet, beside it and not over it. */
const emit = defineEmits<{ close: [] }>()
const close = useTemplateRef<HTMLButtonElement>('close')
onMounted(() => close.value?.focus())
const groups = ['Write', 'Move', 'Copy', 'See'] as const
</script>

<template>
  <section
    class="panel flex min-h-0 flex-col"
    aria-labelledby="key-help"
    @keydown.esc="emit('close')"
  >
    <div class="panel-head">
      <h2 id="key-help">Keys</h2>
      <button
        ref="close"
        type="button"
        class="button button-small ml-auto"
        title="Close (Esc)"
        @click="emit('close')"
      >
        Close
      </button>
    </div>
    <div class="grid grid-cols-2 content-start gap-x-8 gap-y-3 overflow-y-auto p-4" tabindex="0">
      <div v-for="group in groups" :key="group">
        <h3 class="mb-1 font-semibold">{{ group }}</h3>
        <dl class="grid grid-cols-[130px_1fr] gap-y-0.5">
          <template v-for="key in SHEET_KEYS.filter((one) => one.group === group)" :key="key.keys">
            <dt>
              <kbd>{{ key.keys }}</kbd>
            </dt>
            <dd>{{ key.does }}</dd>
          </template>
        </dl>
      </div>
    </div>
  </section>
</template>
