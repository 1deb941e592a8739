/* Records from the microphone into the form's file, as it comes: without gain control, echo and noise suppression where that can be. */
import { Heard, LONGEST, refused, SHORTEST, treated, wav } from "./sound-wav.js";

export function watchSoundRecorder() {
  const place = document.querySelector(".sound-recorder");
  if (!place) { return; }
  if (!navigator.mediaDevices?.getUserMedia || !window.AudioWorkletNode) {
    place.querySelector(".sound-says").textContent = "This page may ask for the microphone only on this computer itself, or over a"
      + " connection that is trusted. Choose a WAV file instead.";
    place.querySelector("[data-sound=record]").disabled = true;
    return;
  }
  new Recorder(place).begin();
}

class Recorder {
  constructor(place) {
    this.place = place;
    this.form = place.closest("form");
    this.says = place.querySelector(".sound-says");
    this.meter = place.querySelector("meter");
    this.start = place.querySelector("[data-sound=record]");
    this.stop = place.querySelector("[data-sound=stop]");
  }

  begin() {
    this.start.addEventListener("click", () => this.record());
    this.stop.addEventListener("click", () => this.end());
  }

  async record() {
    this.start.disabled = true;
    try {
      this.stream = await navigator.mediaDevices.getUserMedia({ audio: { autoGainControl: false, echoCancellation: false,
        noiseSuppression: false } });
      this.audio = new AudioContext();
      await this.audio.audioWorklet.addModule(new URL("./sound-blocks.js", import.meta.url));
      await this.audio.resume();
    } catch (error) {
      this.says.textContent = refused(error);
      this.release();
      return;
    }
    const [track] = this.stream.getAudioTracks();
    this.treated = treated(track.getSettings());
    track.addEventListener("ended", () => this.end("The microphone went away. "));
    this.blocks = [];
    this.heard = new Heard();
    const node = new AudioWorkletNode(this.audio, "blocks");
    node.port.addEventListener("message", ({ data }) => this.take(data));
    node.port.start();
    this.audio.createMediaStreamSource(this.stream).connect(node);
    this.stop.hidden = false;
    this.meter.hidden = false;
    this.stop.focus();
  }

  get seconds() { return this.heard.samples / this.audio.sampleRate; }

  take(block) {
    if (!this.stream) { return; }
    this.blocks.push(block);
    this.heard.add(block);
    this.meter.value = Math.max(-80, this.heard.level);
    const whole = Math.floor(this.seconds);
    if (whole !== this.shown) {
      this.shown = whole;
      this.says.textContent = `${whole} s of ${SHORTEST} to ${LONGEST}. ${this.heard.warns}`;
    }
    if (this.seconds >= LONGEST) { this.end(); }
  }

  end(before = "") {
    if (!this.stream) { return; }
    const seconds = this.seconds;
    const hertz = this.audio.sampleRate;
    this.release();
    if (seconds < SHORTEST) {
      this.says.textContent = `${before}${seconds.toFixed(1)} s are too short: at least ${SHORTEST} s are needed. Record again.`;
      return;
    }
    const file = new File([wav(this.blocks, hertz)], "recorded.wav", { type: "audio/wav" });
    const files = new DataTransfer();
    files.items.add(file);
    this.form.querySelector("input[type=file]").files = files.files;
    this.form.querySelector("[name=treated]").value = this.treated;
    this.says.textContent = `${before}${seconds.toFixed(1)} s recorded${this.treated === "YES"
      ? "; this device changes the level by itself and cannot be kept from it, so that it proves nothing" : ""}. Keep it, or record again.`;
  }

  release() {
    this.stream?.getTracks().forEach((t) => t.stop());
    this.stream = null;
    this.audio?.close();
    this.stop.hidden = true;
    this.meter.hidden = true;
    this.start.disabled = false;
    this.shown = null;
  }
}
