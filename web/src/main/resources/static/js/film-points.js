/* Four points in the picture of a film: the ends of a length one knows, then of the one one wants. In pixels of the film itself. */

const SVG = "http://www.w3.org/2000/svg";

/** Where a click on the shown picture lies in the film's own pixels; the picture may stand between bars. */
export function inPicture(click, shown, film) {
  const scale = Math.min(shown.width / film.width, shown.height / film.height);
  const left = (shown.width - film.width * scale) / 2;
  const top = (shown.height - film.height * scale) / 2;
  return { x: (click.x - left) / scale, y: (click.y - top) / scale };
}

export class PicturePoints {
  points = [];
  on = false;

  constructor(video, drawing, form) {
    Object.assign(this, { video, drawing, form });
    video.addEventListener("click", (e) => { if (this.on) { this.add(e); } });
  }

  toggle() {
    this.on = !this.on;
    this.points = [];
    this.video.pause();
    this.draw();
    return this.on;
  }

  add(event) {
    if (this.points.length === 4) { this.points = []; }
    this.points.push(inPicture({ x: event.offsetX, y: event.offsetY },
      { width: this.video.clientWidth, height: this.video.clientHeight },
      { width: this.video.videoWidth, height: this.video.videoHeight }));
    this.form.querySelector("[name=points]").value = this.points.map((p) => `${p.x.toFixed(1)} ${p.y.toFixed(1)}`).join(", ");
    this.draw();
  }

  draw() {
    const { video, drawing } = this;
    drawing.setAttribute("viewBox", `0 0 ${video.videoWidth || 16} ${video.videoHeight || 9}`);
    drawing.replaceChildren();
    [[0, 1, "known"], [2, 3, "wanted"]].forEach(([a, b, name]) => {
      const [from, to] = [this.points[a], this.points[b]];
      if (from) { drawing.append(shape("circle", { cx: from.x, cy: from.y, r: video.videoWidth / 160, class: name })); }
      if (to) { drawing.append(shape("line", { x1: from.x, y1: from.y, x2: to.x, y2: to.y, class: name })); }
    });
  }
}

function shape(name, attributes) {
  const made = document.createElementNS(SVG, name);
  Object.entries(attributes).forEach(([key, value]) => made.setAttribute(key, value));
  return made;
}
