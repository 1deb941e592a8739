/* A code that is shown goes from the screen once a device was let in by it, or its time is over. */

const LOOK_EVERY = 2000;
const SHOWN = "data-code=\"shown\"";

/** Whether the page as it is now still shows a code. */
export function showsCode(html) { return html.includes(SHOWN); }

export function watchCode() {
  if (!document.querySelector("[data-code]")) { return; }
  const look = () => {
    if (document.hidden) { return; }
    fetch(location.href, { cache: "no-store" }).then((answer) => (answer.ok ? answer.text() : Promise.reject(answer.status)))
      .then((html) => { if (!showsCode(html)) { location.reload(); } }).catch(() => { /* The next look. */ });
  };
  setInterval(look, LOOK_EVERY);
}
