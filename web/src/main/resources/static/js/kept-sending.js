/* Sends what was kept, in its order, each once: a key that was taken before finds the entry it wrote. What is refused or clashes stays
   here with what was said of it, and the rest goes on. */
import { ConnectionLost, NotLetIn } from "./kept-lost.js";

const PATIENCE = 20000;
const PICTURE_PATIENCE = 180000;

/** What an answer makes of an entry: recorded, wrong, clashing; or null where it is to be sent again later. */
export function cameTo(entry, status, said) {
  if (status === 200 && said) {
    return { ...entry, state: "sent", photo: null, entry: said.entry || 0, judged: said.says || "", outcome: said.outcome || "",
      failed: said.failed === true, stopsUse: entry.stopsUse === true && said.failed === true, mayBeGood: false };
  }
  if (status === 409 && said) { return { ...entry, state: "clash", theirs: said.theirs || [], head: said.head }; }
  if (status === 503 || status === 500) { return null; }
  const wrong = said && said.wrong && said.wrong.length ? said.wrong : ["It was refused (" + status + ")."];
  return { ...entry, state: "refused", wrong };
}

async function answered(address, options, patience) {
  const stop = new AbortController();
  const late = setTimeout(() => stop.abort(), patience);
  try {
    const answer = await fetch(address, { ...options, cache: "no-store", signal: stop.signal });
    if (answer.redirected && new URL(answer.url).pathname.startsWith("/pair")) { throw new NotLetIn(); }
    const json = (answer.headers.get("content-type") || "").startsWith("application/json");
    return { status: answer.status, said: json ? await answer.json() : null };
  } catch (failed) {
    if (failed instanceof NotLetIn) { throw failed; }
    throw new ConnectionLost();
  } finally {
    clearTimeout(late);
  }
}

export class Sending {
  kept;
  stands = {};

  /** @param kept the store; @param tell is called after each with what it came to */
  constructor(kept, tell) {
    this.kept = kept;
    this.tell = tell;
  }

  async stand(survey, left) {
    const { status, said } = await answered("/surveys/" + survey + "/pocket/stand", { headers: { "X-Kept-Left": String(left) } }, PATIENCE);
    if (status !== 200 || !said) { throw status === 403 ? new NotLetIn() : new ConnectionLost(); }
    this.stands[survey] = said;
    return said;
  }

  async post(entry, left) {
    const stand = this.stands[entry.survey] || await this.stand(entry.survey, left);
    const body = entry.photo ? new FormData() : new URLSearchParams();
    entry.fields.filter(([name]) => name !== "_csrf" && name !== "submission" && name !== "seen")
      .forEach(([name, value]) => body.append(name, value));
    body.append("submission", entry.key);
    body.append("seen", String(entry.seen));
    body.append("_csrf", stand.token);
    if (entry.photo) { body.append(entry.what, entry.photo, entry.what); }
    return answered(entry.action, { method: "POST", body, headers: { "X-Kept-Made": String(entry.made), "X-Kept-Sent": String(Date.now()),
      "X-Kept-Left": String(left), Accept: "application/json" } }, entry.photo ? PICTURE_PATIENCE : PATIENCE);
  }

  async waiting() { return (await this.kept.all()).filter((entry) => entry.state === "waits"); }

  async sendOne(entry, left) {
    let { status, said } = await this.post(entry, left);
    if (status === 403) {
      /* The token of a browser that was closed meanwhile. */
      delete this.stands[entry.survey];
      ({ status, said } = await this.post(entry, left));
      if (status === 403) { throw new NotLetIn(); }
    }
    const now = cameTo(entry, status, said);
    if (!now) { throw new ConnectionLost(); }
    await this.kept.put(now);
    this.tell(now);
  }

  /** @throws ConnectionLost, NotLetIn; what was sent before is sent */
  async send() {
    /* A device let in anew, for another survey, may hold entries of the one before: they do not keep its own waiting. */
    const shut = new Set();
    const open = async () => (await this.waiting()).filter((entry) => !shut.has(entry.survey));
    for (let waiting = await open(); waiting.length; waiting = await open()) {
      for (const [at, entry] of waiting.entries()) {
        if (!shut.has(entry.survey)) {
          await this.sendOne(entry, waiting.length - at).catch((failed) => {
            if (!(failed instanceof NotLetIn)) { throw failed; }
            shut.add(entry.survey);
          });
        }
      }
    }
    if (shut.size) { throw new NotLetIn(); }
    const surveys = Object.keys(this.stands);
    if (surveys.length) {
      const held = (await this.kept.all()).filter((entry) => entry.state !== "sent").length;
      await this.stand(surveys[0], held);
    }
  }
}
