'use strict';
// Checks a survey as it was handed over: one zip, looked at in this browser and sent nowhere. Beside it the application has the same
// check in Java; a test holds the two against each other. Nothing here is fetched.
const MOST_FILES = 5000, MOST_BYTES = 700e6, LARGEST_DIRECTORY = 2e6, LONGEST_NAME = 200, MOST_NAMES_SAID = 20, DEEPEST = 200;
const bytesOf = text => new TextEncoder().encode(text);
const hex = bytes => Array.from(bytes, b => b.toString(16).padStart(2, '0')).join('');

// --- SHA-256 (FIPS 180-4), incremental -------------------------------------------------------------------------------
const K256 = primes(64).map(p => frac(p, 3));
const H256 = primes(8).map(p => frac(p, 2));
function primes(n) { const all = []; for (let c = 2; all.length < n; c++) { if (all.every(p => c % p)) { all.push(c); } } return all; }
// The first 32 bits of the fraction of a root, reckoned in whole numbers so that no digit is lost.
function frac(p, root) { return Number(rootBits(BigInt(p), BigInt(root), 32n) & 0xffffffffn); }
function rootBits(p, root, bits) {
  const target = p << (bits * root);
  let low = 0n, high = 1n << (bits + 12n);
  while (low < high) {
    const middle = (low + high + 1n) >> 1n;
    if (middle ** root <= target) { low = middle; } else { high = middle - 1n; }
  }
  return low;
}
function sha256(data) {
  const length = data.length, blocks = (length + 9 + 63) >> 6, tail = new Uint8Array(128), whole = length >> 6;
  const rest = length - (whole << 6), padded = (blocks - whole) << 6;
  tail.set(data.subarray(whole << 6)); tail[rest] = 0x80;
  const bits = new DataView(tail.buffer);
  bits.setUint32(padded - 8, Math.floor(length / 0x20000000));
  bits.setUint32(padded - 4, (length << 3) >>> 0);
  const h = Uint32Array.from(H256), w = new Uint32Array(64);
  const block = (b, at) => {
    for (let i = 0; i < 16; i++, at += 4) { w[i] = (b[at] << 24) | (b[at + 1] << 16) | (b[at + 2] << 8) | b[at + 3]; }
    for (let i = 16; i < 64; i++) {
      const x = w[i - 15], y = w[i - 2];
      w[i] = w[i - 16] + ((x >>> 7 | x << 25) ^ (x >>> 18 | x << 14) ^ (x >>> 3)) + w[i - 7]
          + ((y >>> 17 | y << 15) ^ (y >>> 19 | y << 13) ^ (y >>> 10));
    }
    let [a, bb, c, d, e, f, g, hh] = h;
    for (let i = 0; i < 64; i++) {
      const t = (hh + ((e >>> 6 | e << 26) ^ (e >>> 11 | e << 21) ^ (e >>> 25 | e << 7)) + ((e & f) ^ (~e & g)) + K256[i] + w[i]) | 0;
      const u = (((a >>> 2 | a << 30) ^ (a >>> 13 | a << 19) ^ (a >>> 22 | a << 10)) + ((a & bb) ^ (a & c) ^ (bb & c))) | 0;
      hh = g; g = f; f = e; e = (d + t) | 0; d = c; c = bb; bb = a; a = (t + u) | 0;
    }
    h[0] += a; h[1] += bb; h[2] += c; h[3] += d; h[4] += e; h[5] += f; h[6] += g; h[7] += hh;
  };
  for (let i = 0; i < whole; i++) { block(data, i << 6); }
  for (let at = 0; at < padded; at += 64) { block(tail, at); }
  const out = new Uint8Array(32), view = new DataView(out.buffer);
  h.forEach((word, i) => view.setUint32(i * 4, word));
  return out;
}

