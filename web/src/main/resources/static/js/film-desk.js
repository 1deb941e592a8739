/* The film desk: plays a film of the user's own disk, counts in its time, and sends its second with whatever is recorded beside it. */
import { betweenFrames, change, FilmTaps, frameBefore, FrameTimes, Jumps, levels, nextFrame, shownTime, SPEEDS } from "./film-clock.js";
import { drawStrip } from "./film-strip.js";
import { PicturePoints } from "./film-points.js";
import { LONGEST, SHORTEST, wav } from "./sound-wav.js";

/** A larger file's sound is not read whole: its level is drawn as it plays. */
const WHOLE_SOUND = 200 * 1024 * 1024;
const STRIP = 720;
/** A frame's time and the player's clock differ by a few frames at most, s. */
const LATE = 0.25;
const ENOUGH_FRAMES = 24;
const SMALL = { width: 32, height: 18 };
const KEYS = { p: "play", t: "tap", f: "frame-first", h: "frame-last", g: "levers", c: "cut", s: "still", r: "measure", n: "sound",
  a: "loop-from", e: "loop-until", u: "loop-off" };
const ARROWS = { ArrowLeft: ["back", "frame-back"], ArrowRight: ["on", "frame-on"], ArrowDown: ["slower"], ArrowUp: ["faster"] };

export function watchDesk() {
  const desk = document.querySelector(".film-desk");
  if (desk) { new FilmDesk(desk).begin(); }
}

class FilmDesk {
  film = null;
  frames = new FrameTimes();
  taps = new FilmTaps();
  counted = null;
  first = null;
  levers = null;
  loop = { from: null, until: null };
  known = false;
  marks = { entries: [], cuts: [] };
  level = new Float32Array(STRIP);
  proposed = [];
  jumps = new Jumps();
  small = null;
  used = null;

  constructor(desk) {
    this.desk = desk;
    this.video = desk.querySelector("video");
    this.frame = desk.querySelector("iframe");
    this.points = new PicturePoints(this.video, this.find(".film-points"), this.find(".film-measured"));
  }

  find(selector) { return this.desk.querySelector(selector); }

  begin() {
    this.find("#film-file").addEventListener("change", (e) => this.open(e.target.files[0]));
    this.desk.addEventListener("click", (e) => this.press(e.target.closest("[data-film]")?.dataset.film));
    window.addEventListener("keydown", (e) => this.key(e));
    this.frame.addEventListener("load", () => this.beside());
    this.video.addEventListener("error", () => this.cannot());
    this.video.addEventListener("timeupdate", () => this.show());
    this.video.addEventListener("seeking", () => { this.at = undefined; });
    this.video.addEventListener("seeked", () => this.show());
    this.video.addEventListener("pause", () => this.show());
    this.find(".film-strip").addEventListener("click", (e) => this.go((e.offsetX / e.target.clientWidth) * this.length));
    this.find(".film-keep").addEventListener("submit", () => { this.find(".film-keep [name=seen]").value = this.head ?? ""; });
    window.addEventListener("hashchange", () => this.wanted());
    this.listen();
    if (this.frame.contentDocument?.readyState === "complete") { this.beside(); }
  }

  /* The film. */

  async open(file) {
    if (!file) { return; }
    this.wrong("");
    this.film = { file, hash: null };
    this.known = false;
    this.forget();
    this.frames = new FrameTimes();
    this.find(".film-stage").hidden = true;
    this.find(".film-keep").hidden = true;
    this.find(".film-name")?.remove();
    const url = URL.createObjectURL(file);
    if (this.url) { URL.revokeObjectURL(this.url); }
    this.url = url;
    const [hash, plays] = await Promise.all([this.read(file), this.plays(url)]);
    if (this.film.file !== file || !hash) { return; }
    this.film.hash = hash;
    if (plays) {
      await this.measureFrames();
      this.find(".film-stage").hidden = false;
    }
    this.sound(file);
    await this.fetchMarks();
    this.fillKeep(file, hash);
    this.wanted();
    this.show();
  }

  /** The film that ships with the example data, opened as one of the user's own. */
  async example(src) {
    const answer = await fetch(src);
    this.open(new File([await answer.blob()], src.split("/").pop(), { type: "video/webm" }));
  }

