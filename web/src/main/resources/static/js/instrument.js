/* A reading from the instrument goes into its field as if it were typed: into a row behind what stands there,
   unless the whole row comes. */

/** What stands in a field once a reading came. */
export function withReading(stood, isRow, reading) {
  return isRow && !reading.whole && stood.trim() ? stood.trim() + " " + reading.inRow : reading.text;
}

function onClick(event) {
  const key = event.target.closest("[data-take]");
  if (!key) { return; }
  const field = document.getElementById(key.dataset.into);
  const place = document.querySelector("form .weigh");
  const say = (text) => { if (place) { place.textContent = text; } };
  fetch(key.dataset.take, { cache: "no-store" }).then((answer) => {
    if (!answer.ok) { return answer.text().then((text) => say(text || "The instrument does not answer.")); }
    return answer.json().then((reading) => {
      field.value = withReading(field.value, field.closest(".series") !== null, reading);
      field.dispatchEvent(new Event("input", { bubbles: true }));
      field.focus();
    });
  }).catch(() => say("The instrument does not answer."));
}

export function watchInstrument() {
  document.addEventListener("click", onClick);
}
