<script setup lang="ts">
import { useInfiniteQuery } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { faultsOf } from '@/api/client'
import { outdated, questions } from '@/api/queries'
import type { PeopleOrder, Whom } from '@/api/types'
import { count } from '@/ui/figures'
import Trouble from '@/ui/Trouble.vue'
import { useTabTitle } from '@/ui/useTabTitle'
import AddPerson from './AddPerson.vue'
import DoneLately from './DoneLately.vue'
import FindLine from './FindLine.vue'
import ManyBar from './ManyBar.vue'
import PeopleTable from './PeopleTable.vue'
import PersonPanel from './PersonPanel.vue'

/** The people of the account: found by a sentence, looked at one by one. */
const route = useRoute()
const router = useRouter()

/* The address names the sentence and the person, so that a reload comes back to them; what is
   searched for in names and addresses stands in no address. */
const sentence = computed({
  get: () => (typeof route.query.find === 'string' ? route.query.find : ''),
  set: (find) => void router.replace({ query: { ...route.query, find: find || undefined } }),
})
const chosen = computed({
  get: () => Number(route.query.person) || null,
  set: (person) => void router.replace({ query: { ...route.query, person: person ?? undefined } }),
})
const wanted = ref('')
const search = refDebounced(wanted, 150)
const order = ref<PeopleOrder>('NAME')
const adding = ref(false)

const list = useInfiniteQuery(() => questions.people(sentence.value, search.value, order.value))
const pages = computed(() => list.data.value?.pages ?? [])
const people = computed(() => pages.value.flatMap((page) => page.items))
const newest = computed(() => pages.value[0])
/* What is wrong with the sentence, its own line says. */
const trouble = computed(() => {
  const error = list.error.value
  return error ? faultsOf(error, ['find']).elsewhere : null
})

/** Those that are chosen; none means all that are found. */
const picked = ref(new Set<number>())
const whom = computed<Whom>(() => ({
  find: sentence.value,
  search: search.value,
  chosen: picked.value.size ? [...picked.value] : null,
}))
watch([sentence, search], () => (picked.value = new Set()))

function added(id: number) {
  adding.value = false
  chosen.value = id
  void outdated('people')
}

useTabTitle(() => 'People')
</script>

<template>
  <main class="flex flex-col gap-3 px-3 pb-3">
    <header class="flex shrink-0 items-center gap-3 px-1 pt-3">
      <h1 class="text-page">People</h1>
      <span v-if="newest" class="note"
        >{{ count(newest.everybody) }} · {{ count(newest.mailable) }} may be mailed</span
      >
      <input
        v-model="wanted"
        type="search"
        class="field ml-auto w-56!"
        aria-label="Search names and addresses"
        placeholder="Search names and addresses"
      />
      <select v-model="order" class="field w-36!" aria-label="Order">
        <option value="NAME">by name</option>
        <option value="ADDRESS">by address</option>
        <option value="NEWEST">newest first</option>
      </select>
      <RouterLink class="button" :to="{ name: 'health' }">Health</RouterLink>
      <RouterLink class="button" :to="{ name: 'names' }">Lists, tags and fields</RouterLink>
      <RouterLink class="button" :to="{ name: 'bring-in' }">Bring in a table</RouterLink>
      <button
        type="button"
        class="button button-main"
        :aria-expanded="adding"
        @click="adding = !adding"
      >
        Add someone
      </button>
    </header>
    <AddPerson v-if="adding" class="shrink-0" @added="added" @cancel="adding = false" />
    <FindLine v-model="sentence" class="shrink-0" :everybody="newest?.everybody ?? 0" />
    <Trouble v-if="trouble" :text="trouble" />
    <div class="flex min-h-0 flex-1 gap-3">
      <section
        v-if="newest && people.length"
        class="panel flex min-h-0 min-w-0 flex-1 flex-col overflow-hidden"
        aria-label="Those who are found"
      >
        <PeopleTable
          v-model:picked="picked"
          v-model:chosen="chosen"
          class="min-h-0 flex-1"
          :people="people"
          :total="newest.total"
          :more="list.hasNextPage.value"
          :busy="list.isFetchingNextPage.value"
          @more="list.fetchNextPage()"
        />
        <ManyBar
          :whom="whom"
          :found="newest.total"
          :chosen="picked.size"
          @clear="picked = new Set()"
          @done="picked = new Set()"
        >
          <span class="note ml-auto whitespace-nowrap">
            {{ count(people.length) }} of {{ count(newest.total) }} shown
          </span>
        </ManyBar>
        <DoneLately />
      </section>
      <section v-else-if="newest" class="panel flex flex-1 flex-col text-ink2">
        <p class="flex-1 p-6">
          <template v-if="newest.everybody === 0">
            Nobody is here yet.
            <RouterLink class="font-semibold text-ink underline" :to="{ name: 'bring-in' }"
              >Bring in a table</RouterLink
            >
            of addresses, or
            <button type="button" class="font-semibold text-ink underline" @click="adding = true">
              add someone</button
            >, and journeys have somebody to speak to.
          </template>
          <template v-else>Nobody is like that.</template>
        </p>
        <DoneLately />
      </section>
      <PersonPanel
        v-if="chosen"
        :id="chosen"
        :key="chosen"
        class="w-80 shrink-0 xl:w-96"
        @forgotten="chosen = null"
      />
    </div>
  </main>
</template>
