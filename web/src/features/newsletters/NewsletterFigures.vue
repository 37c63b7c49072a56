<script setup lang="ts">
import type { NewsletterStep } from '@/api/types'
import { count, NONE_YET, percent } from '@/ui/figures'

/** What became of a newsletter's messages. */
defineProps<{ steps: NewsletterStep[] }>()

type Share = NewsletterStep['opened']

function share(of: Share): string {
  return of ? percent(of.share, 1) : NONE_YET
}

function band(of: Share): string {
  return of ? `${percent(of.low, 1)} to ${percent(of.high, 1)}` : ''
}
</script>

<template>
  <table class="w-full" aria-label="What came of it">
    <thead>
      <tr class="note text-left">
        <th class="font-normal">message</th>
        <th class="text-right font-normal">sent</th>
        <th class="text-right font-normal">came back</th>
        <th class="text-right font-normal">opened</th>
        <th class="text-right font-normal">clicked</th>
        <th class="text-right font-normal">unsubscribed</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="one in steps" :key="one.step" class="border-t border-line2 align-top">
        <td class="max-w-0 min-w-40 truncate py-1.5 pr-2" :title="one.name">{{ one.name }}</td>
        <td class="figure py-1.5 text-right">{{ count(one.sent) }}</td>
        <td class="figure py-1.5 text-right">{{ count(one.bounced) }}</td>
        <td
          v-for="(of, n) in [one.opened, one.clicked, one.unsubscribed]"
          :key="n"
          class="figure py-1.5 pl-3 text-right whitespace-nowrap"
        >
          <template v-if="one.text">–</template>
          <template v-else
            >{{ share(of) }}<span v-if="of" class="note block">{{ band(of) }}</span></template
          >
        </td>
      </tr>
    </tbody>
  </table>
</template>
