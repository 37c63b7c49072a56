<script setup lang="ts">
import { storeToRefs } from 'pinia'
import { computed, ref, watch } from 'vue'
import { fullMoment, shortMoment } from '@/ui/moments'
import { useJourneyStore } from '@/features/workbench/journeyStore'
import Trellis from '@/trellis/Trellis.vue'
import { useTabTitle } from '@/ui/useTabTitle'
import DraftSign from '@/features/workbench/DraftSign.vue'
import Trouble from '@/ui/Trouble.vue'
import type { TryoutWho } from '@/api/types'
import TryoutMailView from './TryoutMailView.vue'
import { useTryout } from './useTryout'
import WhoTries from './WhoTries.vue'

/** A journey tried on oneself: a private run of it as it is saved, which counts nowhere. */
const props = defineProps<{ id: number }>()
const store = useJourneyStore()
const { view: saved, journey, loadFailure } = storeToRefs(store)
watch(
  () => props.id,
  (id) => store.open(id),
  { immediate: true },
)
const { view, run, mail, chosen, failure, busy, begin, act, end } = useTryout(() => props.id)

/** Whether one begins anew, as somebody else perhaps. */
const anew = ref(false)
const product = ref<string | null>(null)
const standing = computed(() => (run.value?.at ? new Map([[run.value.at, 1]]) : null))

async function start(who: TryoutWho) {
  if (await begin(who)) anew.value = false
}

useTabTitle(() => journey.value && `${journey.value.name}: tried on yourself`)
</script>

