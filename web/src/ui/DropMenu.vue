<script setup lang="ts">
import { autoUpdate, flip, offset, shift, useFloating } from '@floating-ui/vue'
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { computed, ref, type ComponentPublicInstance } from 'vue'

/** Something that can be chosen from a menu, with the keys that do the same. */
export interface MenuChoice {
  id: string
  name: string
  note?: string
  keys?: string
  disabled?: boolean
}

/** A button that opens a list of things to do; groups are parted by a line. */
defineProps<{ label: string; groups: MenuChoice[][]; small?: boolean }>()
const emit = defineEmits<{ choose: [id: string] }>()

const anchor = ref<ComponentPublicInstance | null>(null)
const panel = ref<ComponentPublicInstance | null>(null)
const { floatingStyles } = useFloating(
  computed(() => anchor.value?.$el as HTMLElement | null),
  computed(() => panel.value?.$el as HTMLElement | null),
  {
    placement: 'bottom-end',
    middleware: [offset(4), flip({ padding: 8 }), shift({ padding: 8 })],
    whileElementsMounted: autoUpdate,
  },
)
</script>

<template>
  <Menu as="div">
    <MenuButton ref="anchor" class="button" :class="{ 'button-small': small }" :aria-label="label">
      <slot>{{ label }}</slot>
    </MenuButton>
    <Teleport defer to="main">
      <MenuItems
        ref="panel"
        class="z-20 max-h-[78vh] min-w-55 overflow-y-auto rounded-lg border border-line bg-panel py-1"
        :style="floatingStyles"
        :aria-label="label"
      >
        <div
          v-for="(group, i) in groups"
          :key="i"
          :class="{ 'mt-1 border-t border-line2 pt-1': i > 0 }"
        >
          <MenuItem
            v-for="one in group"
            :key="one.id"
            v-slot="{ active, disabled }"
            :disabled="one.disabled"
          >
            <button
              type="button"
              class="flex w-full items-baseline gap-4 px-3 py-1 text-left"
              :class="[active ? 'bg-marigold-soft' : '', disabled ? 'text-ink3 opacity-60' : '']"
              @click="emit('choose', one.id)"
            >
              <span
                >{{ one.name }}
                <span v-if="one.note" class="ml-1 text-note text-ink2">{{ one.note }}</span></span
              >
              <kbd v-if="one.keys" class="ml-auto">{{ one.keys }}</kbd>
            </button>
          </MenuItem>
        </div>
      </MenuItems>
    </Teleport>
  </Menu>
</template>
