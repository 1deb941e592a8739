/* Photographs, several at once: turned and made smaller here, then sent one after the other while the work goes on. One that a lost
   connection stopped is sent again by the same key, so that it is recorded once. */

import { freshKey } from "./kept.js";
import { holdPhoto, keepPhotoHere, keepsHere, letGo } from "./without.js";

const QUALITY = 0.9;
const LARGEST = { photo: 15 * 1024 * 1024, film: 60000000, sound: 20000000 };
const CALLED = { photo: "photograph", film: "film", sound: "recording" };
const AGAIN = 3000;

/** Width and height of a picture whose longest side is no longer than that. */
export function fitted(width, height, longest) {
  const share = Math.min(1, longest / Math.max(width, height));
  return { width: Math.max(1, Math.round(width * share)), height: Math.max(1, Math.round(height * share)) };
}

/** What is said of those under way. */
export function underWay(done, all, waits, what) {
  const count = (all === 1 ? "One " : all + " ") + CALLED[what || "photo"] + (all === 1 ? "" : "s");
  if (done === all) { return count + (all === 1 ? " is" : " are") + " recorded."; }
  return count + (waits ? ": no connection, " : ": ") + done + " recorded" + (waits ? ", the rest is kept until it is back." : " …");
}

/* As the house says they are kept, and turned as the camera says. One that is small enough already goes as it is. */
async function smaller(file, longest) {
  const picture = await createImageBitmap(file, { imageOrientation: "from-image" });
  const size = fitted(picture.width, picture.height, longest);
  if (size.width === picture.width && file.size < LARGEST.photo / 8) { return file; }
  const canvas = document.createElement("canvas");
  canvas.width = size.width;
  canvas.height = size.height;
  canvas.getContext("2d").drawImage(picture, 0, 0, size.width, size.height);
  picture.close();
  return new Promise((made) => { canvas.toBlob((blob) => made(blob || file), "image/jpeg", QUALITY); });
}

const pause = () => new Promise((over) => { setTimeout(over, AGAIN); });

/* Until the server says something, however often the connection is lost; once only where the device keeps what is not sent. */
async function sent(address, fields, bar, once) {
  for (;;) {
    try {
      const answer = await new Promise((came, lost) => {
        const request = new XMLHttpRequest();
        request.open("POST", address);
        request.upload.addEventListener("progress", (event) => bar.share(event.loaded / event.total));
        request.addEventListener("load", () => came(request));
        ["error", "timeout", "abort"].forEach((what) => request.addEventListener(what, lost));
        request.send(fields);
      });
      if (answer.status < 500) { return answer; }
    } catch (lost) {
      if (once) { return null; }
      bar.waits();
    }
    await pause();
  }
}

class PhotoBar {
  all;
  done = 0;

  constructor(form, all) {
    this.all = all;
    this.what = form.dataset.photos;
    this.line = form.querySelector(".sending") || document.querySelector("#step > .sending");
    if (!this.line) {
      this.line = document.createElement("p");
      this.line.className = "sending";
      this.line.setAttribute("role", "status");
      this.bar = document.createElement("progress");
      this.text = document.createElement("span");
      this.line.append(this.bar, this.text);
      /* Taken from the bar, its form is folded away. */
      const step = form.closest("details:not([open])") && document.querySelector("#step");
      if (step) { step.prepend(this.line); } else { form.append(this.line); }
    }
    this.bar = this.line.querySelector("progress");
    this.text = this.line.querySelector("span");
    this.bar.max = all;
    this.bar.setAttribute("aria-label", "Sent so far");
    this.share(0);
    this.say(false);
  }

  share(of) { this.bar.value = this.done + of; }

  waits() { this.say(true); }

  say(waits) { this.text.textContent = " " + underWay(this.done, this.all, waits, this.what); }

  /** Not sent, and kept on the device. */
  kept() {
    this.all -= 1;
    this.bar.max = Math.max(1, this.all);
    if (this.done === this.all) { this.text.textContent = " No connection: kept on this device, and sent when it is back."; }
  }

  next() {
    this.done += 1;
    this.share(0);
    this.say(false);
  }
}

