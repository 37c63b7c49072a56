<script setup lang="ts">
import { LineChart } from 'echarts/charts'
import { AriaComponent, GridComponent, TooltipComponent } from 'echarts/components'
import { use } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import { computed } from 'vue'
import VChart from 'vue-echarts'
import type { Column } from '@/api/types'
import { curveOptions } from './curves'

const props = defineProps<{ columns: Column[] }>()

use([LineChart, GridComponent, TooltipComponent, AriaComponent, SVGRenderer])

const options = computed(() => curveOptions(props.columns))
</script>

<template>
  <VChart :option="options" :init-options="{ renderer: 'svg' }" autoresize />
</template>
