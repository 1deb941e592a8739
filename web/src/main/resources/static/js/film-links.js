/* A link to a second of a film plays it where the desk has that film open in another tab; else it leads to the desk. */

/** The desk answers at once if it is there, ms. */
const WAIT = 250;

export function watchFilmLinks() {
  if (!document.querySelector("a[data-film-at]") || window.parent !== window) { return; }
  const channel = new BroadcastChannel(`film-of-${document.body.dataset.survey}`);
  document.addEventListener("click", (event) => {
    const link = event.target.closest?.("a[data-film-at]");
    if (!link || event.ctrlKey || event.metaKey || event.button) { return; }
    event.preventDefault();
    const away = setTimeout(() => { location.assign(link.href); }, WAIT);
    channel.addEventListener("message", ({ data }) => {
      if (data.plays === link.dataset.filmOf) {
        clearTimeout(away);
        link.after(" – plays on the film desk");
      }
    }, { once: true });
    channel.postMessage({ play: link.dataset.filmOf, at: Number(link.dataset.filmAt) });
  });
}
