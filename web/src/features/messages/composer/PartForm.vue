<script setup lang="ts">
import { computed, useId } from 'vue'
import type { LineDocument, LinkDocument, PartDocument } from '@/api/types'
import FileField from './FileField.vue'
import LineEditor from './LineEditor.vue'
import { useManuscript } from './manuscriptStore'
import { replaced } from './parts'
import TargetForm from './TargetForm.vue'
import TypedPart from './TypedPart.vue'
import { KINDS, plainWords } from './words'

/** The fields of a part that is not a text; what is rather said is typed as its sentence. */
const props = defineProps<{ part: PartDocument; says: string | null }>()
const emit = defineEmits<{ leave: [] }>()
const store = useManuscript()
const id = useId()

const named = computed(() => (props.part.kind === 'button' ? plainWords(props.part.words) : ''))
const isSaid = computed(() => ['passage', 'products', 'news', 'linkRow'].includes(props.part.kind))

function change(some: Partial<PartDocument>, key: string) {
  const changed = { ...props.part, ...some } as PartDocument
  store.editParts(
    `changed ${KINDS[props.part.kind]}`,
    (parts) => replaced(parts, changed),
    `${props.part.id}.${key}`,
  )
}

const value = (event: Event) => (event.target as HTMLInputElement).value

/** The same part said otherwise; what is inside of it stays. */
function said(other: PartDocument) {
  if (other.kind !== props.part.kind) return
  const inside =
    props.part.kind === 'passage'
      ? { parts: props.part.parts, otherwise: props.part.otherwise }
      : {}
  change({ ...other, ...inside } as Partial<PartDocument>, 'said')
  emit('leave')
}
</script>

<template>
  <div
    class="grid gap-2 rounded-md bg-white p-2 outline outline-line"
    @keydown.esc.stop="emit('leave')"
  >
    <TypedPart
      v-if="isSaid"
      :id="part.id"
      :label="`The ${KINDS[part.kind]} as a sentence`"
      :begun="says ?? ''"
      @made="said"
      @leave="emit('leave')"
    />
    <template v-if="part.kind === 'button'">
      <LineEditor
        :line="part.words"
        label="What stands on the button"
        bold
        autofocus
        @change="(words: LineDocument) => change({ words }, 'words')"
        @enter="emit('leave')"
        @leave="emit('leave')"
      />
      <TargetForm
        :link="part.link"
        :named="named"
        @change="(link: LinkDocument) => change({ link }, 'link')"
      />
    </template>
    <template v-else-if="part.kind === 'picture' || part.kind === 'film'">
      <FileField
        :file="part.kind === 'picture' ? part.file : part.picture"
        @change="(file) => change(part.kind === 'picture' ? { file } : { picture: file }, 'file')"
      />
      <div>
        <label class="label" :for="`${id}-words`">Words for those who do not see it</label>
        <input
          :id="`${id}-words`"
          class="field"
          maxlength="300"
          :value="part.words"
          @input="change({ words: value($event) }, 'words')"
        />
      </div>
      <label v-if="part.kind === 'picture'" class="flex items-center gap-2"
        >width
        <input
          type="range"
          class="accent-vine"
          min="10"
          max="100"
          step="5"
          :value="part.percent"
          @input="change({ percent: Number(value($event)) }, 'percent')"
        />
        <span class="figure">{{ part.percent }}%</span></label
      >
      <TargetForm
        :link="part.link ?? { to: null, name: null }"
        :named="part.words"
        @change="
          (link: LinkDocument) =>
            change(
              {
                link: link.to ? link : part.kind === 'film' ? link : null,
              } as Partial<PartDocument>,
              'link',
            )
        "
      />
    </template>
    <div v-else-if="part.kind === 'voucher'" class="flex flex-wrap gap-2">
      <div>
        <label class="label" :for="`${id}-code`">Code</label>
        <input
          :id="`${id}-code`"
          class="field figure w-36!"
          maxlength="40"
          :value="part.code"
          @input="change({ code: value($event) }, 'code')"
        />
      </div>
      <div>
        <label class="label" :for="`${id}-worth`">Worth</label>
        <input
          :id="`${id}-worth`"
          class="field w-28!"
          maxlength="80"
          placeholder="15%"
          :value="part.worth"
          @input="change({ worth: value($event) }, 'worth')"
        />
      </div>
      <div>
        <label class="label" :for="`${id}-until`">Last day</label>
        <input
          :id="`${id}-until`"
          class="field w-40!"
          type="date"
          :value="part.until ?? ''"
          @change="change({ until: value($event) || null }, 'until')"
        />
      </div>
    </div>
    <div v-else-if="part.kind === 'countdown'" class="grid gap-2">
      <label class="flex items-center gap-2"
        >until
        <input
          class="field w-56!"
          type="datetime-local"
          :value="part.until?.slice(0, 16) ?? ''"
          @change="change({ until: value($event) || null }, 'until')"
      /></label>
      <div>
        <label class="label" :for="`${id}-words`">Words for those who do not see it</label>
        <input
          :id="`${id}-words`"
          class="field"
          maxlength="200"
          :value="part.words"
          @input="change({ words: value($event) }, 'words')"
        />
      </div>
    </div>
    <label v-else-if="part.kind === 'space'" class="flex items-center gap-2"
      >height
      <input
        class="field w-20!"
        type="number"
        min="4"
        max="200"
        :value="part.height"
        @change="
          change({ height: Math.min(200, Math.max(4, Number(value($event)) || 24)) }, 'height')
        "
      />
      px</label
    >
    <div v-else-if="part.kind === 'ownHtml'">
      <label class="label" :for="`${id}-html`"
        >Own HTML; scripts and forms are taken out of it</label
      >
      <textarea
        :id="`${id}-html`"
        class="field figure"
        rows="6"
        maxlength="200000"
        spellcheck="false"
        :value="part.html"
        @input="change({ html: value($event) }, 'html')"
      />
    </div>
  </div>
</template>