// --- SHA-512 and Ed25519 (RFC 8032), in whole numbers ----------------------------------------------------------------
const M64 = (1n << 64n) - 1n;
const K512 = primes(80).map(p => rootBits(BigInt(p), 3n, 64n) & M64);
const H512 = primes(8).map(p => rootBits(BigInt(p), 2n, 64n) & M64);
function sha512(data) {
  const padded = new Uint8Array(((data.length + 17 + 127) >> 7) << 7);
  padded.set(data); padded[data.length] = 0x80;
  new DataView(padded.buffer).setBigUint64(padded.length - 8, BigInt(data.length) * 8n);
  const h = H512.slice(), w = new Array(80), view = new DataView(padded.buffer), turn = (x, n) => (x >> n | x << (64n - n)) & M64;
  for (let at = 0; at < padded.length; at += 128) {
    for (let i = 0; i < 16; i++) { w[i] = view.getBigUint64(at + i * 8); }
    for (let i = 16; i < 80; i++) {
      const x = w[i - 15], y = w[i - 2];
      w[i] = (w[i - 16] + (turn(x, 1n) ^ turn(x, 8n) ^ x >> 7n) + w[i - 7] + (turn(y, 19n) ^ turn(y, 61n) ^ y >> 6n)) & M64;
    }
    let [a, b, c, d, e, f, g, k] = h;
    for (let i = 0; i < 80; i++) {
      const t = (k + (turn(e, 14n) ^ turn(e, 18n) ^ turn(e, 41n)) + (e & f ^ (e ^ M64) & g) + K512[i] + w[i]) & M64;
      const u = ((turn(a, 28n) ^ turn(a, 34n) ^ turn(a, 39n)) + (a & b ^ a & c ^ b & c)) & M64;
      k = g; g = f; f = e; e = (d + t) & M64; d = c; c = b; b = a; a = (t + u) & M64;
    }
    [a, b, c, d, e, f, g, k].forEach((x, i) => { h[i] = (h[i] + x) & M64; });
  }
  const out = new Uint8Array(64), o = new DataView(out.buffer);
  h.forEach((x, i) => o.setBigUint64(i * 8, x));
  return out;
}
const P = (1n << 255n) - 19n, L = (1n << 252n) + 27742317777372353535851937790883648493n;
const mod = a => { const r = a % P; return r < 0n ? r + P : r; };
function power(a, n) { let r = 1n; for (a = mod(a); n > 0n; n >>= 1n) { if (n & 1n) { r = r * a % P; } a = a * a % P; } return r; }
const D = mod(-121665n * power(121666n, P - 2n)), ROOT = power(2n, (P - 1n) / 4n);
function number(bytes) { let n = 0n; for (let i = bytes.length - 1; i >= 0; i--) { n = n << 8n | BigInt(bytes[i]); } return n; }
function point(bytes) {
  const sign = bytes[31] >> 7, y = number(bytes) & ((1n << 255n) - 1n);
  if (y >= P) { return null; }
  const u = mod(y * y - 1n), v = mod(D * y * y + 1n);
  let x = mod(u * power(v, 3n) * power(u * power(v, 7n), (P - 5n) / 8n));
  if (mod(v * x * x) !== u) { if (mod(v * x * x) !== mod(-u)) { return null; } x = mod(x * ROOT); }
  if (x === 0n && sign) { return null; }
  if (Number(x & 1n) !== sign) { x = mod(-x); }
  return [x, y, 1n, mod(x * y)];
}
function add(p, q) {
  const a = mod((p[1] - p[0]) * (q[1] - q[0])), b = mod((p[1] + p[0]) * (q[1] + q[0])), c = mod(2n * p[3] * D * q[3]),
      d = mod(2n * p[2] * q[2]);
  const e = b - a, f = d - c, g = d + c, h = b + a;
  return [mod(e * f), mod(g * h), mod(f * g), mod(e * h)];
}
function times(n, p) { let r = [0n, 1n, 1n, 0n]; for (; n > 0n; n >>= 1n) { if (n & 1n) { r = add(r, p); } p = add(p, p); } return r; }
function ed25519(signature, message, key) {
  if (signature.length !== 64 || key.length !== 32) { return false; }
  const a = point(key), r = point(signature.subarray(0, 32)), s = number(signature.subarray(32));
  if (!a || !r || s >= L) { return false; }
  const all = new Uint8Array(64 + message.length);
  all.set(signature.subarray(0, 32)); all.set(key, 32); all.set(message, 64);
  const base = point(Uint8Array.from([0x58, ...new Array(31).fill(0x66)]));
  const left = times(s, base), right = add(r, times(number(sha512(all)) % L, a));
  return mod(left[0] * right[2]) === mod(right[0] * left[2]) && mod(left[1] * right[2]) === mod(right[1] * left[2]);
}

// --- Canonical JSON (RFC 8785) of what occurs here: text, whole numbers, yes and no, lists, maps ---------------------
function canonical(v) {
  if (Array.isArray(v)) { return '[' + v.map(canonical).join(',') + ']'; }
  if (v !== null && typeof v === 'object') {
    return '{' + Object.keys(v).sort().map(k => JSON.stringify(k) + ':' + canonical(v[k])).join(',') + '}';
  }
  return JSON.stringify(v);
}

