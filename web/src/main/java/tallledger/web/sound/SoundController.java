package tallledger.web.sound;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import tallledger.core.drive.BeltTurn;
import tallledger.core.drive.UnknownMesh;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.sound.Recurring;
import tallledger.core.sound.SoundAnalysis;
import tallledger.core.sound.SoundReason;
import tallledger.core.sound.WavFile;
import tallledger.core.survey.HeardSound;
import tallledger.core.survey.Recording;
import tallledger.core.survey.SurveyEntries;
import tallledger.web.forms.AuthorCookie;
import tallledger.web.forms.FormInput;
import tallledger.web.forms.SurveyWriter;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.runsheet.SoundChoices;
import tallledger.web.store.AttachmentRow;
import tallledger.web.store.Attachments;
import tallledger.web.store.Submission;
import tallledger.web.words.WebReason;
import tallledger.web.words.Words;

/** Sounds of the machine: a recording is taken in at a speed, looked at by its spectrum, held against another. */
@Controller
class SoundController {

    private static final int MOST_BYTES = 20_000_000;
    private static final int A_MINUTE = 60;
    private static final int MOST_CURVES = 12;

    private final SurveyLibrary library;
    private final SurveyWriter entries;
    private final Attachments attachments;
    private final SoundAnalyses analyses;
    private final AuthorCookie writer;
    private final Clock clock;
    private final Words words;
    private final boolean demo;

    SoundController(SurveyLibrary library, SurveyWriter entries, Attachments attachments, SoundAnalyses analyses, AuthorCookie writer,
            Clock clock, Words words, @Value("${tallledger.demo:false}") boolean demo) {
        this.demo = demo;
        this.library = library;
        this.entries = entries;
        this.attachments = attachments;
        this.analyses = analyses;
        this.writer = writer;
        this.clock = clock;
        this.words = words;
    }

