/* What is half typed, form by form, on this tablet, until the server says that it is recorded. */

const PREFIX = "half-typed ";

/** Drafts by the name of their form. A draft is { typed: [name, value, whether ticked], keys: [name, value], at: ms }. */
export class Drafts {
  storage;

  /** @param storage the browser's own, or one like it */
  constructor(storage) { this.storage = storage; }

  names() { return Object.keys(this.storage).filter((name) => name.startsWith(PREFIX)); }

  /** The draft of a form; null where there is none. */
  of(form) {
    const kept = this.storage.getItem(PREFIX + form);
    return kept === null ? null : JSON.parse(kept);
  }

  keep(form, draft) { this.storage.setItem(PREFIX + form, JSON.stringify(draft)); }

  forget(form) { this.storage.removeItem(PREFIX + form); }

  /** Recorded under this key: nothing of it is half typed any more, wherever its answer led to. */
  recorded(key) {
    this.names().filter((name) => key && this.storage.getItem(name).includes('["submission","' + key + '"]'))
      .forEach((name) => this.storage.removeItem(name));
  }

  /** Drafts of other forms of one kind, the newest first. */
  others(kind, own) {
    return this.names().map((name) => name.slice(PREFIX.length)).filter((form) => form.startsWith(kind + " ") && form !== own)
      .map((form) => ({ form, draft: this.of(form) })).sort((x, y) => (y.draft.at || 0) - (x.draft.at || 0));
  }
}

/** A field's value in a draft; empty where it was not typed. */
export function typedIn(draft, name) {
  const found = draft.typed.find(([field]) => field === name);
  return found ? found[1] : "";
}

/** Which fields a draft fills: pairs of a field's place and what goes into it. Of several of one name the first is the first. */
export function fills(draft, fields) {
  const seen = {};
  return draft.typed.flatMap(([name, value, ticked]) => {
    const places = fields.map((field, i) => ({ field, i }))
      .filter(({ field }) => field.name === name && (ticked === null ? !field.ticks : field.value === value)).map(({ i }) => i);
    if (ticked !== null) { return places.map((at) => ({ at, ticked })); }
    const nth = seen[name] || 0;
    seen[name] = nth + 1;
    return nth < places.length ? [{ at: places[nth], value }] : [];
  });
}