  /** SHA-256, by a worker; the bar says how far it is. */
  read(file) {
    const bar = this.find(".film-read");
    bar.hidden = false;
    const began = performance.now();
    this.worker?.terminate();
    this.worker = new Worker(new URL("./film-hash.js", import.meta.url), { type: "module" });
    return new Promise((resolve) => {
      this.worker.addEventListener("message", ({ data }) => {
        if (data.read) { bar.value = (100 * data.read) / file.size; }
        if (data.wrong) { this.wrong(`The film cannot be read: ${data.wrong}. Copy it to this computer’s own disk and open it again.`); }
        if (data.hash || data.wrong) {
          this.desk.dataset.readMs = Math.round(performance.now() - began);
          bar.hidden = true;
          resolve(data.hash);
        }
      });
      this.worker.postMessage(file);
    });
  }

  plays(url) {
    return new Promise((resolve) => {
      this.video.addEventListener("loadedmetadata", () => resolve(true), { once: true });
      this.video.addEventListener("error", () => resolve(false), { once: true });
      this.video.src = url;
    });
  }

  cannot() {
    if (!this.film) { return; }
    this.wrong("This browser cannot play this film. It can still be noted. To look at it here, turn it into MP4 (H.264) or WebM with any"
      + " converter; the new file is another film and has a hash of its own.");
  }

  /**
   * Plays a second or two without sound, to see the times of its frames; then goes back to the beginning. A computer that leaves frames out
   * would see fewer than there are: then it is played slower.
   */
  async measureFrames() {
    const { video } = this;
    video.muted = true;
    for (const speed of [0.5, 0.25]) {
      const dropped = video.getVideoPlaybackQuality?.().droppedVideoFrames ?? 0;
      await this.watchFrames(speed);
      if ((video.getVideoPlaybackQuality?.().droppedVideoFrames ?? 0) === dropped) { break; }
    }
    video.pause();
    if (video.duration === Infinity) { await this.findEnd(); }
    this.go(0);
    video.playbackRate = 1;
    video.muted = false;
    this.find("[name=rate]").value = this.frames.rate ? this.frames.rate.toFixed(3).replace(/\.?0+$/, "") : "";
  }

  async watchFrames(speed) {
    const { video } = this;
    this.frames = new FrameTimes();
    video.playbackRate = speed;
    const until = Date.now() + 4000;
    try {
      await video.play();
      while (this.frames.times.length < ENOUGH_FRAMES && Date.now() < until && !video.ended && video.requestVideoFrameCallback) {
        await new Promise((resolve) => { setTimeout(resolve, 400); video.requestVideoFrameCallback(resolve); });
      }
    } catch (blocked) { /* Nothing is counted then: the server says so. */ }
    video.pause();
  }

  /** A file that does not say how long it is is gone through to its end once. */
  findEnd() {
    return new Promise((resolve) => {
      const done = () => resolve();
      this.video.addEventListener("durationchange", done, { once: true });
      setTimeout(done, 3000);
      this.video.currentTime = 1e7;
    });
  }

  get length() { return Number.isFinite(this.video.duration) ? this.video.duration : 0; }
  get rate() { return Number(this.find("#film-rate").value) || this.frames.rate || 25; }
  /** The frame's own time; a frame that was shown late, after the film went on to another place, is none of this one. */
  get now() {
    const { currentTime } = this.video;
    return this.at !== undefined && Math.abs(this.at - currentTime) < LATE ? this.at : currentTime;
  }


  fillKeep(file, hash) {
    const form = this.find(".film-keep");
    const said = { film: hash, name: file.name, bytes: file.size, length: this.length ? this.length.toFixed(3) : "",
      times: this.frames.text, width: this.video.videoWidth, height: this.video.videoHeight, sound: this.hasSound() ? "yes" : "no" };
    Object.entries(said).forEach(([name, value]) => { form.querySelector(`[name=${name}]`).value = value; });
    form.hidden = this.known;
    this.find(".film-known").textContent = this.known
      ? `${file.name}: this film is noted, from ${this.from}. What is recorded beside it carries its second.`
      : `${file.name}: not noted yet. Say who made or sent it; then what is recorded beside it carries its second.`;
  }

