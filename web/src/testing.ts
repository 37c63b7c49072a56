import { VueQueryPlugin } from '@tanstack/vue-query'
import { mount } from '@vue/test-utils'
import { createPinia, type Pinia } from 'pinia'
import { defineComponent, h, type Component } from 'vue'
import { createMemoryHistory, createRouter } from 'vue-router'
import { queryClient } from '@/api/queries'

const NOWHERE = defineComponent({ render: () => h('i') })

/** The pages that components lead to; nothing stands on them. */
const PAGES = {
  journeys: '/journeys',
  workbench: '/journeys/:id',
  walk: '/journeys/:id/walk',
  'dry-run': '/journeys/:id/dry-run',
  'side-by-side': '/side-by-side',
  tryout: '/journeys/:id/try',
  messages: '/messages',
  composer: '/messages/:id',
  entrances: '/entrances',
  entrance: '/entrances/:id',
  people: '/people',
  'bring-in': '/people/table',
  calendar: '/calendar',
  newsletter: '/newsletters/:id',
  news: '/news/:id',
}

/** What an application gives to its components; answers of the server are forgotten first. */
export function plugins(pinia: Pinia = createPinia()) {
  queryClient.clear()
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [
      { path: '/', component: NOWHERE },
      ...Object.entries(PAGES).map(([name, path]) => ({ path, name, component: NOWHERE })),
    ],
  })
  return [pinia, router, [VueQueryPlugin, { queryClient }]] as const
}

/** Runs a composable as a component would; gives what it gives. */
export function within<T>(composable: () => T): T {
  let given: T
  const host: Component = {
    setup() {
      given = composable()
      return () => h('i')
    },
  }
  mount(host, { global: { plugins: [...plugins()] as never[] } })
  return given!
}

/** The page that components stand on; whatever floats above others is put there, too. */
export function page(): HTMLElement {
  const main = document.createElement('main')
  document.body.replaceChildren(main)
  return main
}
