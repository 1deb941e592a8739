/* The strip under a film: level of its sound, entries as strokes, cuts, the piece that is played again, where one is. */

/** Colours by their meaning, as the page has them now. */
function colour(canvas, name) {
  canvas.style.color = `var(${name})`;
  return getComputedStyle(canvas).color;
}

/** @param film level 0 to 1 in equal parts, length s, now s, loop, entries and cuts with their seconds */
export function drawStrip(canvas, film) {
  const { width, height } = canvas;
  const pen = canvas.getContext("2d");
  const x = (second) => (film.length ? (Number(second) / film.length) * width : 0);
  pen.clearRect(0, 0, width, height);
  pen.fillStyle = colour(canvas, "--wash");
  pen.fillRect(0, 0, width, height);
  if (film.loop.from !== null && film.loop.until > film.loop.from) {
    pen.fillStyle = colour(canvas, "--tint");
    pen.fillRect(x(film.loop.from), 0, x(film.loop.until) - x(film.loop.from), height);
  }
  pen.fillStyle = colour(canvas, "--slate");
  const each = width / film.level.length;
  film.level.forEach((level, i) => {
    const tall = level * (height - 36);
    pen.fillRect(i * each, 24 + (height - 36 - tall) / 2, Math.max(1, each - 0.5), Math.max(1, tall));
  });
  pen.lineWidth = 3;
  pen.setLineDash([6, 5]);
  pen.strokeStyle = colour(canvas, "--oxide");
  film.cuts.forEach((cut) => line(pen, x(cut), 0, height));
  pen.setLineDash([]);
  pen.strokeStyle = colour(canvas, "--verdigris");
  film.entries.filter((e) => !e.cut).forEach((e) => line(pen, x(e.second), 0, 20));
  pen.strokeStyle = colour(canvas, "--ink");
  pen.lineWidth = 2;
  line(pen, x(film.now), 0, height);
}

function line(pen, x, from, to) {
  pen.beginPath();
  pen.moveTo(x, from);
  pen.lineTo(x, to);
  pen.stroke();
}
