/* Entries that were made without a connection, in this browser's own store, in their order, until they are sent. */

const NAME = "tall-ledger";
const STORE = "kept";
const DEVICE = "device-key";
/* What may be written without a connection: one entry about one step, a start or a stop, kit, a photograph, film
   or sound. */
const KEPT = /^\/surveys\/(\d+)\/(run|step|start|stop|pass|later|check|camera|photos|films|sounds|kit|kit\/mark)$/;

/** The survey of a form that can be kept, by its address; empty where it is sent only while it is connected. */
export function keptFor(action, base) {
  const found = new URL(action, base).pathname.match(KEPT);
  return found ? found[1] : "";
}

/** What a form is, by its address: run, step, start … */
export function kindOf(action) { return action.replace(/^.*\/surveys\/\d+\//, ""); }

/** A key as forms have it. */
export function freshKey() {
  if (window.crypto.randomUUID) { return window.crypto.randomUUID(); }
  const hex = Array.from(window.crypto.getRandomValues(new Uint8Array(16)), (b) => b.toString(16).padStart(2, "0")).join("");
  return hex.replace(/^(.{8})(.{4})(.{4})(.{4})(.{12})$/, "$1-$2-$3-$4-$5");
}

let own = "";

/** A key that begins as all of this device do, so that its own entries are no clash with one another. */
export function deviceKey() {
  if (!own) {
    try {
      own = window.localStorage.getItem(DEVICE) || "";
      if (!own) {
        own = freshKey().slice(0, 8);
        window.localStorage.setItem(DEVICE, own);
      }
    } catch (blocked) {
      own = freshKey().slice(0, 8);
    }
  }
  return own + freshKey().slice(8);
}

const asked = (request) => new Promise((good, bad) => {
  request.addEventListener("success", () => good(request.result));
  request.addEventListener("error", () => bad(request.error));
});

export class Kept {
  base;

  constructor(base) { this.base = base; }

  /** @returns a promise; it fails where the browser keeps nothing, as in a private window */
  static async open() {
    const request = window.indexedDB.open(NAME, 1);
    request.addEventListener("upgradeneeded", () => {
      request.result.createObjectStore(STORE, { keyPath: "n", autoIncrement: true });
    });
    const base = await asked(request);
    /* A newer page may need another form of the store. */
    base.addEventListener("versionchange", () => base.close());
    return new Kept(base);
  }

  async all() { return asked(this.base.transaction(STORE).objectStore(STORE).getAll()); }

  /* Done when it is on the disk, not when it is asked for. */
  async change(work) {
    const change = this.base.transaction(STORE, "readwrite", { durability: "strict" });
    const request = work(change.objectStore(STORE));
    await new Promise((good, bad) => {
      change.addEventListener("complete", good);
      ["error", "abort"].forEach((what) => change.addEventListener(what, () => bad(change.error || request.error)));
    });
    return request.result;
  }

  /** @returns its number */
  async add(entry) { return this.change((store) => store.add(entry)); }

  async put(entry) { return this.change((store) => store.put(entry)); }

  async remove(n) { return this.change((store) => store.delete(n)); }
}
