/* What a device refuses by itself while it has no connection: the start checks, what is marked on a wheel or chuck, and whatever may
   stop use. It is never less strict than the server, which judges all of it when it is sent. */

const MINUTE = 60000;
const INCH = 25.4;
const A_FOOT = 0.3048;
const MOST_MS = 200;
/* No comma: in one place it parts thousands, in another it is the decimal point, and the server asks. */
const PLAIN = /^(\d+(?:\.\d+)?)\s?([a-z/"]*)$/;

const UNITS = {
  diameter: { mm: 1, in: INCH, "\"": INCH, inch: INCH },
  markedMs: { "m/s": 1, sfm: A_FOOT / 60, fpm: A_FOOT / 60, "ft/min": A_FOOT / 60 },
  markedRpm: { "": 1 },
};
const BARE = { MM: { diameter: "mm", markedMs: "m/s", markedRpm: "" }, INCH: { diameter: "in", markedMs: "ft/min", markedRpm: "" } };

/** A mark in mm, m/s or rpm; null where nothing is typed, NaN where it takes the server to read it. */
export function mark(field, typed, unit) {
  const text = (typed || "").trim().toLowerCase();
  if (!text) { return null; }
  const found = text.match(PLAIN);
  const factor = found ? UNITS[field][found[2] || BARE[unit][field]] : undefined;
  return factor === undefined ? NaN : Number(found[1]) * factor;
}

/** What a start form says is on the spindle. */
export function mounted(fields, unit) {
  const value = (name) => (fields.find(([field]) => field === name) || ["", ""])[1];
  const kind = value("mounted") || "NOTHING";
  const marks = { diameter: null, markedMs: null, markedRpm: null };
  if (kind === "NOTHING") { return { kind, ...marks, asked: false }; }
  Object.keys(UNITS).forEach((field) => { marks[field] = mark(field, value(kind + "." + field), unit); });
  return { kind, ...marks, asked: value(kind + ".askedOf").trim() !== "" };
}

/** What is wrong with a start form before it is kept; empty where nothing is. */
export function wrongStart(ticked, items, on, dangers) {
  if (dangers > 0) {
    return "Something stops use. What stops use is named at a start with a connection only.";
  }
  if (ticked < items) { return "Look at each and tick it: " + ticked + " of " + items + " are ticked."; }
  if (on === null) { return "Say what is on the spindle."; }
  if ([on.diameter, on.markedRpm, on.markedMs].some(Number.isNaN)) {
    return "Without a connection only plain figures are read here, such as 400 mm, 35 m/s or 1500.";
  }
  if (on.markedMs > MOST_MS) { return "No wheel is marked above " + MOST_MS + " m/s. Look again."; }
  if (on.kind === "WHEEL" && (on.diameter === null || (on.markedRpm === null && on.markedMs === null))) {
    return "Type the wheel’s diameter and what is marked on it.";
  }
  return "";
}

/** Why what is on the spindle may not turn so fast; empty where it may. @param limits rules of the house and the machine's top speed */
export function overMark(on, rpm, limits) {
  if (on.kind === "NOTHING") { return ""; }
  const what = on.kind.toLowerCase();
  if (!rpm) { return "Nobody knows how fast this turns, and the " + what + " is on: not run without a connection."; }
  if (on.markedRpm !== null && rpm > on.markedRpm) {
    return "The " + what + " is marked " + on.markedRpm + " rpm; this turns at " + rpm + " rpm. Not run.";
  }
  if (on.markedMs !== null && on.diameter !== null && Math.PI * on.diameter * rpm / MINUTE > on.markedMs) {
    return "The " + what + " would run faster than what is marked on it at " + rpm + " rpm. Not run.";
  }
  if (on.kind === "WHEEL" && limits.wheel && rpm > limits.wheel) {
    return "The mark read off the wheel allows " + limits.wheel + " rpm; this turns at " + rpm + " rpm. Not run.";
  }
  if (on.kind !== "WHEEL" && on.markedRpm === null && !on.asked && limits.top && rpm > limits.top * limits.unmarked) {
    return "The " + what + " bears no mark and nobody was asked: not above " + Math.floor(limits.top * limits.unmarked) + " rpm.";
  }
  return "";
}

/**
 * Whether the start checks are asked before the next run.
 *
 * @param stand what the server said: whether they were due, and when the last entry was made, ms by this device's clock
 * @param kept  what was made since, in order; a start that was refused is none
 */
export function isStartDue(stand, kept, now) {
  const goodFor = stand.goodFor * MINUTE;
  let confirmed = !stand.due;
  let last = stand.last;
  kept.filter((entry) => entry.state !== "refused").forEach((entry) => {
    if (entry.kind === "start") {
      confirmed = true;
    } else if (entry.kind === "stop" || entry.made - last > goodFor) {
      confirmed = false;
    }
    last = entry.made;
  });
  return !confirmed || now - last > goodFor;
}

/**
 * Why a step may not be done now; empty where it may.
 *
 * @param step  turns, route, rpm, refused (by what the server knows)
 * @param kept  what waits to be sent, in order
 * @param limits with the number of dangers the server knows
 */
export function refusedHere(step, kept, limits) {
  if (!step.turns) { return step.refused; }
  const open = kept.find((entry) => entry.stopsUse);
  if (open) {
    return open.says + ": that may stop use, and it has not been judged yet. Nothing is run until it has been sent"
      + (open.mayBeGood ? ", or you say above that it was as it should be." : ".");
  }
  const start = kept.filter((entry) => entry.kind === "start" && entry.state !== "refused").pop();
  if (limits.dangers > 0 || !start) { return step.refused; }
  return step.route ? overMark(start.mounted, step.rpm, limits) : "";
}
