/* The line that says what became of what was typed, beside the form it is about. */

const SENT_NOTHING = "No connection: nothing was sent. What you typed is kept on this tablet. Press again when the connection is back.";
const LOST = "The connection is lost. Go on typing: it is kept on this tablet.";
const LOOK_EVERY = 15000;
/* A computer out of reach says nothing at all. */
const PATIENCE = 6000;

/** Whether the server answers. */
export function reach() {
  const stop = new AbortController();
  const late = setTimeout(() => stop.abort(), PATIENCE);
  return fetch("/alive", { cache: "no-store", signal: stop.signal }).then((answer) => {
    if (!answer.ok) { throw new Error(String(answer.status)); }
  }).finally(() => clearTimeout(late));
}

export class ConnectionLine {
  line;

  /** @param first form of the page: the line stands before it until it is about another */
  constructor(first) {
    this.line = document.querySelector(".connection");
    if (!this.line) {
      this.line = document.createElement("p");
      this.line.className = "connection";
      this.line.setAttribute("role", "status");
      this.line.hidden = true;
      first.before(this.line);
    }
  }

  /** @param form it is about, where it should stand beside one and in sight */
  say(text, form) {
    if (form) { form.before(this.line); }
    this.line.textContent = text;
    this.line.hidden = false;
    if (form) { this.line.scrollIntoView({ block: "nearest" }); }
  }

  sayNothingWasSent(form) { this.say(SENT_NOTHING, form); }

  offer(text, press) {
    const key = document.createElement("button");
    key.type = "button";
    key.className = "button small";
    key.textContent = text;
    key.addEventListener("click", press);
    this.line.append(" ", key);
  }

  hide() { this.line.hidden = true; }

  /** Looks whether the server answers, now and then and when the browser says that something changed. */
  watch() {
    const look = () => fetch("/alive", { cache: "no-store" }).then(() => {
      if (this.line.textContent === SENT_NOTHING || this.line.textContent === LOST) {
        this.hide();
        this.line.textContent = "";
      }
    }).catch(() => { if (!document.querySelector(".lost:not([hidden])")) { this.say(LOST); } });
    setInterval(look, LOOK_EVERY);
    window.addEventListener("offline", look);
    window.addEventListener("online", look);
  }
}
