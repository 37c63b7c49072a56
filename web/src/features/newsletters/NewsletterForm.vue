<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { questions } from '@/api/queries'
import type { NewsletterDocument, NewsletterFault, WhoView } from '@/api/types'
import WhoField from '@/features/people/WhoField.vue'
import SenderChoices from '@/features/workbench/SenderChoices.vue'
import Labelled from '@/ui/Labelled.vue'
import AfterwardsForm from './AfterwardsForm.vue'
import { about, OVER_HOURS, tomorrow } from './newsletters'
import SubjectsForm from './SubjectsForm.vue'

/** What a newsletter says: message, people, time, and what follows. */
const props = defineProps<{
  whoSays: string
  butNotSays: string
  findings: NewsletterFault[]
  wrong: Partial<Record<string, string>>
}>()
const given = defineModel<NewsletterDocument>({ required: true })

const { data: messages } = useQuery(questions.messages())
const { data: journeys } = useQuery(questions.names())
const { data: live } = useQuery(questions.live())
const emails = computed(
  () => messages.value?.filter((one) => one.content.kind === 'email' && !one.archived) ?? [],
)
const texts = computed(
  () => messages.value?.filter((one) => one.content.kind === 'text' && !one.archived) ?? [],
)

const readers = computed({
  get: () => given.value.who?.kind ?? '',
  set: (kind) => {
    given.value.who =
      kind === 'everybody'
        ? { kind }
        : kind === 'those'
          ? { kind, who: { kind: 'onList', list: 'Newsletter' } }
          : null
  },
})

function onWho(meant: NonNullable<WhoView['meant']>) {
  given.value.who = meant.condition
    ? { kind: 'those', who: meant.condition }
    : { kind: 'everybody' }
}

function onButNot(meant: NonNullable<WhoView['meant']>) {
  given.value.butNot = meant.condition ?? null
}

function inside(name: string, on: boolean) {
  const others = given.value.notInside.filter((one) => one !== name)
  given.value.notInside = on ? [...others, name] : others
}

const today = computed(() => {
  const now = live.value?.clock.now
  return new Date((now ?? Date.now() / 1000) * 1000).toISOString().slice(0, 10)
})

const timed = computed({
  get: () => given.value.going !== null,
  set: (on) => (given.value.going = on ? tomorrow(today.value) : null),
})
</script>

<template>
  <div class="flex flex-col gap-4">
    <div class="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-3">
      <Labelled id="newsletter-name" name="Name" :wrong="wrong['newsletter/name']">
        <input id="newsletter-name" v-model="given.name" class="field" maxlength="80" />
      </Labelled>
      <Labelled
        id="newsletter-message"
        name="Message"
        :wrong="about(findings, '/message')?.sentence"
      >
        <select
          id="newsletter-message"
          class="field"
          :value="given.message ?? ''"
          @change="given.message = ($event.target as HTMLSelectElement).value || null"
        >
          <option value="">none yet</option>
          <option v-for="one in emails" :key="one.id" :value="one.id">{{ one.name }}</option>
        </select>
      </Labelled>
    </div>
    <fieldset class="grid gap-2">
      <legend class="label">To whom</legend>
      <span class="flex items-center gap-2">
        <select v-model="readers" class="field w-64!" aria-label="To whom">
          <option value="" disabled>nobody yet</option>
          <option value="everybody">everybody who may be mailed</option>
          <option value="those">all who …</option>
        </select>
        <span v-if="about(findings, '/who')" class="note text-clay!">{{
          about(findings, '/who')!.sentence
        }}</span>
      </span>
      <WhoField
        v-if="readers === 'those'"
        label="All who"
        :model-value="props.whoSays || 'are on list Newsletter'"
        @meant="onWho"
      />
      <WhoField
        label="But not"
        :model-value="props.butNotSays"
        placeholder="nobody: or say who, such as have tag resting"
        @meant="onButNot"
      >
        <template #note="{ meant }">
          <template v-if="meant?.condition && meant.news.length"
            >Nobody has to do with the {{ meant.news.join(', the ') }} yet.</template
          >
          <template v-else
            >Whoever unsubscribed, complained or bounced gets nothing anyway.</template
          >
        </template>
      </WhoField>
      <div v-if="journeys?.length" role="group" aria-label="Nor those inside">
        <span class="text-ink2">Nor those who are inside</span>
        <span class="mt-1 flex flex-wrap gap-x-3 gap-y-1">
          <label v-for="one in journeys" :key="one.id" class="flex items-center gap-1.5">
            <input
              type="checkbox"
              :checked="given.notInside.includes(one.name)"
              @change="inside(one.name, ($event.target as HTMLInputElement).checked)"
            />
            {{ one.name }}
          </label>
        </span>
      </div>
    </fieldset>
    <slot v-if="$slots.when" name="when" />
    <fieldset v-else class="grid gap-2">
      <legend class="label">When</legend>
      <span class="flex flex-wrap items-center gap-2">
        <button v-if="!timed" type="button" class="button" @click="timed = true">
          Choose a time
        </button>
        <template v-else>
          <input v-model="given.going!.date" type="date" class="field w-36!" aria-label="Day" />
          <input
            v-model="given.going!.at"
            type="time"
            class="field w-28!"
            aria-label="Time of day"
          />
          <select
            class="field w-48!"
            aria-label="By whose clock"
            :value="given.going!.theirTime ? 'theirs' : 'ours'"
            @change="
              given.going!.theirTime = ($event.target as HTMLSelectElement).value === 'theirs'
            "
          >
            <option value="ours">at one moment for all</option>
            <option value="theirs">each person’s own time</option>
          </select>
          <select v-model.number="given.overHours" class="field w-28!" aria-label="Over how long">
            <option v-for="(name, hours) in OVER_HOURS" :key="hours" :value="hours">
              {{ name }}
            </option>
          </select>
        </template>
        <span v-if="about(findings, '/going')" class="note text-clay!">{{
          about(findings, '/going')!.sentence
        }}</span>
      </span>
      <p v-if="wrong['newsletter/going']" class="text-note text-clay" role="alert">
        {{ wrong['newsletter/going'] }}
      </p>
    </fieldset>
    <SubjectsForm v-model="given.subjects" :findings="findings" />
    <AfterwardsForm v-model="given" :texts="texts" :findings="findings" />
    <Labelled
      id="newsletter-sender"
      name="From"
      hint="Left empty, from the account’s first sender."
    >
      <input
        id="newsletter-sender"
        class="field w-72!"
        list="senders"
        maxlength="120"
        :value="given.sender ?? ''"
        @change="given.sender = ($event.target as HTMLInputElement).value.trim() || null"
      />
    </Labelled>
    <SenderChoices />
  </div>
</template>
