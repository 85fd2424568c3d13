/** Whether a key belongs to what the person is typing in, or to a shortcut of the browser. */
export function typing(e: KeyboardEvent): boolean {
  const el = e.target as HTMLElement;
  return (
    e.ctrlKey ||
    e.metaKey ||
    e.altKey ||
    !!el.closest('input:not([type=radio], [type=checkbox]), textarea, select, [role=combobox], [role=dialog]')
  );
}
