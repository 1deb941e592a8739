/* Keys of the keyboard, as every large key of these pages takes them. */

/** Whether a key press belongs to a field, a button or a link, and not to the page. */
export function isTyping(event) {
  return event.target.closest("input, textarea, select, button, a, summary") !== null;
}

/** Pressed once by space or Enter, not held down. */
export function isPress(event) {
  return (event.key === " " || event.key === "Enter") && !event.repeat;
}

/** The space bar, where nobody types. */
export function isSpaceOutside(event) {
  return event.key === " " && !event.repeat && !isTyping(event);
}

/** Any key held with Ctrl, Alt or Meta is the browser's. */
export function isHeld(event) {
  return event.ctrlKey || event.altKey || event.metaKey;
}
