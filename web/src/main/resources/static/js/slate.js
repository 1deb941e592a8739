/* The clock of a slate: by this computer, to the second, so that the camera's can be tied to it. */

/** hh:mm:ss of a time. */
export const clockOf = (at) => [at.getHours(), at.getMinutes(), at.getSeconds()].map((n) => String(n).padStart(2, "0")).join(":");

export function watchSlate() {
  const place = document.querySelector(".slate-clock");
  if (!place) { return; }
  const show = () => { place.textContent = clockOf(new Date()); };
  show();
  setInterval(show, 250);
}
