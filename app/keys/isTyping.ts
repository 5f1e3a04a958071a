/** True while the focus is where keys mean text: then single-key commands stay silent. */
export function isTyping(event: KeyboardEvent): boolean {
  const target = event.target
  if (!(target instanceof HTMLElement)) return false
  return (
    target.isContentEditable ||
    ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName) ||
    target.closest('[role="listbox"], [role="menu"], [role="dialog"]') !== null
  )
}

/** True where Space or Enter press the control itself. */
export function isOnControl(event: KeyboardEvent): boolean {
  return (
    event.target instanceof HTMLElement &&
    event.target.closest('button, a, summary, [role="button"], [role="checkbox"], [role="tab"]') !== null
  )
}