    /** @param of entry of a recording @param with entry of another, drawn over it @param over "orders" or frequencies */
    @GetMapping("/surveys/{id}/sound")
    String sound(@PathVariable long id, @RequestParam(defaultValue = "0") int of, @RequestParam(defaultValue = "0") int with,
            @RequestParam(defaultValue = "") String over, Model model, HttpServletRequest request) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.blank();
        typed.set("author", writer.known(request).orElse(survey.lastAuthor()));
        SoundChoices.begin(survey, typed);
        model.addAttribute("orders", over.equals("orders"));
        return page(survey, of, with, over.equals("orders"), typed, Submission.fresh(survey.head()), model);
    }

    /** A form refused there and asked for again. */
    @GetMapping("/surveys/{id}/sounds")
    String again(@PathVariable long id) {
        return "redirect:/surveys/" + id + "/sound";
    }

    @PostMapping("/surveys/{id}/sounds")
    String take(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, @RequestParam Optional<MultipartFile> sound,
            Model model, HttpServletResponse response) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.of(fields);
        Optional<Recording> again = recording(survey, typed.wholeOr("again", 0));
        again.ifPresent(r -> List.of(List.of("task", r.task()), List.of("stood", r.stood()), List.of("treated", r.treated().name()))
                .forEach(f -> typed.set(f.get(0), f.get(1))));
        Optional<AttachmentRow> row = typed.attempt("sound", () -> again.isPresent()
                ? attachments.attachment(again.get().sha256()).orElseThrow(() -> Refused.because(WebReason.SOUND_GONE))
                : AttachmentRow.of(Recording.TYPE, bytes(sound)));
        Optional<WavFile> wav = row.flatMap(r -> typed.attempt("sound", () -> WavFile.parse(r.bytes())));
        Optional<Recording.Treated> treated = typed.choice("treated", Recording.Treated.class);
        return entries.write(survey, typed, response, () -> wav.flatMap(w -> treated.flatMap(t -> typed.attempt("task",
                () -> SurveyEntries.sound(survey.by(clock, typed.get("author")), survey.core(), typed.get("task"),
                        row.orElseThrow().as(Recording.SOUND), row.get().bytes().length,
                        BigDecimal.valueOf(w.seconds()).setScale(1, RoundingMode.HALF_UP), typed.get("stood"), t,
                        analyses.found(survey, typed.get("task"), row.get().sha256(), w))))),
                (now, said, submission) -> page(now, 0, 0, false, said, submission, model),
                entry -> "redirect:/surveys/" + id + (typed.isSent("step") ? "/run?step=" + URLEncoder.encode(typed.get("step"),
                        StandardCharsets.UTF_8) : "/sound?of=" + entry.sequence()),
                // A recording rests on nothing else in the record, as a photograph does not.
                (book, draft, submission) -> submission.afterOthers(at -> attachments.keep(book, List.of(row.orElseThrow()), draft, at)));
    }

    private static byte[] bytes(Optional<MultipartFile> sent) {
        MultipartFile file = sent.filter(s -> s.getSize() > 0).orElseThrow(() -> Refused.because(WebReason.SOUND_MISSING));
        if (file.getSize() > MOST_BYTES) {
            throw Refused.because(WebReason.SOUND_LARGE, (int) (file.getSize() / 1_000_000), MOST_BYTES / 1_000_000);
        }
        try {
            return file.getBytes();
        } catch (IOException broken) {
            throw Refused.because(SoundReason.NO_WAV);
        }
    }

    private String page(StoredSurvey survey, int of, int with, boolean orders, FormInput typed, Submission submission, Model model) {
        model.addAttribute("survey", survey);
        model.addAttribute("typed", typed);
        model.addAttribute("submission", submission);
        model.addAttribute("speeds", SoundChoices.speeds(survey));
        model.addAttribute("recordings", survey.core().recordings());
        Optional<Recording> one = recording(survey, of);
        Map<Integer, String> names = new HashMap<>();
        survey.core().recordings().forEach(r -> names.put(r.entry(), name(survey, r)));
        model.addAttribute("names", names);
        model.addAttribute("asked", of);
        waterfall(survey, model);
        model.addAttribute("example", demo);
        model.addAttribute("view", one.flatMap(r -> view(survey, r, recording(survey, with), orders)).orElse(null));
        model.addAttribute("gone", one.isPresent() && model.getAttribute("view") == null);
        return "sound/sound";
    }

    private String name(StoredSurvey survey, Recording recording) {
        return words.recorded(recording, survey.folded().machine().train());
    }

    /** The newest recording of each speed, slowest first, each a curve above the one before. */
    private void waterfall(StoredSurvey survey, Model model) {
        Map<String, Recording> newest = new LinkedHashMap<>();
        survey.core().recordings().stream().filter(r -> !r.isOfRoom() && r.treated() != Recording.Treated.YES)
                .forEach(r -> newest.put(r.task(), r));
        List<Recording> slowestFirst = newest.values().stream().filter(r -> SoundAnalyses.speed(survey, r.task()).isPresent())
                .sorted(Comparator.comparingDouble(r -> SoundAnalyses.speed(survey, r.task()).orElseThrow())).limit(MOST_CURVES).toList();
        List<Recurring.AtSpeed> sounds = new ArrayList<>();
        List<String> names = new ArrayList<>();
        slowestFirst.forEach(r -> analyses.of(survey, r).filter(a -> a.unfit().isEmpty()).ifPresent(a -> {
            sounds.add(new Recurring.AtSpeed(a, SoundAnalyses.speed(survey, r.task()).orElseThrow()));
            names.add(name(survey, r));
        }));
        if (sounds.size() > 1) {
            model.addAttribute("waterfall", SpectrumPlot.waterfall(sounds, names, words));
            model.addAttribute("recurring", Recurring.in(sounds).stream().map(r -> Reason.of(r.turns() ? WebReason.SOUND_TURNS_WITH
                    : WebReason.SOUND_STANDS_STILL, BigDecimal.valueOf(r.at()).setScale(1, RoundingMode.HALF_UP),
                    r.in().stream().map(names::get).collect(Collectors.joining(", ")))).toList());
        }
    }

    private static Optional<Recording> recording(StoredSurvey survey, int entry) {
        return survey.core().recordings().stream().filter(r -> r.entry() == entry).findFirst();
    }

    private Optional<SoundView> view(StoredSurvey survey, Recording recording, Optional<Recording> with, boolean orders) {
        return analyses.of(survey, recording).map(analysis -> {
            Optional<Double> rpm = SoundAnalyses.speed(survey, recording.task());
            boolean byOrder = orders && rpm.isPresent();
            List<Reason> unfit = HeardSound.unfit(survey.folded(), recording);
            List<Reason> doubts = new ArrayList<>(analysis.doubts());
            if (recording.treated() == Recording.Treated.NOT_KNOWN) {
                doubts.add(Reason.of(WebReason.SOUND_TREATED_NOT_KNOWN));
            }
            if (!recording.isOfRoom() && SoundAnalyses.read(survey, recording.task()).isEmpty()) {
                doubts.add(rpm.map(n -> Reason.of(WebReason.SOUND_PLATE_SPEED, BigDecimal.valueOf(n).setScale(1, RoundingMode.HALF_UP)))
                        .orElseGet(() -> Reason.of(WebReason.SOUND_NO_SPEED)));
            }
            Optional<Recording> beside = with.filter(w -> w.entry() != recording.entry());
            Optional<SoundAnalysis> besides = beside.flatMap(w -> analyses.of(survey, w));
            Optional<SpectrumPlot.Shown> other = besides.map(a -> shown(survey, beside.orElseThrow(), a, byOrder));
            List<UnknownMesh> meshes = SoundAnalyses.route(survey, recording.task())
                    .map(route -> UnknownMesh.of(survey.folded().machine().train(), route)).orElse(List.of());
            rpm.ifPresent(n -> meshes.forEach(m -> doubts.add(SoundAnalysis.between(m, n))));
            SoundAnalyses.route(survey, recording.task()).ifPresent(route -> rpm.ifPresent(
                    n -> BeltTurn.of(survey.folded().machine().train(), route).forEach(b -> doubts.add(SoundAnalysis.belt(b, n)))));
            // What proves nothing says nothing of the machine.
            return new SoundView(recording, unfit, doubts,
                    unfit.isEmpty() ? analysis.says(SoundAnalyses.read(survey, recording.task())) : List.of(),
                    SpectrumPlot.of(shown(survey, recording, analysis, byOrder), other, byOrder, words),
                    SoundView.lines(analysis, rpm, meshes),
                    PiecesView.of(analysis.pieces(), words), SoundView.bands(analysis, besides),
                    other.isPresent() ? with : Optional.empty());
        });
    }

    private static SpectrumPlot.Shown shown(StoredSurvey survey, Recording recording, SoundAnalysis analysis, boolean byOrder) {
        return new SpectrumPlot.Shown(analysis,
                byOrder ? SoundAnalyses.speed(survey, recording.task()).orElse((double) A_MINUTE) / A_MINUTE : 1);
    }

    @GetMapping("/surveys/{id}/sounds/{entry}/pieces.png")
    ResponseEntity<byte[]> pieces(@PathVariable long id, @PathVariable int entry) {
        StoredSurvey survey = library.survey(id);
        return recording(survey, entry).flatMap(r -> analyses.of(survey, r))
                .map(a -> ResponseEntity.ok().contentType(MediaType.IMAGE_PNG).cacheControl(CacheControl.noCache().cachePrivate())
                        .body(PiecesView.png(a.pieces())))
                .orElseGet(() -> ResponseEntity.notFound().build());
    }

    @GetMapping("/surveys/{id}/sounds/{entry}")
    ResponseEntity<byte[]> play(@PathVariable long id, @PathVariable int entry) {
        return recording(library.survey(id), entry).flatMap(r -> attachments.attachment(r.sha256()))
                .map(row -> ResponseEntity.ok().contentType(MediaType.parseMediaType(Recording.TYPE))
                        .cacheControl(CacheControl.noCache().cachePrivate()).body(row.bytes()))
                .orElseGet(() -> ResponseEntity.notFound().build());
    }
}