  hasSound() {
    const { video } = this;
    return video.mozHasAudio || Boolean(video.webkitAudioDecodedByteCount) || Boolean(video.audioTracks?.length) || this.heard === true;
  }

  async sound(file) {
    this.level = new Float32Array(STRIP);
    this.heard = false;
    if (file.size > WHOLE_SOUND) {
      this.hearAsItPlays();
      return;
    }
    try {
      const audio = new AudioContext();
      const decoded = await audio.decodeAudioData(await file.arrayBuffer());
      this.level = levels(decoded.getChannelData(0), STRIP);
      this.heard = true;
      audio.close();
    } catch (none) { /* Without sound the strip has none. */ }
    this.draw();
  }

  /** The level of a long film's sound is seen as it plays. */
  hearAsItPlays() {
    if (this.meter) { return; }
    const audio = new AudioContext();
    this.meter = audio.createAnalyser();
    const source = audio.createMediaElementSource(this.video);
    source.connect(this.meter);
    this.meter.connect(audio.destination);
    this.video.addEventListener("play", () => audio.resume());
  }

  hear() {
    if (!this.meter || !this.length || this.video.paused) { return; }
    const heard = new Float32Array(this.meter.fftSize);
    this.meter.getFloatTimeDomainData(heard);
    const place = Math.min(STRIP - 1, Math.floor((this.now / this.length) * STRIP));
    this.level[place] = Math.max(this.level[place], heard.reduce((a, b) => Math.max(a, Math.abs(b)), 0));
  }

  /* Keys. */

  key(event) {
    const t = event.target;
    const typing = t.closest?.("input, select, textarea, [contenteditable]");
    if (typing && !["checkbox", "file"].includes(t.type) || event.ctrlKey || event.metaKey || event.altKey || !this.film?.hash) { return; }
    const answer = /^[1-4]$/.test(event.key) && this.frame.contentDocument?.querySelector(`[data-answer="${event.key}"]`);
    if (answer && !event.repeat) {
      event.preventDefault();
      answer.click();
      return;
    }
    const arrow = ARROWS[event.key];
    const what = arrow ? arrow[event.shiftKey && arrow[1] ? 1 : 0] : KEYS[event.key.toLowerCase()];
    if (what) {
      event.preventDefault();
      event.stopPropagation();
      this.press(what, event.repeat);
    }
  }

  press(what, repeated) {
    const { video } = this;
    switch (what) {
      case "example": this.example(this.find("[data-film=example]").dataset.src); break;
      case "play": if (video.paused) { video.play(); } else { video.pause(); } break;
      case "back": this.go(video.currentTime - 5); break;
      case "on": this.go(video.currentTime + 5); break;
      case "frame-on": video.pause(); this.go(nextFrame(this.now, this.rate)); break;
      case "frame-back": video.pause(); this.go(frameBefore(this.now, this.rate)); break;
      case "slower": this.speed(-1); break;
      case "faster": this.speed(1); break;
      case "loop-from": this.loop.from = this.now; this.show(); break;
      case "loop-until": this.loop.until = this.now; this.show(); break;
      case "loop-off": this.loop = { from: null, until: null }; this.show(); break;
      case "tap": if (!repeated) { this.count(this.taps.tap(this.now, video.playbackRate)); } break;
      case "frame-first": this.first = this.now; this.show(); break;
      case "frame-last": this.count(betweenFrames(this.first, this.now)); break;
      case "levers": this.levers = this.now; this.show(); break;
      case "cut": this.cut(this.now); break;
      case "still": this.still(); break;
      case "sound": this.keepSound(); break;
      case "measure": this.find(".film-measured").hidden = !this.points.toggle(); break;
      case "take-count": this.takeCount(); break;
      case "take-length": this.takeLength(); break;
      default:
    }
  }

  go(second) {
    this.at = undefined;
    this.video.currentTime = Math.max(0, Math.min(this.length || 1e9, second));
  }

  speed(by) {
    const i = SPEEDS.indexOf(this.video.playbackRate);
    this.video.playbackRate = SPEEDS[Math.max(0, Math.min(SPEEDS.length - 1, (i < 0 ? 3 : i) + by))];
    this.show();
  }

