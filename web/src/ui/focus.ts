/** Where the focus goes when what had it is gone: to what the screen is about. */
function land(): void {
  document.querySelector<HTMLElement>("main:not([aria-busy])")?.focus({ preventScroll: true });
}

/**
 * Keeps the focus from dropping to the page: when the element that had it is taken away, by a step to another screen or a form that is
 * done, the main part of the screen takes it over.
 */
export function keepFocus(): void {
  let last: Element | null = null;
  document.addEventListener("focusin", (event) => {
    if (event.target instanceof Element) last = event.target;
  });
  new MutationObserver(() => {
    if (last && !last.isConnected && document.activeElement === document.body) land();
  }).observe(document.body, { childList: true, subtree: true });
}

/** Past the bars, to what the screen is about. */
export function skipToContent(): void {
  land();
}
