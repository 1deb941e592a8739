/* A worker: reads a film part by part and reckons its SHA-256, so that the page goes on and nothing of it piles up in memory. */
import { sha256 } from "./noble/sha2.js";

/** Read at a time, bytes. */
const A_PART = 8 * 1024 * 1024;

const hex = (bytes) => Array.from(bytes, (b) => b.toString(16).padStart(2, "0")).join("");

self.addEventListener("message", async ({ data: file }) => {
  try {
    const hash = sha256.create();
    for (let at = 0; at < file.size; at += A_PART) {
      hash.update(new Uint8Array(await file.slice(at, at + A_PART).arrayBuffer()));
      self.postMessage({ read: Math.min(file.size, at + A_PART) });
    }
    self.postMessage({ hash: hex(hash.digest()) });
  } catch (cannot) {
    self.postMessage({ wrong: cannot.message });
  }
});
