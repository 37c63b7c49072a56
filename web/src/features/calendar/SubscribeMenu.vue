<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { answerOf, api } from '@/api/client'
import { outdated, questions } from '@/api/queries'
import { useForm } from '@/api/useForm'
import DropMenu, { type MenuChoice } from '@/ui/DropMenu.vue'

/** The calendar for calendar programs: as a file, and at an address of its own. */
const emit = defineEmits<{ told: [address: string | null, trouble: string | null] }>()

const { data: feed } = useQuery(questions.calendarFeed())
const { told, send } = useForm()
const groups = computed<MenuChoice[][]>(() => [
  [{ id: 'file', name: 'Download as a file', note: 'iCalendar' }],
  [
    {
      id: 'make',
      name: feed.value?.on ? 'Make another address' : 'Make an address',
      note: feed.value?.on ? 'the one there is leads nowhere then' : 'for calendar programs',
    },
    ...(feed.value?.on ? [{ id: 'stop', name: 'Let nobody read it any more' }] : []),
  ],
])

async function choose(id: string) {
  if (id === 'file') {
    window.location.assign('/api/calendar/file.ics')
    return
  }
  let address: string | null = null
  await send(async () => {
    if (id === 'make') address = (await answerOf(api.POST('/api/calendar/feed'))).address
    else await answerOf(api.DELETE('/api/calendar/feed'))
    await outdated('calendar-feed')
  })
  emit('told', address, told.value)
}
</script>

<template>
  <DropMenu label="Subscribe" :groups="groups" @choose="choose" />
</template>
