/* Event keys of a cycle: each press adds a line to the log, seconds from the first. */
import { isHeld, isPress } from "./keys.js";

/** A line as it is written here. What a person typed is read by the server, not here. */
const WRITTEN = / (\d+\.\d\d)$/;

/** Lines of events with their seconds. */
export class CycleLog {
  first = null;

  /** The log with one line more. After a line that was here before the page, the next follows a second later. */
  add(text, name, now) {
    const before = text.trimEnd();
    if (this.first === null) {
      const last = before.match(WRITTEN);
      this.first = last ? now - (Number(last[1]) + 1) * 1000 : now;
    }
    return (before ? before + "\n" : "") + name + " " + ((now - this.first) / 1000).toFixed(2);
  }

  beginAgain() { this.first = null; }
}

/** The form of a cycle. */
export function cycleForm() {
  const log = new CycleLog();
  let asked = 0;
  let soon = 0;
  return {
    tap(event) {
      if (event.button) { return; }
      this.log(event.currentTarget.dataset.event, event.timeStamp);
    },
    tapByKey(event) {
      if (isPress(event)) {
        event.preventDefault();
        this.log(event.currentTarget.dataset.event, event.timeStamp);
      }
    },
    /* A digit is the event key it stands on, while the focus is among them and not in a field. */
    byDigit(event) {
      const isField = /^(INPUT|TEXTAREA|SELECT)$/.test(event.target.tagName);
      if (isField || event.repeat || isHeld(event) || !/^[1-9]$/.test(event.key)) { return; }
      const key = this.$refs.keys.querySelectorAll("[data-event]")[Number(event.key) - 1];
      if (key) {
        event.preventDefault();
        this.log(key.dataset.event, event.timeStamp);
      }
    },
    log(name, now) {
      const field = this.$refs.log;
      field.value = log.add(field.value, name, now);
      field.scrollTop = field.scrollHeight;
      field.dispatchEvent(new Event("input", { bubbles: true }));
    },
    clear() {
      log.beginAgain();
      this.$refs.log.value = "";
      this.$refs.log.focus();
    },
    /* A person's own script gets its keys as it is written: the server reads it. The newest answer wins. */
    rekey() {
      clearTimeout(soon);
      soon = setTimeout(() => {
        const ticket = ++asked;
        const { form } = this.$refs.script;
        const body = new URLSearchParams({ script: this.$refs.script.value, _csrf: form.elements._csrf.value });
        fetch(this.$refs.keys.dataset.reads, { method: "POST", body, headers: { "X-Requested-With": "fetch" } })
          .then((answer) => (answer.ok ? answer.text() : Promise.reject(answer.status)))
          .then((html) => { if (ticket === asked) { this.$refs.keys.innerHTML = html; } })
          .catch(() => { /* The keys stay as they were; the next stroke tries again. */ });
      }, 200);
    },
  };
}
