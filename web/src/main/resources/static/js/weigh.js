/* What is typed so far would come to: asked of the server as it is typed, shown before it is recorded. The newest answer wins. */

/** A list from an instrument is longer, and weighed once, when it is recorded. */
const LONGEST = 60000;

export function watchWeighing() {
  const form = document.querySelector("form[data-weigh]");
  const place = form && form.querySelector(".weigh");
  if (!place) { return; }
  let asked = 0;
  let soon = 0;
  const look = () => {
    const ticket = ++asked;
    const body = new URLSearchParams();
    new FormData(form).forEach((value, name) => { if (typeof value === "string") { body.append(name, value); } });
    if (body.toString().length > LONGEST) { return; }
    fetch(form.dataset.weigh, { method: "POST", body, headers: { "X-Requested-With": "fetch" } })
      .then((answer) => (answer.ok ? answer.text() : ""))
      .then((html) => { if (ticket === asked) { place.innerHTML = html; } })
      .catch(() => { /* Only a look ahead; the form itself is untouched. */ });
  };
  form.addEventListener("input", (event) => {
    if (event.target.name === "remark" || event.target.name === "author") { return; }
    clearTimeout(soon);
    soon = setTimeout(look, 300);
  });
}
