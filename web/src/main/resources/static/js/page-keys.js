/* Keys of a whole page. */

/* F2 goes to the first tick that is still to be made; the line beside the ticks says so. */
function toFirstTick(event) {
  if (event.key !== "F2") { return; }
  const tick = document.querySelector("input[type=checkbox][name=confirmed]:not(:checked), input[type=checkbox][name=safe]:not(:checked)");
  if (tick) { event.preventDefault(); tick.focus(); }
}

/* A link to a folded part unfolds it. */
function unfold(event) {
  const link = event.target.closest ? event.target.closest(".parts a") : null;
  const part = link && document.querySelector(link.getAttribute("href"));
  if (part) { part.open = true; }
}

export function watchPage() {
  document.addEventListener("keydown", toFirstTick);
  document.addEventListener("click", unfold);
}
