<script setup lang="ts">
import { ref } from 'vue'
import type { TryoutWho } from '@/api/types'

/** Who a journey is tried as. */
const props = defineProps<{ triggers: string[]; before: TryoutWho | null; busy: boolean }>()
const emit = defineEmits<{ begin: [who: TryoutWho] }>()

const firstName = ref(props.before?.firstName ?? 'Mira')
const lastName = ref(props.before?.lastName ?? 'Tolland')
const trigger = ref(props.before?.trigger ?? (props.triggers.length ? 0 : -1))
const texts = ref(props.before?.texts ?? true)
const lists = ref(props.before?.lists.join(', ') ?? '')
const tags = ref(props.before?.tags.join(', ') ?? '')

const named = (typed: string) =>
  typed
    .split(',')
    .map((one) => one.trim())
    .filter((one) => one)

function begin() {
  emit('begin', {
    firstName: firstName.value.trim(),
    lastName: lastName.value.trim(),
    trigger: trigger.value,
    texts: texts.value,
    lists: named(lists.value),
    tags: named(tags.value),
  })
}
</script>

<template>
  <form class="grid grid-cols-[auto_1fr] items-center gap-x-3 gap-y-2" @submit.prevent="begin">
    <label for="try-first">first name</label>
    <input id="try-first" v-model="firstName" class="field" maxlength="80" />
    <label for="try-last">last name</label>
    <input id="try-last" v-model="lastName" class="field" maxlength="80" />
    <label for="try-trigger">comes, since someone</label>
    <select id="try-trigger" v-model.number="trigger" class="field min-w-0">
      <option v-for="(one, n) in triggers" :key="n" :value="n">{{ one }}</option>
      <option :value="-1">puts them in by hand</option>
    </select>
    <label for="try-lists">is on lists</label>
    <input id="try-lists" v-model="lists" class="field" placeholder="none yet; commas between" />
    <label for="try-tags">carries tags</label>
    <input id="try-tags" v-model="tags" class="field" placeholder="none yet; commas between" />
    <label class="col-span-2 flex items-center gap-2">
      <input v-model="texts" type="checkbox" /> agreed to texts
    </label>
    <button type="submit" class="button button-main col-span-2 justify-self-start" :disabled="busy">
      Try it on yourself
    </button>
  </form>
</template>
