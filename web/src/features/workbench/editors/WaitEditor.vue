<script setup lang="ts">
import type { WaitStep } from '@/api/types'
import PartEditor from './PartEditor.vue'
import { part } from './shapes'

defineProps<{ step: WaitStep; emails: string[] }>()
const emit = defineEmits<{ change: [step: WaitStep] }>()
</script>

<template>
  <div class="flex flex-col gap-3">
    <div class="flex items-start gap-3">
      <span class="pt-1.5 text-ink2">Wait</span>
      <PartEditor
        :schema="part('WaitRule')"
        :value="step.rule"
        label="How to wait"
        :emails="emails"
        @change="emit('change', { ...step, rule: $event as WaitStep['rule'] })"
      />
    </div>
    <p class="note">
      Days and weeks keep the time on each person’s own clock; minutes and hours are exact.
    </p>
  </div>
</template>
