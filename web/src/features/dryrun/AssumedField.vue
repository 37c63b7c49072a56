<script setup lang="ts">
import DraftInput from '@/ui/DraftInput.vue'
import type { Assumed } from '@/api/types'

/** An assumed value with its origin; shares are shown and typed in percent. */
const props = withDefaults(
  defineProps<{ assumed: Assumed; label: string; share?: boolean; step?: number }>(),
  { share: false, step: undefined },
)
const emit = defineEmits<{ change: [assumed: Assumed] }>()

const ORIGINS = { TYPICAL: 'typical', BY_HAND: 'by hand', MEASURED: 'measured' }
const factor = () => (props.share ? 100 : 1)
const shown = () => Number((props.assumed.value * factor()).toFixed(3))

function set(event: Event) {
  const typed = (event.target as HTMLInputElement).valueAsNumber
  if (Number.isFinite(typed) && typed !== shown()) {
    emit('change', { value: typed / factor(), origin: 'BY_HAND', measured: null })
  }
}
</script>

<template>
  <span class="inline-flex items-center gap-1">
    <DraftInput
      type="number"
      class="field figure min-h-6.5! w-17! px-1.5! text-right"
      min="0"
      :step="step ?? (share ? 0.1 : 'any')"
      :value="shown()"
      :aria-label="`${label}${share ? ', percent' : ''}`"
      :title="ORIGINS[assumed.origin]"
      @change="set"
    />
    <span v-if="share" class="text-ink2">%</span>
    <span class="w-12 text-tiny text-ink2">{{ ORIGINS[assumed.origin] }}</span>
  </span>
</template>
