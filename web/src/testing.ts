import { VueQueryPlugin } from '@tanstack/vue-query'
import { mount } from '@vue/test-utils'
import { createPinia, type Pinia } from 'pinia'
import { defineComponent, h, type Component } from 'vue'
import { createMemoryHistory, createRouter } from 'vue-router'
import { queryClient } from '@/api/queries'

const NOWHERE = defineComponent({ render: () => h('i') })

/** What an application gives to its components; answers of the server are forgotten first. */
export function plugins(pinia: Pinia = createPinia()) {
  queryClient.clear()
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [
      { path: '/', component: NOWHERE },
      { path: '/journeys/:id', name: 'workbench', component: NOWHERE },
      { path: '/journeys/:id/walk', name: 'walk', component: NOWHERE },
      { path: '/journeys/:id/dry-run', name: 'dry-run', component: NOWHERE },
      { path: '/journeys/:id/try', name: 'tryout', component: NOWHERE },
      { path: '/journeys', name: 'journeys', component: NOWHERE },
      { path: '/messages', name: 'messages', component: NOWHERE },
      { path: '/entrances', name: 'entrances', component: NOWHERE },
      { path: '/people/table', name: 'bring-in', component: NOWHERE },
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
