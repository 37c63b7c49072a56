<script setup lang="ts">
import { LineChart } from 'echarts/charts'
import { AriaComponent, GridComponent, TooltipComponent } from 'echarts/components'
import { use } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import { computed } from 'vue'
import VChart from 'vue-echarts'
import type { Column } from '@/api/types'
import { percent } from '@/ui/figures'
import { curveOptions } from './curves'
import { RUN_LOOKS } from './palette'

const props = defineProps<{ columns: Column[] }>()

use([LineChart, GridComponent, TooltipComponent, AriaComponent, SVGRenderer])

const options = computed(() => curveOptions(props.columns))
</script>

<template>
  <div class="flex flex-col">
    <ul class="flex flex-wrap gap-x-5 gap-y-0.5 px-3 pt-2" aria-label="Goal met in the end">
      <li v-for="(column, i) in columns" :key="column.run.id" class="flex items-center gap-1.5">
        <svg viewBox="0 0 28 4" class="h-1 w-7" aria-hidden="true">
          <line
            x1="0"
            x2="28"
            y1="2"
            y2="2"
            stroke-width="2.5"
            :stroke="RUN_LOOKS[i]!.color"
            :stroke-dasharray="
              RUN_LOOKS[i]!.dash === 'solid' ? undefined : RUN_LOOKS[i]!.dash.join(' ')
            "
          />
        </svg>
        {{ column.name }}
        <b class="figure">{{ column.goal ? percent(column.goal.value, 1) : 'no goal' }}</b>
      </li>
    </ul>
    <VChart
      class="min-h-0 flex-1"
      :option="options"
      :init-options="{ renderer: 'svg' }"
      autoresize
    />
  </div>
</template>
