import { createRouter, createWebHistory } from 'vue-router'
import JourneysView from '@/features/journeys/JourneysView.vue'
import NowhereView from '@/ui/NowhereView.vue'

const numbered = (route: { params: Record<string, unknown> }) => ({ id: Number(route.params.id) })

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', redirect: '/journeys' },
    { path: '/journeys', name: 'journeys', component: JourneysView },
    {
      path: '/journeys/:id(\\d+)',
      name: 'workbench',
      props: numbered,
      component: () => import('@/features/workbench/WorkbenchView.vue'),
    },
    {
      path: '/journeys/:id(\\d+)/dry-run',
      name: 'dry-run',
      props: numbered,
      component: () => import('@/features/dryrun/DryRunView.vue'),
    },
    {
      path: '/journeys/:id(\\d+)/walk',
      name: 'walk',
      props: numbered,
      component: () => import('@/features/walk/WalkView.vue'),
    },
    {
      path: '/journeys/:id(\\d+)/try',
      name: 'tryout',
      props: numbered,
      component: () => import('@/features/tryout/TryoutView.vue'),
    },
    {
      path: '/people',
      name: 'people',
      component: () => import('@/features/people/PeopleView.vue'),
    },
    {
      path: '/account',
      name: 'account',
      component: () => import('@/features/account/AccountView.vue'),
    },
    {
      path: '/people/names',
      name: 'names',
      component: () => import('@/features/people/names/NamesView.vue'),
    },
    {
      path: '/people/table',
      name: 'bring-in',
      component: () => import('@/features/people/table/BringInView.vue'),
    },
    {
      path: '/people/health',
      name: 'health',
      component: () => import('@/features/health/HealthView.vue'),
    },
    {
      path: '/messages',
      name: 'messages',
      component: () => import('@/features/messages/MessagesView.vue'),
    },
    {
      path: '/messages/house-style',
      name: 'house-style',
      component: () => import('@/features/messages/style/HouseStyleView.vue'),
    },
    {
      path: '/messages/inbox',
      name: 'inbox',
      component: () => import('@/features/messages/InboxView.vue'),
    },
    {
      path: '/messages/of/:id',
      name: 'composer',
      props: true,
      component: () => import('@/features/messages/composer/ComposerView.vue'),
    },
    {
      path: '/calendar',
      name: 'calendar',
      component: () => import('@/features/calendar/CalendarView.vue'),
    },
    {
      path: '/rules',
      name: 'rules',
      component: () => import('@/features/rules/RulesView.vue'),
    },
    {
      path: '/news/:id(\\d+)',
      name: 'news',
      props: numbered,
      component: () => import('@/features/news/NewsPage.vue'),
    },
    {
      path: '/newsletters/:id(\\d+)',
      name: 'newsletter',
      props: numbered,
      component: () => import('@/features/newsletters/NewsletterPage.vue'),
    },
    {
      path: '/entrances',
      name: 'entrances',
      props: { id: null },
      component: () => import('@/features/entrances/EntrancesView.vue'),
    },
    {
      path: '/entrances/:id(\\d+)',
      name: 'entrance',
      props: numbered,
      component: () => import('@/features/entrances/EntrancesView.vue'),
    },
    {
      path: '/entrances/choices',
      name: 'choices-page',
      component: () => import('@/features/entrances/ChoicesView.vue'),
    },
    {
      path: '/glasshouse',
      name: 'glasshouse',
      component: () => import('@/features/glasshouse/GlasshouseView.vue'),
    },
    {
      path: '/side-by-side',
      name: 'side-by-side',
      component: () => import('@/features/compare/SideBySideView.vue'),
    },
    {
      path: '/strands/:id',
      name: 'strand',
      props: true,
      component: () => import('@/features/strands/StrandView.vue'),
    },
    { path: '/:elsewhere(.*)*', name: 'nowhere', component: NowhereView },
  ],
})
