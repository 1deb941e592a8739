/* Draws the tramway's film frame by frame, with its sound, and writes it as WebM: every frame at its own time, so that the truth is known. */
async (film) => {
  const { width, height, rate, scenes } = film;
  const canvas = new OffscreenCanvas(width, height);
  const pen = canvas.getContext("2d");
  const seconds = scenes[scenes.length - 1].until;
  const frames = Math.round(seconds * rate);
  const at = (t) => scenes.find((s) => t < s.until) ?? scenes[scenes.length - 1];

  /* How far the spindle has turned, in turns, at each frame. */
  const turned = [];
  let sum = 0;
  for (let k = 0; k < frames; k += 1) {
    turned.push(sum);
    sum += (at(k / rate).rpm ?? 0) / 60 / rate;
  }

  function text(words, x, y, size, align = "left") {
    pen.font = `${size}px sans-serif`;
    pen.textAlign = align;
    pen.fillText(words, x, y);
  }

  function lever(x, y, labels, set) {
    pen.strokeStyle = "#333";
    pen.lineWidth = 3;
    pen.beginPath();
    pen.moveTo(x, y);
    pen.lineTo(x + (labels.length - 1) * 30, y);
    pen.stroke();
    labels.forEach((label, i) => {
      pen.fillStyle = label === set ? "#8a2a1a" : "#ddd";
      pen.beginPath();
      pen.arc(x + i * 30, y, label === set ? 9 : 5, 0, 7);
      pen.fill();
      pen.fillStyle = "#222";
      text(label, x + i * 30, y + 24, 13, "center");
    });
  }

  function draw(k) {
    const t = k / rate;
    const s = at(t);
    pen.fillStyle = s.ground ?? "#b9c2bd";
    pen.fillRect(0, 0, width, height);
    if (s.card) {
      pen.fillStyle = "#eee";
      s.card.forEach((line, i) => text(line, width / 2, 90 + i * 34, 22, "center"));
      return;
    }
    pen.fillStyle = "#5d6f66";
    pen.fillRect(20, 40, 190, 170);
    pen.fillStyle = "#4a5952";
    pen.fillRect(0, 210, width, 22);
    lever(50, 80, ["A", "B", "C"], s.range);
    lever(50, 140, ["1", "2", "3", "4"], s.gear);
    const angle = turned[k] * 2 * Math.PI;
    pen.save();
    pen.translate(275, 130);
    pen.fillStyle = "#d9d9d4";
    pen.beginPath();
    pen.arc(0, 0, 62, 0, 7);
    pen.fill();
    pen.rotate(angle);
    pen.fillStyle = "#20262b";
    pen.fillRect(-7, -62, 14, 34);
    pen.beginPath();
    pen.arc(0, 0, 16, 0, 7);
    pen.fill();
    pen.restore();
    /* The carriage with its dial and a rule of 200 mm in one plane. */
    const travel = (s.feed ?? 0) * Math.max(0, t - s.from) + (s.start ?? 0);
    pen.fillStyle = "#f2efe4";
    pen.fillRect(360, 236, 100, 14);
    pen.fillStyle = "#222";
    for (let mm = 0; mm <= 200; mm += 20) { pen.fillRect(360 + mm / 2 - 0.5, 236, 1, mm % 100 ? 6 : 10); }
    text("0", 360, 262, 10, "center");
    text("200 mm", 460, 262, 10, "center");
    pen.fillStyle = "#3b4f63";
    pen.fillRect(360 + travel / 2, 180, 34, 34);
    pen.fillStyle = "#8a2a1a";
    pen.fillRect(360 + travel / 2, 214, 2, 22);
    pen.fillStyle = "#111";
    if (s.dial) { text(s.dial, 420, 60, 18, "center"); }
  }

  const chunks = [];
  const take = (track) => (chunk) => {
    const bytes = new Uint8Array(chunk.byteLength);
    chunk.copyTo(bytes);
    chunks.push({ track, ms: Math.round(chunk.timestamp / 1000), key: chunk.type === "key", bytes });
  };
  const failed = (e) => { throw e; };
  const video = new VideoEncoder({ output: take(1), error: failed });
  video.configure({ codec: "vp8", width, height, bitrate: film.bitrate, framerate: rate, latencyMode: "quality" });
  for (let k = 0; k < frames; k += 1) {
    draw(k);
    const frame = new VideoFrame(canvas, { timestamp: Math.round((k * 1e6) / rate), duration: Math.round(1e6 / rate) });
    video.encode(frame, { keyFrame: k % (rate * 4) === 0 || scenes.some((s) => Math.round(s.from * rate) === k && s.cut) });
    frame.close();
    if (video.encodeQueueSize > 20) { await new Promise((r) => { setTimeout(r, 10); }); }
  }
  await video.flush();

  const hertz = 48000;
  let description = null;
  const sound = new AudioEncoder({ output: (chunk, meta) => {
    description ??= meta?.decoderConfig?.description;
    take(2)(chunk);
  }, error: failed });
  sound.configure({ codec: "opus", sampleRate: hertz, numberOfChannels: 1, bitrate: 16000 });
  const part = hertz / 10;
  let phase = 0;
  for (let i = 0; i * part < seconds * hertz; i += 1) {
    const data = new Float32Array(part);
    const s = at((i * part) / hertz);
    const mesh = ((s.rpm ?? 0) / 60) * 27;
    for (let n = 0; n < part; n += 1) {
      phase += (2 * Math.PI * mesh) / hertz;
      data[n] = s.rpm ? 0.18 * Math.sin(phase) + 0.06 * Math.sin((2 * Math.PI * 100 * (i * part + n)) / hertz) + 0.03 * (Math.random() - 0.5)
        : 0.004 * (Math.random() - 0.5);
    }
    const audio = new AudioData({ format: "f32", sampleRate: hertz, numberOfFrames: part, numberOfChannels: 1,
      timestamp: Math.round((i * part * 1e6) / hertz), data });
    sound.encode(audio);
    audio.close();
  }
  await sound.flush();

  /* WebM: elements with their ids, sizes and contents. */
  const joined = (parts) => {
    const whole = new Uint8Array(parts.reduce((n, p) => n + p.length, 0));
    let place = 0;
    parts.forEach((p) => { whole.set(p, place); place += p.length; });
    return whole;
  };
  const number = (value, bytes) => Uint8Array.from({ length: bytes }, (_, i) => Math.floor(value / 256 ** (bytes - 1 - i)) % 256);
  const id = (hexed) => Uint8Array.from(hexed.match(/../g), (h) => parseInt(h, 16));
  const element = (name, ...parts) => {
    const body = joined(parts);
    const size = number(body.length, 8);
    size[0] = 1;
    return joined([id(name), size, body]);
  };
  const uint = (name, value) => element(name, number(value, value > 0xffffffff ? 8 : 4));
  const words = (name, value) => element(name, new TextEncoder().encode(value));
  const float = (name, value) => {
    const bytes = new Uint8Array(8);
    new DataView(bytes.buffer).setFloat64(0, value);
    return element(name, bytes);
  };
  chunks.sort((a, b) => a.ms - b.ms || a.track - b.track);
  const clusters = [];
  let open = null;
  chunks.forEach((c) => {
    if (!open || c.ms - open.ms > 4000 || (c.track === 1 && c.key)) {
      open = { ms: c.ms, blocks: [] };
      clusters.push(open);
    }
    open.blocks.push(element("a3", Uint8Array.from([0x80 | c.track]), number((c.ms - open.ms) & 0xffff, 2),
      Uint8Array.from([c.track === 2 || c.key ? 0x80 : 0]), c.bytes));
  });
  const written = clusters.map((c) => element("1f43b675", uint("e7", c.ms), ...c.blocks));
  const info = element("1549a966", uint("2ad7b1", 1000000), float("4489", seconds * 1000), words("4d80", "Tall Ledger"),
    words("5741", "Tall Ledger"));
  const tracks = element("1654ae6b",
    element("ae", uint("d7", 1), uint("73c5", 1), uint("83", 1), words("86", "V_VP8"), uint("23e383", Math.round(1e9 / rate)),
      element("e0", uint("b0", width), uint("ba", height))),
    element("ae", uint("d7", 2), uint("73c5", 2), uint("83", 2), words("86", "A_OPUS"), element("63a2", new Uint8Array(description)),
      element("e1", float("b5", hertz), uint("9f", 1))));
  const cues = (from) => {
    let place = from;
    return element("1c53bb6b", ...clusters.map((c, i) => {
      const cue = element("bb", element("b3", number(c.ms, 4)), element("b7", element("f7", number(1, 1)),
        element("f1", number(place, 8))));
      place += written[i].length;
      return cue;
    }));
  };
  const before = info.length + tracks.length;
  const segment = element("18538067", info, tracks, cues(before + cues(0).length), ...written);
  const head = element("1a45dfa3", uint("4286", 1), uint("42f7", 1), uint("42f2", 4), uint("42f3", 8), words("4282", "webm"),
    uint("4287", 2), uint("4285", 2));
  const bytes = joined([head, segment]);
  let out = "";
  for (let i = 0; i < bytes.length; i += 8190) { out += btoa(String.fromCharCode(...bytes.subarray(i, i + 8190))); }
  return out;
}
