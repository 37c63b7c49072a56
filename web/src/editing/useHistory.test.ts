import { describe, expect, it, vi } from 'vitest'
import { useHistory } from './useHistory'

describe('the history of edits', () => {
  it('goes back and forth by name, and gives what was there', () => {
    const history = useHistory<string>()
    history.add('first', 'a', 'b')
    history.add('second', 'b', 'c')
    expect(history.undoName.value).toBe('second')
    expect(history.undo()).toBe('b')
    expect(history.redoName.value).toBe('second')
    expect(history.undo()).toBe('a')
    expect(history.undo()).toBeNull()
    expect(history.redo()).toBe('b')
    expect(history.redo()).toBe('c')
    expect(history.redo()).toBeNull()
  })

  it('forgets what was taken back once something else is done', () => {
    const history = useHistory<string>()
    history.add('first', 'a', 'b')
    history.undo()
    history.add('another', 'a', 'x')
    expect(history.canRedo.value).toBe(false)
    expect(history.undo()).toBe('a')
    history.forget()
    expect([history.canUndo.value, history.canRedo.value]).toEqual([false, false])
  })

  it('outlasts a reload, if it leads to what is there', () => {
    const before = useHistory<string>()
    before.add('first', 'a', 'b')
    before.add('second', 'b', 'c')
    before.undo()
    before.keep('kept')
    const after = useHistory<string>()
    after.recall('kept', (state) => state === 'b')
    expect([after.undoName.value, after.redoName.value]).toEqual(['first', 'second'])
    expect(after.undo()).toBe('a')
  })

  it('is not brought back to something else, nor if there is none', () => {
    const before = useHistory<string>()
    before.add('first', 'a', 'b')
    before.keep('kept')
    const after = useHistory<string>()
    after.recall('kept', (state) => state === 'saved by somebody else')
    after.recall('none', () => true)
    expect(after.canUndo.value).toBe(false)
  })

  it('is kept by itself after a moment, and at once before another is begun', () => {
    vi.useFakeTimers()
    sessionStorage.clear()
    const history = useHistory<string>()
    history.add('first', 'a', 'b')
    history.keep('one')
    expect(sessionStorage.getItem('one')).toBeNull()
    vi.advanceTimersByTime(1_000)
    expect(sessionStorage.getItem('one')).toContain('first')
    history.add('second', 'b', 'c')
    history.keep('one')
    history.forget()
    expect(sessionStorage.getItem('one')).toContain('second')
    vi.useRealTimers()
  })

  it('that is too large for the browser is not kept', () => {
    const full = {
      setItem: () => {
        throw new DOMException('full', 'QuotaExceededError')
      },
      removeItem: vi.fn(),
    }
    vi.stubGlobal('sessionStorage', full)
    const history = useHistory<string>()
    history.add('large', 'a', 'b')
    history.keep('kept')
    window.dispatchEvent(new Event('pagehide'))
    vi.unstubAllGlobals()
    expect(full.removeItem).toHaveBeenCalledWith('kept')
    expect(history.undo()).toBe('a')
  })
})
