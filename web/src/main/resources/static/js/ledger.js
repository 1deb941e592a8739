/* What must move without a round trip. Everything else is a form that posts. */
import { watchCode } from "./code-shown.js";
import { cycleForm } from "./cycle-log.js";
import { watchDrawing } from "./draw-over.js";
import { machineForm } from "./drive-preview.js";
import { watchDesk } from "./film-desk.js";
import { watchFilmLinks } from "./film-links.js";
import { keepHalfTyped } from "./half-typed.js";
import { watchInstrument } from "./instrument.js";
import { jobPage } from "./job.js";
import { watchPage } from "./page-keys.js";
import { watchPaperLines } from "./paper-lines.js";
import { watchOthers } from "./live.js";
import { takeSeveral, watchPhotos } from "./photo.js";
import { plateForm } from "./plate-grid.js";
import { watchPocket } from "./pocket.js";
import { watchFields } from "./record-fields.js";
import { watchSlate } from "./slate.js";
import { watchSoundRecorder } from "./sound-record.js";
import { timedForm } from "./stopwatch.js";
import { watchTable } from "./table-look.js";
import { speedForm } from "./tap-count.js";
import { watchWeighing } from "./weigh.js";
import { goOnWithout } from "./without.js";

document.documentElement.classList.add("has-script");

document.addEventListener("alpine:init", () => {
  const { Alpine } = window;
  Alpine.data("run", speedForm);
  Alpine.data("stopwatch", timedForm);
  Alpine.data("cycle", cycleForm);
  Alpine.data("work", jobPage);
  Alpine.data("drive", machineForm);
  Alpine.data("plate", plateForm);
});

/* A step that was laid open from the device is watched as one that came with its page. */
document.addEventListener("step-shown", () => {
  takeSeveral();
  watchWeighing();
  keepHalfTyped();
});

watchPage();
watchDesk();
watchSoundRecorder();
watchFilmLinks();
watchSlate();
watchFields();
watchInstrument();
watchOthers();
watchPaperLines();
watchPhotos();
watchTable();
watchDrawing();
watchCode();
watchWeighing();
watchPocket();
keepHalfTyped();
goOnWithout();