  count(counted) {
    this.counted = counted;
    this.find("#film-turns").value = counted?.turns ?? "";
    this.find("#film-seconds").value = counted ? counted.seconds.toFixed(3) : "";
    this.show();
  }

  /* What goes with an entry. */

  get moment() {
    const { from, until } = this.counted ?? (this.loop.from !== null && this.loop.until > this.loop.from ? this.loop : {});
    return { filmOf: this.film?.hash ?? "", filmFrom: (from ?? this.now).toFixed(3), filmUntil: (until ?? from ?? this.now).toFixed(3),
      filmSet: this.levers === null ? "" : this.levers.toFixed(3) };
  }

  forget() {
    this.counted = null;
    this.levers = null;
    this.first = null;
    this.taps = new FilmTaps();
    ["#film-turns", "#film-seconds"].forEach((f) => { this.find(f).value = ""; });
  }

  /** Whatever page stands in the frame: its forms carry the moment, its links to a second play from there, its keys are the desk's. */
  beside() {
    const page = this.frame.contentDocument;
    if (!page || page.bodyWithDesk === page.body) { return; }
    page.bodyWithDesk = page.body;
    page.addEventListener("submit", (e) => this.sends(e.target), true);
    page.addEventListener("click", (e) => this.follows(e), true);
    page.addEventListener("keydown", (e) => this.key(e), true);
    const here = new URL(page.location.href);
    if (here.searchParams.has("done") && this.used) { this.forget(); }
    this.used = null;
    const heard = page.querySelector("#heard-second");
    if (heard && !heard.value && this.film?.hash) { heard.value = shownTime(this.now); }
    this.desk.querySelectorAll(".film-beside .film-tabs a").forEach((a) => {
      a.toggleAttribute("aria-current", new URL(a.href).pathname === here.pathname);
    });
    this.fetchMarks().then(() => { if (this.film?.hash) { this.fillKeep(this.film.file, this.film.hash); this.show(); } });
  }

  sends(form) {
    if (form.method !== "post" || !this.film?.hash || form.querySelector("[name=film]")) { return; }
    const said = this.moment;
    Object.entries(said).forEach(([name, value]) => this.hidden(form, name, value));
    this.used = said;
  }

  hidden(form, name, value) {
    const page = form.ownerDocument;
    const input = form.querySelector(`input[type=hidden][name=${name}]`) ?? form.appendChild(Object.assign(page.createElement("input"),
      { type: "hidden", name }));
    input.value = value;
  }

  follows(event) {
    const link = event.target.closest?.("a[data-film-at]");
    if (link && link.dataset.filmOf === this.film?.hash) {
      event.preventDefault();
      this.playFrom(Number(link.dataset.filmAt));
    }
  }

  playFrom(second) {
    this.go(second);
    this.video.play();
  }

  takeCount() {
    const form = this.frame.contentDocument?.querySelector("form.run, form[data-weigh]");
    const field = (name) => form?.querySelector(`[name=${name}]`);
    if (!field("seconds")) {
      this.says("What is open in the run sheet takes no count and no time. Open a speed there, or a feed.");
      return;
    }
    Object.entries(this.moment).forEach(([name, value]) => this.hidden(form, name, value));
    const { from, until } = this.loop;
    const piece = from !== null && until > from ? (until - from).toFixed(3) : "";
    const set = field("turns")
      ? { turns: this.find("#film-turns").value, seconds: this.find("#film-seconds").value, marks: this.find("#film-marks").value }
      : { seconds: this.find("#film-seconds").value || piece };
    if (field("turns")) {
      this.hidden(form, "rate", this.find("#film-rate").value);
      this.hidden(form, "playing", this.counted?.playing ?? (this.counted ? "" : this.video.playbackRate));
    }
    field("seconds").closest("details")?.setAttribute("open", "open");
    Object.entries(set).forEach(([name, value]) => {
      if (field(name)) {
        field(name).value = value;
        field(name).dispatchEvent(new Event("input", { bubbles: true }));
      }
    });
    this.says("The figures stand in the run sheet: press Record there.");
  }

