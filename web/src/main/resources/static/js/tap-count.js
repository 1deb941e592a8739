/* Tap key: N turns are N + 1 taps, the first starts the clock. Fills the two fields that a person could also type. */
import { isPress, isSpaceOutside } from "./keys.js";

/** After so long without a tap, ms, the next one begins anew. */
const PAUSE = 8000;

/** Taps at their own times, ms, and what they come to: the turns in between and the seconds they took. */
export class TapCount {
  first = null;
  last = null;
  taps = 0;

  /** One tap more. @returns what stands in the fields now: texts, empty until a turn is whole */
  tap(now) {
    if (this.first === null || now - this.last > PAUSE) {
      this.first = now;
      this.taps = 0;
    }
    this.last = now;
    this.taps += 1;
    const turns = this.taps - 1;
    return turns > 0 ? { turns: String(turns), seconds: ((now - this.first) / 1000).toFixed(2) } : { turns: "", seconds: "" };
  }
}

/** Nobody counts into a field that is folded away. */
const isInSight = (field) => !field.closest("details:not([open])");

/** The form of a speed. */
export function speedForm() {
  const taps = new TapCount();
  return {
    tap(event) {
      if (event.button) { return; }
      this.count(event.timeStamp);
    },
    tapByKey(event) {
      if (isPress(event)) {
        event.preventDefault();
        this.count(event.timeStamp);
      }
    },
    bySpace(event) {
      if (isSpaceOutside(event) && this.$refs.turns && isInSight(this.$refs.turns)) {
        event.preventDefault();
        this.count(event.timeStamp);
      }
    },
    count(now) {
      const counted = taps.tap(now);
      this.$refs.turns.value = counted.turns;
      this.$refs.seconds.value = counted.seconds;
    },
  };
}
