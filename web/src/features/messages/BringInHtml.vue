<script setup lang="ts">
import { ref, shallowRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { answerOf, api } from '@/api/client'
import { outdated } from '@/api/queries'
import type { HtmlImportView } from '@/api/types'
import { useForm } from '@/api/useForm'

/** An HTML mail becomes a message: what it comes to is shown before it is kept. */
const emit = defineEmits<{ close: [] }>()
const router = useRouter()
const html = ref('')
const name = ref('')
const seen = shallowRef<HtmlImportView | null>(null)
const { wrong, failure, busy, send } = useForm('html', 'name')
/* What is kept is what was seen. */
watch(html, () => (seen.value = null))

async function read(file: File | undefined) {
  if (!file) return
  html.value = await file.text()
  name.value ||= file.name.replace(/\.[^.]*$/, '').slice(0, 80)
  await look()
}

async function look() {
  const asked = html.value
  seen.value = null
  await send(async () => {
    const found = await answerOf(
      api.POST('/api/message-imports', {
        body: { name: name.value, html: asked, keep: false },
      }),
    )
    if (asked !== html.value) return
    seen.value = found
    name.value ||= found.subject.slice(0, 80)
  })
}

async function keep() {
  await send(async () => {
    const made = await answerOf(
      api.POST('/api/message-imports', {
        body: { name: name.value, html: html.value, keep: true },
      }),
    )
    await Promise.all([outdated('library'), outdated('files')])
    await router.push({ name: 'composer', params: { id: made.message! } })
  })
}
</script>

<template>
  <section
    class="panel grid max-h-120 grid-cols-2 gap-3 overflow-y-auto p-3"
    aria-label="Bring in an HTML mail"
    @dragover.prevent
    @drop.prevent="read($event.dataTransfer?.files[0])"
  >
    <div class="grid content-start gap-2">
      <label
        ><span class="label">Paste the HTML of a mail, drop a file here, or choose one</span>
        <textarea
          v-model="html"
          class="field font-mono text-note"
          rows="8"
          maxlength="900000"
          spellcheck="false"
          :aria-invalid="!!wrong['html']"
        />
      </label>
      <p v-if="wrong['html'] || failure" class="text-clay" role="alert">
        {{ wrong['html'] ?? failure }}
      </p>
      <div class="flex items-center gap-2">
        <input
          type="file"
          accept=".html,.htm,text/html"
          aria-label="A file with HTML"
          @change="read(($event.target as HTMLInputElement).files?.[0])"
        />
        <button type="button" class="button" :disabled="busy || !html.trim()" @click="look">
          See what it comes to
        </button>
        <button type="button" class="button" @click="emit('close')">Cancel</button>
      </div>
    </div>
    <div v-if="seen" class="grid content-start gap-2">
      <pre
        class="max-h-60 overflow-y-auto rounded-md bg-sunk p-2 font-mono text-note whitespace-pre-wrap"
        tabindex="0"
        role="group"
        aria-label="What it comes to"
        >{{ seen.lines.join('\n') }}</pre>
      <ul v-if="seen.told.length" class="note list-disc pl-5" aria-label="What is not kept">
        <li v-for="one in seen.told" :key="one">{{ one }}</li>
      </ul>
      <form class="flex items-center gap-2" @submit.prevent="keep">
        <input
          v-model="name"
          class="field"
          maxlength="80"
          aria-label="Name of the message"
          :aria-invalid="!!wrong['name']"
        />
        <button type="submit" class="button button-main" :disabled="busy || !name.trim()">
          Keep it
        </button>
      </form>
      <p v-if="wrong['name']" class="text-clay" role="alert">{{ wrong['name'] }}</p>
    </div>
  </section>
</template>