  async takeLength() {
    const says = this.find(".film-length-says");
    const form = this.find(".film-measured");
    const query = new URLSearchParams(new FormData(form));
    const answer = await fetch(`${says.dataset.at}?${query}`, { headers: { Accept: "application/json" } });
    const told = await answer.json();
    says.textContent = told.says;
    says.classList.toggle("wrong", !answer.ok);
    const into = this.frame.contentDocument?.querySelector("form[data-weigh] [name=value], form.run [name=value]");
    if (answer.ok && into) {
      into.value = told.value;
      ["points", "known", "apart", "distance"].forEach((name) => this.hidden(into.form,
        `picture${name[0].toUpperCase()}${name.slice(1)}`, query.get(name) ?? ""));
      into.dispatchEvent(new Event("input", { bubbles: true }));
    }
  }

  /* Cuts and stills. */

  cut(second) {
    const form = this.find(".film-cut");
    form.querySelector("[name=film]").value = this.film.hash;
    form.querySelector("[name=second]").value = second.toFixed(3);
    this.post(form);
  }

  post(form) {
    form.querySelector("[name=submission]").value = crypto.randomUUID();
    form.querySelector("[name=seen]").value = this.head ?? 0;
    form.requestSubmit();
  }

  still() {
    const { video } = this;
    if (!video.videoWidth) {
      this.says("This film has no picture.");
      return;
    }
    const canvas = Object.assign(document.createElement("canvas"), { width: video.videoWidth, height: video.videoHeight });
    canvas.getContext("2d").drawImage(video, 0, 0);
    const form = this.find(".film-still");
    const step = this.frame.contentDocument?.querySelector("#step")?.dataset.step ?? "";
    canvas.toBlob((blob) => {
      const files = new DataTransfer();
      files.items.add(new File([blob], "still.png", { type: "image/png" }));
      form.querySelector("[name=photo]").files = files.files;
      form.querySelector("[name=step]").value = step;
      form.querySelector("[name=caption]").value = `still of the film at ${shownTime(this.now)}`;
      const said = { filmOf: this.film.hash, filmFrom: this.now.toFixed(3), filmUntil: this.now.toFixed(3), filmSet: "" };
      Object.entries(said).forEach(([name, value]) => this.hidden(form, name, value));
      this.post(form);
    }, "image/png");
  }

  /** The sound of the piece that is marked, as a recording of the speed that is open in the run sheet. */
  async keepSound() {
    const { from, until } = this.loop;
    const piece = from !== null && until > from ? until - from : 0;
    if (piece < SHORTEST || piece > LONGEST) {
      this.says(`Mark a piece of ${SHORTEST} to ${LONGEST} s first, in which one speed runs evenly: A where it begins, E where it ends.`);
      return;
    }
    if (this.film.file.size > WHOLE_SOUND) {
      this.says("This film is too large for its sound to be read whole. Cut the piece out with any program, and open that.");
      return;
    }
    const audio = new AudioContext();
    try {
      const whole = await audio.decodeAudioData(await this.film.file.arrayBuffer());
      const at = (second) => Math.round(second * whole.sampleRate);
      const heard = whole.getChannelData(0).slice(at(from), at(until));
      const form = this.find(".film-sound");
      const files = new DataTransfer();
      files.items.add(new File([wav([heard], whole.sampleRate)], "sound-of-the-film.wav", { type: "audio/wav" }));
      form.querySelector("[name=sound]").files = files.files;
      form.querySelector("[name=task]").value = this.frame.contentDocument?.querySelector("#step")?.dataset.step ?? "";
      const said = { filmOf: this.film.hash, filmFrom: from.toFixed(3), filmUntil: until.toFixed(3), filmSet: "" };
      Object.entries(said).forEach(([name, value]) => this.hidden(form, name, value));
      this.post(form);
    } catch (none) {
      this.says("This film has no sound that can be read here.");
    } finally {
      audio.close();
    }
  }

  /* What is seen. */

  async fetchMarks() {
    if (!this.film?.hash) { return; }
    const answer = await fetch(`${this.desk.dataset.marks}?film=${this.film.hash}`, { headers: { Accept: "application/json" } });
    if (!answer.ok) { return; }
    this.marks = await answer.json();
    this.known = this.marks.known;
    this.from = this.marks.from;
    this.head = this.marks.head;
    this.desk.querySelectorAll("[data-tab]").forEach((a) => {
      a.href = `${a.href.split("?")[0]}?film=${this.film.hash}`;
    });
    this.draw();
  }