// Whether something stands in it that is never written: nothing, a number too large to be exact.
function odd(v) {
  if (Array.isArray(v)) { return v.some(odd); }
  if (v !== null && typeof v === 'object') { return Object.values(v).some(odd); }
  return v === null;
}

// Reads JSON of the narrow kind a ledger is written in: whole numbers of at most 15 digits, written plainly (3.0 is not), texts that are
// texts, not nested deeply. What two programs could read differently is read by none.
const HALF_A_SIGN = /[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/;
function halfSigns(v) {
  if (Array.isArray(v)) { return v.some(halfSigns); }
  if (v !== null && typeof v === 'object') { return Object.keys(v).some(k => HALF_A_SIGN.test(k) || halfSigns(v[k])); }
  return typeof v === 'string' && HALF_A_SIGN.test(v);
}
function plain(bytes) {
  const text = new TextDecoder('utf-8', {fatal: true}).decode(bytes), bare = text.replace(/"[^"\\]*(?:\\.[^"\\]*)*"/g, '""');
  let depth = 0;
  for (let i = 0; i < bare.length; i++) {
    const c = bare[i];
    depth += c === '{' || c === '[' ? 1 : c === '}' || c === ']' ? -1 : 0;
    if (depth > DEEPEST) { throw new Error('nested too deeply'); }
  }
  if (/\d[.eE]|\d{16}/.test(bare)) { throw new Error('not a plain number'); }
  const value = JSON.parse(text);
  if (halfSigns(value)) { throw new Error('no text'); }
  return value;
}

// --- The zip, as it is written and no other: files one after another from the first byte, the directory behind them, the end record
// last, what stands before each file the same as in the directory, plain files only -----------------------------------------------
const UNSAFE_SIGN = /[\u0000-\u001f\u007f-\u009f\u200e\u200f\u2028-\u202e\u2066-\u2069]/g;
const UNSAFE = new RegExp('^/|^[A-Za-z]:|\\\\|(^|/)\\.\\.(/|$)|' + UNSAFE_SIGN.source);
const view = async (file, from, count) => new DataView(await file.slice(from, Math.max(from, from + count)).arrayBuffer());
async function unzip(file, found) {
  const wrong = (what, where) => { found.push([what, where || '']); return null; };
  const size = Math.min(file.size, 66000), tail = await view(file, file.size - size, size), end = size - 22, END = 0x06054b50;
  if (end < 0 || tail.getUint32(end, true) !== END || tail.getUint16(end + 20, true)) {
    for (let at = end; at >= 0; at--) { if (tail.getUint32(at, true) === END) { return wrong('ZIP_AFTER'); } }
    return wrong('ZIP_BROKEN');
  }
  const count = tail.getUint16(end + 10, true), length = tail.getUint32(end + 12, true), from = tail.getUint32(end + 16, true);
  if (count > MOST_FILES || length > LARGEST_DIRECTORY) { return wrong('TOO_LARGE'); }
  if (tail.getUint32(end + 4, true) || tail.getUint16(end + 8, true) !== count || from + length > file.size - 22) {
    return wrong('ZIP_BROKEN');
  }
  if (from + length < file.size - 22) { return wrong('ZIP_GAP'); }
  const parts = directory(await view(file, from, length), count, wrong);
  if (!parts) { return null; }
  if (parts.reduce((sum, e) => sum + e.open, 0) > MOST_BYTES) { return wrong('TOO_LARGE'); }
  return await backToBack(file, parts, from, wrong) ? named(parts, wrong) : null;
}
function directory(d, count, wrong) {
  const parts = [];
  let at = 0;
  for (let i = 0; i < count; i++) {
    const n = at + 46 <= d.byteLength ? d.getUint16(at + 28, true) : 0;
    if (at + 46 + n > d.byteLength || d.getUint32(at, true) !== 0x02014b50) { return wrong('ZIP_BROKEN'); }
    const e = {name: new Uint8Array(d.buffer, at + 46, n), flags: d.getUint16(at + 8, true), packed: d.getUint16(at + 10, true),
        time: d.getUint32(at + 12, true), crc: d.getUint32(at + 16, true), size: d.getUint32(at + 20, true),
        open: d.getUint32(at + 24, true), at: d.getUint32(at + 42, true)};
    const kind = d.getUint16(at + 40, true) & 0xf000;
    // Fields for other programs, comments, further disks, encrypted, links, folders: nothing that a survey needs.
    if (d.getUint32(at + 30, true) || d.getUint16(at + 34, true) || e.flags & ~0x0808 || e.packed !== 0 && e.packed !== 8
        || d.getUint16(at + 38, true) & 0x18 || kind !== 0 && kind !== 0x8000 || e.size === 0xffffffff || e.open === 0xffffffff
        || n && e.name[n - 1] === 0x2f) {
      return wrong('ZIP_KIND', 'file ' + (i + 1));
    }
    parts.push(e);
    at += 46 + n;
  }
  return at === d.byteLength ? parts : wrong('ZIP_GAP');
}
async function backToBack(file, parts, from, wrong) {
  const said = (d, at, e) => d.getUint32(at, true) === e.crc && d.getUint32(at + 4, true) === e.size
      && d.getUint32(at + 8, true) === e.open;
  let next = 0;
  for (let i = 0; i < parts.length; i++) {
    const e = parts[i], n = e.name.length;
    e.begins = e.at + 30 + n;
    if (e.at !== next || e.begins + e.size > from) { return wrong('ZIP_GAP', 'file ' + (i + 1)); }
    const h = await view(file, e.at, 30 + n), name = new Uint8Array(h.buffer, 30), behind = e.flags & 8;
    let same = h.getUint32(0, true) === 0x04034b50 && h.getUint16(6, true) === e.flags && h.getUint16(8, true) === e.packed
        && h.getUint32(10, true) === e.time && h.getUint16(26, true) === n && h.getUint16(28, true) === 0
        && e.name.every((b, k) => b === name[k])
        && (said(h, 14, e) || behind && !h.getUint32(14, true) && !h.getUint32(18, true) && !h.getUint32(22, true));
    next = e.begins + e.size;
    if (behind) {
      const b = await view(file, next, 16);
      same = same && b.byteLength === 16 && b.getUint32(0, true) === 0x08074b50 && said(b, 4, e);
      next += 16;
    }
    if (!same) { return wrong('ZIP_LOCAL', 'file ' + (i + 1)); }
  }
  return next === from || wrong('ZIP_GAP');
}
function named(parts, wrong) {
  // Of two files of one name nobody knows which counts: neither.
  const files = new Map(), twice = new Set();
  let unsafe = 0;
  parts.forEach((e, i) => {
    let name = '';
    try {
      if (e.flags & 0x0800 || e.name.every(b => b < 128)) { name = new TextDecoder('utf-8', {fatal: true, ignoreBOM: true}).decode(e.name); }
    } catch (noText) { name = ''; }
    if (!name || name.length > LONGEST_NAME || UNSAFE.test(name)) {
      if (unsafe++ < MOST_NAMES_SAID) { wrong('NAME_UNSAFE', name ? name.slice(0, LONGEST_NAME).replace(UNSAFE_SIGN, '?') : 'file ' + (i + 1)); }
    } else if (files.has(name)) { twice.add(name); } else { files.set(name, e); }
  });
  twice.forEach(name => { files.delete(name); wrong('NAME_TWICE', name); });
  return files;
}
const CRC = Array.from({length: 256}, (none, c) => { for (let k = 0; k < 8; k++) { c = c & 1 ? c >>> 1 ^ 0xedb88320 : c >>> 1; } return c; });
function crc32(data) {
  let c = -1;
  for (let i = 0; i < data.length; i++) { c = CRC[(c ^ data[i]) & 255] ^ c >>> 8; }
  return ~c >>> 0;
}
// Nothing where it is more, less or other than was said: a bomb, or a file that was written over.
async function content(file, e) {
  const packed = file.slice(e.begins, e.begins + e.size);
  let out = new Uint8Array(0);
  if (e.packed === 0) {
    out = e.size === e.open ? new Uint8Array(await packed.arrayBuffer()) : null;
  } else {
    try {
      const reader = packed.stream().pipeThrough(new DecompressionStream('deflate-raw')).getReader();
      out = new Uint8Array(e.open);
      let at = 0;
      for (let part = await reader.read(); !part.done; part = await reader.read()) {
        if (at + part.value.length > out.length) { return null; }
        out.set(part.value, at); at += part.value.length;
      }
      out = at === out.length ? out : null;
    } catch (torn) { return null; }
  }
  return out && crc32(out) === e.crc ? out : null;
}

// --- One book, entry by entry ----------------------------------------------------------------------------------------
const string = v => typeof v === 'string' ? v : '';
function book(name, entries) {
  const b = {name, found: [], hashes: [], attached: Object.create(null), named: [], count: entries.length, last: entries[entries.length - 1] || {}};
  let previous = '0'.repeat(64);
  entries.forEach((e, i) => {
    const where = name + ' ' + (i + 1);
    if (!b.found.length) {
      const {hash, ...rest} = e;
      if (e.sequence !== i + 1) { b.found.push(['ENTRY_MISSING', where]); }
      else if (e.previous !== previous) { b.found.push(['ENTRY_UNLINKED', where]); }
      else if (hex(sha256(bytesOf(canonical(rest)))) !== hash) { b.found.push(['ENTRY_CHANGED', where]); }
      else if (i && entries[i - 1].kind === 'CLOSED') { b.found.push(['ENTRY_AFTER', where]); }
    }
    previous = string(e.hash); b.hashes[i + 1] = previous;
    (Array.isArray(e.attachments) ? e.attachments : []).filter(a => a && string(a.sha256))
        .forEach(a => (b.attached[string(a.use)] ||= new Set()).add(a.sha256));
    const p = e.payload;
    if (p && typeof p === 'object') {
      [['MACHINE', p.machineVersion, p.machineHash], ['HOUSE', p.rules, p.rulesHash]].filter(n => Number.isInteger(n[1])
          && Math.abs(n[1]) < 2 ** 31 && typeof n[2] === 'string' && n[2])
        .forEach(n => b.named.push({book: n[0], version: n[1], hash: n[2], entry: i + 1}));
    }
  });
  b.lastHash = previous; b.closed = b.last.kind === 'CLOSED';
  const a = b.last.author;
  b.lastBy = a && typeof a === 'object' && !Array.isArray(a) ? string(a.name) + (string(a.role) ? ', ' + a.role : '') : string(a);
  b.lastAt = string(b.last.at);
  b.key = b.last.payload && typeof b.last.payload.key === 'string' ? b.last.payload.key : '';
  return b;
}

// --- The whole -------------------------------------------------------------------------------------------------------
async function check(file, progress) {
  const found = [], result = {found, seal: null, title: '', entries: 0, closed: false, unheld: []};
  const files = await unzip(file, found);
  if (!files) { return result; }
  // Without what every object inherits: a file may be called "constructor".
  const hashes = Object.create(null), texts = Object.create(null);
  let done = 0;
  for (const [name, e] of files) {
    const data = await content(file, e);
    if (!data) { found.push(['ZIP_BROKEN', name]); continue; }
    hashes[name] = hex(globalThis.crypto && crypto.subtle ? new Uint8Array(await crypto.subtle.digest('SHA-256', data)) : sha256(data));
    if (name === 'ledger.json' || name === 'seal.json') { texts[name] = data; }
    progress(++done / files.size);
  }
  if (!files.has('ledger.json')) { found.push(['LEDGER_MISSING', 'ledger.json']); return result; }
  let ledger;
  try { ledger = plain(texts['ledger.json']); } catch (bent) { found.push(['LEDGER_UNREADABLE', 'ledger.json']); return result; }
  if (!ledger || typeof ledger !== 'object' || !Array.isArray(ledger.books)
      || ledger.books.some(b => !b || !Array.isArray(b.entries) || 'kind' in b && typeof b.kind !== 'string' || b.entries.some(e => !e || typeof e !== 'object' || Array.isArray(e)))) {
    found.push([ledger && ledger.format > 1 ? 'LEDGER_NEWER' : 'LEDGER_UNREADABLE', 'ledger.json']); return result;
  }
  if (new Set(ledger.books.map(b => String(b.kind))).size < ledger.books.length) {
    found.push(['LEDGER_UNREADABLE', 'ledger.json']); return result;
  }
  if (ledger.format !== 1) { found.push(['LEDGER_NEWER', 'ledger.json']); return result; }
  if (odd(ledger) || hex(sha256(bytesOf(canonical(ledger)))) !== hashes['ledger.json']) { found.push(['LEDGER_FORM', 'ledger.json']); }
  result.title = string(ledger.title);
  const books = Object.create(null);
  ledger.books.forEach(b => { books[b.kind] = book(String(b.kind), b.entries); });
  const survey = books.SURVEY || book('SURVEY', []);
  if (!survey.count) { found.push(['LEDGER_UNREADABLE', 'ledger.json']); }
  result.entries = survey.count; result.closed = survey.closed;
  Object.values(books).forEach(b => found.push(...b.found));
  Object.values(books).forEach(b => b.named.filter(n => !books[n.book] || books[n.book].hashes[n.version] !== n.hash).slice(0, 80)
      .forEach(n => found.push(['DESCRIPTION_OTHER', b.name + ' ' + n.entry])));
  // Files that are named by the hash an entry holds.
  const folders = [['photos/', 'photograph', 'PHOTO'], ['sounds/', 'sound', 'SOUND']];
  folders.forEach(([folder, use, what]) => {
    const byName = new Set();
    Object.keys(hashes).filter(n => n.startsWith(folder)).forEach(n => {
      const called = n.slice(folder.length);
      byName.add(called.replace(/\..*/, ''));
      if (!called.startsWith(hashes[n])) { found.push([what + '_OTHER', n]); }
    });
    (survey.attached[use] || []).forEach(h => { if (!byName.has(h)) { found.push([what + '_MISSING', folder + h]); } });
  });
  // What neither a seal nor an entry's hash holds: anybody could have put it in or changed it.
  const unheld = held => Object.keys(hashes).filter(n => !held(n) && n !== 'seal.json'
      && !folders.some(f => n.startsWith(f[0]))).sort();
  result.unheld = unheld(n => n === 'ledger.json');
  if (!files.has('seal.json')) { if (survey.closed) { found.push(['SEAL_MISSING', 'seal.json']); } return result; }
  let seal;
  try {
    seal = plain(texts['seal.json']);
    if (!seal || seal.format !== 1 || ['lastHash', 'closedBy', 'closedAt', 'publicKey', 'signature'].some(k => typeof seal[k] !== 'string')
        || !Number.isInteger(seal.count) || Math.abs(seal.count) >= 2 ** 31 || typeof seal.files !== 'object' || !seal.files
        || Array.isArray(seal.files)
        || Object.values(seal.files).some(h => typeof h !== 'string')) {
      throw new Error('no seal');
    }
  } catch (bent) { found.push(['SEAL_UNREADABLE', 'seal.json']); return result; }
  Object.keys(seal.files).forEach(n => {
    if (!(n in hashes)) { found.push(['FILE_MISSING', n]); } else if (hashes[n] !== seal.files[n]) { found.push(['FILE_CHANGED', n]); }
  });
  Object.keys(hashes).filter(n => !Object.hasOwn(seal.files, n) && n !== 'seal.json' && n !== 'verify.html')
      .forEach(n => found.push(['FILE_EXTRA', n]));
  if (seal.count !== survey.count || seal.lastHash !== survey.lastHash) { found.push(['SEAL_CHAIN', 'SURVEY ' + survey.count]); }
  if (!survey.closed || seal.closedBy !== survey.lastBy || seal.closedAt !== survey.lastAt) {
    found.push(['SEAL_CLOSING', 'seal.json']);
  }
  // The one way these bytes are written in base64.
  const raw = s => {
    try { return btoa(atob(s)) === s ? Uint8Array.from(atob(s), c => c.charCodeAt(0)) : new Uint8Array(0); } catch (bent) { return new Uint8Array(0); }
  };
  const key = raw(seal.publicKey);
  // Only what is named is signed: what else somebody wrote into the seal is not, and is said.
  const named = {closedAt: seal.closedAt, closedBy: seal.closedBy, count: seal.count, files: seal.files, format: 1,
      lastHash: seal.lastHash, publicKey: seal.publicKey};
  if (hex(sha256(bytesOf(canonical({...named, signature: seal.signature})))) !== hashes['seal.json']) {
    found.push(['SEAL_FORM', 'seal.json']);
  }
  if (!ed25519(raw(seal.signature), bytesOf(canonical(named)), key)) { found.push(['SIGNATURE_WRONG', 'seal.json']); }
  const print = hex(sha256(key));
  if (survey.closed && survey.key !== print) { found.push(['KEY_OTHER', 'seal.json']); }
  result.unheld = unheld(n => Object.hasOwn(seal.files, n));
  result.seal = {closedBy: seal.closedBy, closedAt: seal.closedAt, fingerprint: print};
  return result;
}
const spoken = (fingerprint, words) => fingerprint.match(/../g).slice(0, 10).map(b => words[parseInt(b, 16)]).join(' ');