<template>
  <main class="flex flex-col">
    <Trouble v-if="loadFailure" class="m-4" :text="loadFailure" />
    <template v-if="journey && saved && view">
      <header class="flex shrink-0 items-center gap-2 px-4 pt-2.5 pb-2">
        <h1 class="text-page">{{ journey.name }}: tried on yourself</h1>
        <DraftSign class="ml-2" :journey="saved" />
        <RouterLink class="button ml-auto" :to="{ name: 'workbench', params: { id } }"
          >Back to the workbench</RouterLink
        >
      </header>
      <Trouble v-if="failure" class="mx-3 mb-2" :text="failure" />
      <div v-if="!run || anew" class="px-3 pb-3">
        <section class="panel max-w-xl px-4 py-3" aria-labelledby="who">
          <h2 id="who" class="font-semibold">Who are you?</h2>
          <p class="mt-1 mb-3 text-ink2">
            You go through the journey as it is saved, by yourself, with a clock of your own. You
            read its messages, click, buy or leave. Nothing of it counts anywhere, no mail leaves,
            and you can throw it away.
          </p>
          <WhoTries
            :triggers="view.triggers"
            :before="run?.who ?? null"
            :busy="busy"
            @begin="start"
          />
          <button v-if="run" type="button" class="button button-small mt-3" @click="anew = false">
            Go on as before
          </button>
        </section>
      </div>
      <div
        v-else
        class="grid min-h-0 flex-1 grid-cols-[minmax(330px,31%)_1fr] grid-rows-[minmax(0,1fr)_minmax(0,1.7fr)] gap-3 px-3 pb-3"
      >
        <section class="panel row-span-2 flex min-h-0 flex-col" aria-labelledby="you">
          <div class="panel-head">
            <h2 id="you">
              {{ `${run.who.firstName} ${run.who.lastName}`.trim() || 'Somebody' }}
            </h2>
            <span class="ml-auto flex gap-1.5">
              <button type="button" class="button button-small" @click="anew = true">
                Start over
              </button>
              <button type="button" class="button button-small" :disabled="busy" @click="end">
                Throw it away
              </button>
            </span>
          </div>
          <div class="border-b border-line2 px-3 py-2">
            <p>
              <b>{{ fullMoment(run.now) }}</b>
            </p>
            <p class="text-ink2" role="status">
              {{
                run.over
                  ? 'Your journey is over.'
                  : run.waits
                    ? `You are at “${run.why}”.`
                    : 'You are on your way.'
              }}
              <template v-if="run.carries.length">
                You are on or carry {{ run.carries.join(', ') }}.
              </template>
            </p>
            <p v-if="run.outdated" class="mt-1 text-clay">
              The journey was saved since. Start over to try it as it is now.
            </p>
            <div class="mt-2 flex flex-wrap gap-1.5">
              <button
                type="button"
                class="button button-small button-main"
                :disabled="busy || run.next === null"
                @click="act('WAIT')"
              >
                {{
                  run.next === null ? 'Nothing more is due' : `Go on to ${shortMoment(run.next)}`
                }}
              </button>
              <button
                type="button"
                class="button button-small"
                :disabled="busy || !run.waits"
                @click="act('SKIP_WAIT')"
              >
                Skip the wait
              </button>
              <button
                type="button"
                class="button button-small"
                :disabled="busy || run.done < 2"
                @click="act('UNDO')"
              >
                Undo
              </button>
            </div>
            <form
              v-if="view.products.length"
              class="mt-2 flex gap-1.5"
              @submit.prevent="act('BUY', { product: product ?? view.products[0]! })"
            >
              <label class="sr-only" for="try-buy">what you buy</label>
              <select id="try-buy" v-model="product" class="field min-w-0 flex-1">
                <option :value="null">{{ view.products[0] }}</option>
                <option v-for="one in view.products.slice(1)" :key="one" :value="one">
                  {{ one }}
                </option>
              </select>
              <button type="submit" class="button button-small" :disabled="busy">Buy it</button>
            </form>
          </div>
          <ol
            class="min-h-0 flex-1 overflow-y-auto"
            tabindex="0"
            aria-label="What happened, the last first"
          >
            <li
              v-for="(line, n) in run.happened"
              :key="run.happened.length - n"
              class="flex gap-3 border-b border-line2 px-3 py-1.5"
            >
              <span class="figure note w-24 shrink-0">{{ shortMoment(line.at) }}</span>
              <span>{{ line.sentence }}</span>
            </li>
          </ol>
        </section>
        <section class="panel flex min-h-0 min-w-0 flex-col" aria-labelledby="trellis">
          <div class="panel-head">
            <h2 id="trellis">Trellis</h2>
            <span class="note">the way you went is lit, the circle is you</span>
          </div>
          <div class="min-h-0 flex-1 p-2">
            <Trellis
              :body="store.drawn"
              :measures="null"
              :sheet="saved.sheet"
              :route="run.route"
              :standing="standing"
              :among="1"
            />
          </div>
        </section>
        <section class="panel flex min-h-0 min-w-0" aria-labelledby="mailbox">
          <h2 id="mailbox" class="sr-only">Your mailbox and phone</h2>
          <p v-if="!run.mails.length" class="p-6 text-ink2">Nothing has been sent to you yet.</p>
          <template v-else>
            <div
              class="w-60 shrink-0 overflow-y-auto border-r border-line"
              tabindex="0"
              role="group"
              aria-label="What was sent to you"
            >
              <button
                v-for="one in run.mails"
                :key="one.number"
                type="button"
                class="block w-full border-b border-line2 px-3 py-2 text-left hover:bg-sunk"
                :class="{ 'bg-marigold-soft': one.number === mail?.number }"
                :aria-pressed="one.number === mail?.number"
                @click="chosen = one.number"
              >
                <span class="flex justify-between gap-2">
                  <span class="truncate" :class="{ 'font-semibold': !one.opened }">{{
                    one.text ? one.name : one.subject
                  }}</span>
                </span>
                <span class="note block truncate">
                  {{ one.text ? 'text' : 'email' }} · {{ shortMoment(one.at)
                  }}{{ one.clicked.length ? ' · clicked' : one.opened ? ' · opened' : '' }}
                </span>
              </button>
            </div>
            <TryoutMailView
              v-if="mail"
              :key="mail.number"
              :mail="mail"
              :busy="busy"
              @open="act('OPEN', { mail: mail.number })"
              @click="(link) => act('CLICK', { mail: mail!.number, link })"
              @unsubscribe="act('UNSUBSCRIBE', { mail: mail.number })"
              @complain="act('COMPLAIN', { mail: mail.number })"
            />
          </template>
        </section>
      </div>
    </template>
  </main>
</template>