  /** Each frame as it is shown: its own time, and whether the picture jumps. */
  eachFrame(now, frame) {
    this.at = frame.mediaTime;
    this.frames.add(frame.mediaTime, frame.presentedFrames);
    this.jump();
    this.hear();
    if (this.loop.from !== null && this.loop.until > this.loop.from && this.at >= this.loop.until && !this.video.paused) {
      this.go(this.loop.from);
    }
    this.show();
    this.video.requestVideoFrameCallback((n, f) => this.eachFrame(n, f));
  }

  jump() {
    const canvas = this.eye ??= new OffscreenCanvas(SMALL.width, SMALL.height);
    const eye = canvas.getContext("2d", { willReadFrequently: true });
    eye.drawImage(this.video, 0, 0, SMALL.width, SMALL.height);
    const { data } = eye.getImageData(0, 0, SMALL.width, SMALL.height);
    if (this.small && !this.video.paused && this.jumps.is(change(this.small, data))) {
      const second = Number(this.at.toFixed(3));
      const known = [...this.proposed, ...this.marks.cuts.map(Number)].some((c) => Math.abs(c - second) < 0.3);
      if (!known) {
        this.proposed.push(second);
        this.propose();
      }
    }
    this.small = data;
  }

  propose() {
    const place = this.find(".film-proposed");
    place.replaceChildren(...this.proposed.map((second) => {
      const key = Object.assign(document.createElement("button"), { type: "button", className: "button",
        textContent: `The picture jumps at ${shownTime(second)}: a cut` });
      key.addEventListener("click", () => {
        this.proposed = this.proposed.filter((s) => s !== second);
        this.propose();
        this.cut(second);
      });
      return key;
    }));
  }

  show() {
    if (!this.watching && this.video.requestVideoFrameCallback) {
      this.watching = true;
      this.video.requestVideoFrameCallback((n, f) => this.eachFrame(n, f));
    }
    this.find(".film-time").textContent = shownTime(this.now);
    this.find(".film-length").textContent = this.length ? `of ${shownTime(this.length)}` : "";
    this.find(".film-speed").textContent = this.video.playbackRate === 1 ? "" : `at ${this.video.playbackRate} times its speed`;
    this.find(".film-loop").textContent = this.loop.from === null ? ""
      : `piece from ${shownTime(this.loop.from)}${this.loop.until === null ? "" : ` to ${shownTime(this.loop.until)}`}`;
    this.find("[data-film=play]").firstChild.textContent = this.video.paused ? "Play " : "Stop ";
    const { filmFrom, filmUntil, filmSet } = this.moment;
    this.says(`${this.known ? "With the next entry goes" : "Once the film is noted, with the next entry goes"} ${shownTime(
      Number(filmFrom))}${filmUntil === filmFrom ? "" : ` to ${shownTime(Number(filmUntil))}`}; ${filmSet === ""
      ? "the levers were not seen, so what is set is only said" : `the levers are seen at ${shownTime(Number(filmSet))}`}.`);
    this.draw();
  }

  says(text) {
    const place = this.find(".film-says");
    if (place.textContent !== text) { place.textContent = text; }
  }

  wrong(text) { this.find(".film-wrong").textContent = text; }

  draw() {
    drawStrip(this.find(".film-strip"), { level: this.level, length: this.length, now: this.now, loop: this.loop, ...this.marks });
  }

  /* From other pages. */

  /** Another page of this survey asks to play from a second: answered where that film is open here. */
  listen() {
    const channel = new BroadcastChannel(`film-of-${document.body.dataset.survey}`);
    channel.addEventListener("message", ({ data }) => {
      if (data.play && data.play === this.film?.hash) {
        channel.postMessage({ plays: data.play });
        this.playFrom(data.at);
      }
    });
  }

  wanted() {
    const at = new URLSearchParams(location.hash.slice(1)).get("at");
    const { wanted } = this.desk.dataset;
    if (at !== null && this.film?.hash && (!wanted || wanted === this.film.hash)) { this.go(Number(at)); }
  }
}
