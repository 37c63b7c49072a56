<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import ChoiceBar from '@/ui/ChoiceBar.vue'
import { useTabTitle } from '@/ui/useTabTitle'
import { KINDS, SHOWN, type Shown } from './kinds'
import NameList from './NameList.vue'
import SegmentList from './SegmentList.vue'

/** The names that people, journeys and messages use, and the segments. */
const route = useRoute()
const router = useRouter()
const list = useTemplateRef<InstanceType<typeof NameList>>('list')
const shown = computed<Shown>({
  get: () => SHOWN.find((one) => one.key === route.query.kind)?.key ?? 'LIST',
  set: (kind) => void router.replace({ query: { kind } }),
})
const kind = computed(() => KINDS.find((one) => one.key === shown.value))

useTabTitle(() => 'Lists, tags and fields')
</script>

<template>
  <main class="flex flex-col gap-3 px-3 pb-3">
    <header class="flex shrink-0 items-center gap-3 px-1 pt-3">
      <h1 class="text-page">Lists, tags and fields</h1>
      <RouterLink class="button ml-auto" :to="{ name: 'people' }">Back to people</RouterLink>
      <button v-if="kind" type="button" class="button button-main" @click="list?.make()">
        New {{ kind.one }}
      </button>
      <RouterLink v-else class="button button-main" :to="{ name: 'people' }">
        New segment
      </RouterLink>
    </header>
    <ChoiceBar v-model="shown" label="What is shown" :choices="SHOWN" class="shrink-0" />
    <NameList v-if="kind" ref="list" :key="kind.key" :kind="kind.key" />
    <SegmentList v-else />
  </main>
</template>
