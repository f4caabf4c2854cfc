/** Tells where the focus goes: to an element, or to none. @returns the way to stop listening; for an effect */
export function followFocus(goes: (to: EventTarget | null) => void): () => void {
  const entered = ({ target }: FocusEvent) => goes(target);
  const left = ({ relatedTarget }: FocusEvent) => relatedTarget === null && goes(null);
  document.addEventListener('focusin', entered);
  document.addEventListener('focusout', left);
  return () => {
    document.removeEventListener('focusin', entered);
    document.removeEventListener('focusout', left);
  };
}
