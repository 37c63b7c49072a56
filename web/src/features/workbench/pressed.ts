/** What the keys on a row of the run sheet do. */
export interface SheetActions {
  arrange(how: 'UP' | 'DOWN' | 'IN' | 'OUT' | 'DUPLICATE'): unknown
  /** Rows up or down from the current one, or to an end. */
  go(to: number | 'FIRST' | 'LAST', extend: boolean): unknown
  write(begin: string, above: boolean): unknown
  copy(taking: boolean): unknown
  paste(): unknown
  remove(): unknown
  edit(): unknown
  nextFinding(back: boolean): unknown
  mend(): unknown
  fold(): unknown
  help(): unknown
}

const ARRANGING = { ArrowUp: 'UP', ArrowDown: 'DOWN', ArrowRight: 'IN', ArrowLeft: 'OUT' } as const

/** Does what a key stands for; returns whether it stands for anything. */
export function pressed(event: KeyboardEvent, actions: SheetActions): boolean {
  const ctrl = event.ctrlKey || event.metaKey
  const act = ctrl
    ? withCtrl(event, actions)
    : event.altKey
      ? withAlt(event, actions)
      : plain(event, actions)
  act?.()
  return !!act
}

type Act = (() => unknown) | undefined

function withAlt({ key }: KeyboardEvent, actions: SheetActions): Act {
  const how = key in ARRANGING ? ARRANGING[key as keyof typeof ARRANGING] : undefined
  return how && (() => actions.arrange(how))
}

function withCtrl({ key, shiftKey }: KeyboardEvent, actions: SheetActions): Act {
  const acts: Record<string, Act> = {
    enter: () => actions.write('', shiftKey),
    c: () => actions.copy(false),
    x: () => actions.copy(true),
    v: () => actions.paste(),
    d: () => actions.arrange('DUPLICATE'),
  }
  return acts[key.toLowerCase()]
}

function plain({ key, shiftKey }: KeyboardEvent, actions: SheetActions): Act {
  const acts: Record<string, Act> = {
    ArrowUp: () => actions.go(-1, shiftKey),
    ArrowDown: () => actions.go(1, shiftKey),
    Home: () => actions.go('FIRST', false),
    End: () => actions.go('LAST', false),
    Delete: () => actions.remove(),
    Backspace: () => actions.remove(),
    Enter: () => actions.edit(),
    F2: () => actions.edit(),
    F8: () => actions.nextFinding(shiftKey),
    F9: () => actions.mend(),
    ' ': () => actions.fold(),
    '?': () => actions.help(),
  }
  return acts[key] ?? (key.length === 1 ? () => actions.write(key, false) : undefined)
}
