import { describe, expect, it } from 'vitest'
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
})
