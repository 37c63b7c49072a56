<script setup lang="ts">
import { onMounted, ref, useTemplateRef } from 'vue'
import { answerOf, api } from '@/api/client'
import { outdated } from '@/api/queries'
import type { LikeThem, Whom } from '@/api/types'
import { useForm } from '@/api/useForm'
import { count } from '@/ui/figures'

/** Keeps a cohort for dry runs whose people are like those who are found or chosen. */
const props = defineProps<{ whom: Whom; who: string }>()
const emit = defineEmits<{ close: [] }>()

const name = ref('')
const kept = ref<LikeThem | null>(null)
const { told, busy, send } = useForm()
const field = useTemplateRef<HTMLInputElement>('field')
onMounted(() => field.value?.focus())

async function keep() {
  await send(async () => {
    kept.value = await answerOf(
      api.POST('/api/people/cohorts', { body: { people: props.whom, name: name.value } }),
    )
    await outdated('cohorts')
  })
}
</script>

<template>
  <div v-if="kept" class="flex flex-wrap items-center gap-2 px-3 py-2" role="status">
    <span>
      Cohort “{{ kept.name }}” is kept: {{ count(kept.people) }}
      {{ kept.people === 1 ? 'person' : 'people' }} in {{ kept.groups }}
      {{ kept.groups === 1 ? 'group' : 'groups'
      }}<template v-if="kept.lookedAt < kept.people"
        >, by {{ count(kept.lookedAt) }} of them</template
      >. Dry runs can take it as their people.
    </span>
    <button type="button" class="button button-small" @click="emit('close')">Good</button>
  </div>
  <form
    v-else
    class="flex flex-wrap items-center gap-2 px-3 py-2"
    aria-label="A cohort like them"
    @submit.prevent="keep"
    @keydown.esc="emit('close')"
  >
    <b class="font-semibold whitespace-nowrap">{{ who }}</b>
    <label for="like-them">as a cohort for dry runs, called</label>
    <input id="like-them" ref="field" v-model="name" class="field w-50!" maxlength="80" />
    <button type="submit" class="button button-small" :disabled="busy || !name.trim()">
      Keep it
    </button>
    <button type="button" class="button button-small" @click="emit('close')">Cancel</button>
    <span class="note">Their zones, lists, tags and fields; how they behave stays assumed.</span>
    <span v-if="told" class="text-clay" role="alert">{{ told }}</span>
  </form>
</template>
