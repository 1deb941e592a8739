/* Stopwatch: one key starts and stops it, and writes the seconds where a person could also type them. */
import { isPress, isSpaceOutside } from "./keys.js";

/** Runs between two presses. */
export class Stopwatch {
  began = null;

  /** @returns the seconds it ran, as text, where this press stopped it; else null */
  press(now) {
    const took = this.began === null ? null : ((now - this.began) / 1000).toFixed(2);
    this.began = took === null ? now : null;
    return took;
  }

  get isGoing() { return this.began !== null; }
}

/** The form of a step that may be timed. */
export function timedForm() {
  const watch = new Stopwatch();
  return {
    going: false,
    label: "Start the watch",
    press(event) {
      if (event.button) { return; }
      this.turn(event.timeStamp);
    },
    pressByKey(event) {
      if (isPress(event)) {
        event.preventDefault();
        this.turn(event.timeStamp);
      }
    },
    bySpace(event) {
      if (isSpaceOutside(event) && this.$refs.seconds) {
        event.preventDefault();
        this.turn(event.timeStamp);
      }
    },
    turn(now) {
      const seconds = watch.press(now);
      if (seconds !== null) {
        this.$refs.seconds.value = seconds;
        this.$refs.seconds.dispatchEvent(new Event("input", { bubbles: true }));
      }
      this.going = watch.isGoing;
      this.label = this.going ? "Stop the watch" : "Start again";
    },
  };
}
