import { defineStore } from 'pinia'
import { ref } from 'vue'
import { answerOf, api, onPasswordNeeded } from '@/api/client'

/** Where whoever sits here stands with the password. */
export type Session = 'unknown' | 'open' | 'in' | 'out'

/** Whether a password is asked for, and has been said. */
export const useSessionStore = defineStore('session', () => {
  const session = ref<Session>('unknown')

  onPasswordNeeded(() => {
    session.value = 'out'
  })

  /** Asks the server; where it does not answer, the pages say so themselves. */
  async function look(): Promise<void> {
    try {
      const seen = await answerOf(api.GET('/api/session'))
      session.value = !seen.passwordSet ? 'open' : seen.in ? 'in' : 'out'
    } catch {
      session.value = 'open'
    }
  }

  async function signIn(password: string): Promise<void> {
    await answerOf(api.POST('/api/session', { body: { password } }))
    session.value = 'in'
  }

  async function signOut(): Promise<void> {
    await answerOf(api.DELETE('/api/session'))
    session.value = 'out'
  }

  return { session, look, signIn, signOut }
})