/* What the page shows now: the pictures, and what its forms have seen, where nobody else wrote meanwhile. */
function bringIn(html, count) {
  const fresh = new DOMParser().parseFromString(html, "text/html");
  const thumbs = document.querySelector(".thumbs");
  const newer = fresh.querySelector(".thumbs");
  if (thumbs && newer) { thumbs.replaceWith(newer); }
  const sounds = fresh.querySelector(".recorded-here");
  document.querySelectorAll(".recorded-here").forEach((list) => { if (sounds) { list.replaceWith(sounds); } });
  const seen = fresh.querySelector("input[name=seen]");
  document.querySelectorAll("input[name=seen]").forEach((field) => {
    if (seen && Number(seen.value) === Number(field.value) + count) { field.value = seen.value; }
  });
}

function wrong(html) {
  const page = new DOMParser().parseFromString(html, "text/html");
  const said = ["#wrong-photo", "#wrong-film", "#wrong-sound", "#wrong-task", "#wrong-stood", "#wrong-treated",
    "#wrong-caption", "#wrong-author", "#wrong-form", "main .lede", "main p"]
    .map((where) => page.querySelector(where)).find((found) => found);
  return said ? said.textContent : "That was not recorded.";
}

async function send(form, files) {
  const bar = new PhotoBar(form, files.length);
  const what = form.dataset.photos;
  const fields = new FormData(form);
  fields.delete(what);
  const name = form.querySelector("[name=" + what + "]");
  const stopped = (text) => {
    bar.text.textContent = " " + text;
    bar.text.className = "wrong";
    name.disabled = false;
  };
  name.disabled = true;
  let html = "";
  for (const [at, file] of files.entries()) {
    const one = new FormData();
    fields.forEach((value, field) => one.append(field, value));
    if (at > 0) { one.set("submission", freshKey()); }
    const small = what === "photo" ? await smaller(file, Number(form.dataset.longest)) : file;
    one.set(what, small, CALLED[what]);
    const typed = Array.from(one.entries()).filter(([, value]) => typeof value === "string");
    const held = keepsHere(form, null) ? await holdPhoto(form.action, typed, one.get("submission"), small, what) : 0;
    const answer = await sent(form.action, one, bar, keepsHere(form, null));
    if (answer) { letGo(held); }
    if (!answer) {
      if (!await keepPhotoHere(held)) {
        stopped("That " + CALLED[what] + " could not be kept here: leave this page open, and choose it again later.");
        return;
      }
      bar.kept();
    } else if (answer.status >= 400) {
      stopped(wrong(answer.responseText));
      return;
    } else {
      html = answer.responseText;
      bar.next();
    }
  }
  name.disabled = false;
  name.value = "";
  const caption = form.querySelector("[name=caption]");
  if (caption) { caption.value = ""; }
  /* What else was chosen stays for the next one, and is nothing half typed. */
  form.querySelectorAll("option").forEach((option) => { option.defaultSelected = option.selected; });
  form.querySelectorAll("input[type=text]").forEach((field) => { field.defaultValue = field.value; });
  form.querySelector("[name=submission]").value = freshKey();
  form.dispatchEvent(new CustomEvent("taken"));
  if (html) { bringIn(html, bar.done); }
}

/* Before anybody else hears of it: what is no picture, or comes from a browser that makes none smaller, is sent as the form says. */
async function onSubmit(event) {
  const form = event.target.closest("form[data-photos]");
  const what = form && form.dataset.photos;
  const files = form ? Array.from(form.querySelector("[name=" + what + "]").files) : [];
  if (!files.length || form.dataset.plain || !window.createImageBitmap) { return; }
  event.preventDefault();
  event.stopImmediatePropagation();
  const large = form.querySelector("[data-large]");
  try {
    if (what === "photo") {
      await Promise.all(files.map((file) => createImageBitmap(file).then((picture) => picture.close())));
    } else if (files.some((file) => file.size > LARGEST[what])) {
      throw new Error("large");
    }
    large.hidden = true;
  } catch (none) {
    large.hidden = !files.some((file) => file.size > LARGEST[what]);
    if (large.hidden) {
      form.dataset.plain = "yes";
      form.requestSubmit(event.submitter);
    }
    return;
  }
  send(form, files);
}

/** Several at once, where a script sends them. */
export function takeSeveral() {
  document.querySelectorAll("form[data-photos] [name=photo]").forEach((field) => { field.multiple = true; });
}

export function watchPhotos() {
  takeSeveral();
  document.addEventListener("submit", onSubmit, true);
}
