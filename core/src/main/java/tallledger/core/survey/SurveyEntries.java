package tallledger.core.survey;

import java.math.BigDecimal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tallledger.core.coverage.Outcome;
import tallledger.core.coverage.School;
import tallledger.core.cutting.CutMade;
import tallledger.core.drive.Route;
import tallledger.core.drive.SpeedTable;
import tallledger.core.evidence.DriveCheck;
import tallledger.core.evidence.EvidenceReason;
import tallledger.core.evidence.InputKind;
import tallledger.core.evidence.Severity;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.family.MachinePart;
import tallledger.core.family.StartItem;
import tallledger.core.family.Step;
import tallledger.core.film.FilmFile;
import tallledger.core.gauge.Grade;
import tallledger.core.house.House;
import tallledger.core.kit.KitItem;
import tallledger.core.kit.Lift;
import tallledger.core.ledger.Attachment;
import tallledger.core.ledger.Authorship;
import tallledger.core.ledger.Chain;
import tallledger.core.ledger.Draft;
import tallledger.core.ledger.Entry;
import tallledger.core.ledger.FilmMoment;
import tallledger.core.ledger.NotedEntry;
import tallledger.core.ledger.Payload;
import tallledger.core.measuring.AskBack;
import tallledger.core.price.Stakes;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rules;
import tallledger.core.safety.Mounted;
import tallledger.core.sound.SoundFindings;
import tallledger.core.unit.LengthUnit;

/** Writes the drafts of a survey's entries, each refused with a reason when it would say nonsense. */
public final class SurveyEntries {

    public static final int LONGEST_TEXT = 1_000;
    /** A cycle's log is the longest thing typed at a step. */
    public static final int LONGEST_VALUE = 6_000;
    /** A list pasted from an instrument. */
    private static final int LONGEST_LIST = 500_000;

    private static final BigDecimal MOST_MINUTES = new BigDecimal("600");

    private SurveyEntries() {
    }

    /**
     * @param machineHash hash of the description's entry, so that the record names exactly what it judged by
     * @param house       as it is judged by
     * @param role        in which the surveyor stands there, unless they said it with their name
     * @param judgedAs    grade outside of which a measured value is a finding
     */
    public static Draft opened(Authorship by, int machineVersion, String machineHash, House house, String role, Scope scope,
            Grade judgedAs) {
        return draft(new Authorship(by.at(), by.zone(), by.author().or(role)), "",
                new BookEvent.Opened(machineVersion, machineHash, house.version(), house.hash(), role, scope, judgedAs));
    }

    public static Draft judgedAs(Authorship by, Grade grade) {
        return draft(by, "", new BookEvent.JudgedAs(grade));
    }

    public static Draft adopted(Authorship by, int machineVersion, String machineHash) {
        return draft(by, "", new BookEvent.DescriptionAdopted(machineVersion, machineHash));
    }

    public static Draft adopted(Authorship by, House house) {
        return draft(by, "", new BookEvent.RulesAdopted(house.version(), house.hash()));
    }

    public static Draft startConfirmed(Authorship by, List<StartItem> items) {
        return draft(by, "", new WorkEvent.StartConfirmed(names(items), Optional.empty(), Optional.empty(), List.of()));
    }

    public static Draft startConfirmed(Authorship by, Basis basis, List<StartItem> items, Mounted mounted) {
        return startConfirmed(by, basis, items, mounted, List.of());
    }

    /**
     * @param mounted what is on the spindle, and what is marked on it
     * @param despite entries of what stops use and is known to who starts: they keep clear of it, and run on for this start
     */
    public static Draft startConfirmed(Authorship by, Basis basis, List<StartItem> items, Mounted mounted, List<Integer> despite) {
        return draft(by, "", new WorkEvent.StartConfirmed(names(items), Optional.of(new Payload(mounted.toPayload())), Optional.of(basis),
                despite));
    }

    private static List<String> names(List<StartItem> items) {
        return items.stream().map(Enum::name).toList();
    }

    /**
     * A step done.
     *
     * @param basis     what it is judged by; where it names no gauge, the usual one of the step counts
     * @param flagged   the surveyor says it is not as it should be
     * @param confirmed needs confirmed with it, as {@code Need.written}
     * @throws Refused naming the field that cannot be read, or "confirmed" where something that changed was not confirmed
     */
    public static Draft step(Authorship who, StepLedger ledger, Step step, Map<String, String> typed, Basis basis, boolean flagged,
            List<String> confirmed, String remark) {
        return step(who, ledger, step, typed, basis, flagged, ledger.asked(step).stream().filter(StepLedger.AskedNeed::changed).toList(),
                confirmed, remark);
    }

    /** A step as a film shows it: nobody stands there to confirm anything. */
    public static Draft stepInFilm(Authorship who, StepLedger ledger, Step step, Map<String, String> typed, Basis basis, boolean flagged,
            String remark) {
        return step(who, ledger, step, typed, basis, flagged, List.of(), List.of(), remark);
    }

    private static Draft step(Authorship who, StepLedger ledger, Step step, Map<String, String> typed, Basis basis, boolean flagged,
            List<StepLedger.AskedNeed> changed, List<String> confirmed, String remark) {
        long missing = changed.stream().filter(a -> !confirmed.contains(a.need().written())).count();
        if (missing > 0) {
            throw Refused.because(SurveyReason.NEEDS_UNCONFIRMED, missing, changed.size()).at("confirmed");
        }
        boolean byEye = isByEye(ledger, step, typed, basis, flagged);
        if (byEye && flagged && remark.isBlank()) {
            throw Refused.because(EvidenceReason.BY_EYE_WHY).at("remark");
        }
        Taken taken = byEye ? new Taken(new Values(Map.of(), basis.unit()), basis) : taken(who, ledger, step, typed, basis);
        StepJudgement judged = byEye ? StepJudgement.BY_EYE : step.recording().weigh(taken.read, step.judgedBy(ledger.rules()));
        JudgedThen then = new JudgedThen(flagged ? Outcome.FAILED : judged.outcome(), judged.grade(), judged.because());
        return draft(who, step.id().written(), new WorkEvent.StepDone(step.id().written(), taken.read.typed(), flagged,
                changed.stream().map(StepLedger.AskedNeed::need).toList(), checked(remark), Optional.of(taken.by), Optional.of(then),
                ledger.cut(step).map(NotedEntry::entry), byEye));
    }

    /** Whether the step is told by eye: nothing is typed that could be judged, and what is said of it needs no figure. */
    private static boolean isByEye(StepLedger ledger, Step step, Map<String, String> typed, Basis basis, boolean flagged) {
        return (flagged || step.recording().maybeGoodByEye()) && step.recording().isBlank(new Values(typed, basis.unit()), ledger.rules());
    }

    /**
     * Whether what was typed is to be asked back before it is recorded.
     *
     * @param flagged the surveyor says it is not as it should be
     * @throws Refused naming the field that cannot be read
     */
    public static Optional<AskBack> askBack(Authorship who, StepLedger ledger, Step step, Map<String, String> typed, Basis basis,
            boolean flagged) {
        if (isByEye(ledger, step, typed, basis, flagged)) {
            return Optional.empty();
        }
        return AskBack.of(step.recording(), taken(who, ledger, step, typed, basis).read, step.judgedBy(ledger.rules()));
    }

    /** What was typed, and by what it is judged. */
    private record Taken(Values read, Basis by) {
    }

    private static Taken taken(Authorship who, StepLedger ledger, Step step, Map<String, String> typed, Basis basis) {
        Map<String, String> values = new HashMap<>();
        step.recording().fields().forEach(f -> values.put(f.name(), typed.getOrDefault(f.name(), "").strip()));
        step.recording().fields().forEach(f -> {
            int length = values.get(f.name()).length();
            int longest = f.input() == InputKind.LONG_TEXT ? LONGEST_LIST : LONGEST_VALUE;
            if (length > longest) {
                throw Refused.because(CommonReason.TEXT_LONG, length, longest).at(f.name());
            }
        });
        Basis by = basis.with(step.recording().usualGauge().map(usual -> basis.gauge().orElseGet(() -> ledger.rules().gauge(usual))))
                .at(ledger.temperatures(who.at()));
        return new Taken(new Values(values, basis.unit(), by.gauge(), by.apart(), by.bare()), by);
    }

    public static Draft stepPassedOver(Authorship by, Step step, String reason) {
        if (reason.isBlank()) {
            throw Refused.because(SurveyReason.REASON_MISSING);
        }
        return draft(by, step.id().written(), new WorkEvent.PassedOver(Optional.of(step.id().written()), List.of(), checked(reason)));
    }

    /** @param key of a step or a route */
    public static Draft later(Authorship by, String key) {
        return draft(by, key, new WorkEvent.PutLater(key));
    }

    /**
     * How warm machine and gauges are, as typed.
     *
     * @param unit of the machine: bare figures of an inch machine are °F
     * @throws Refused naming "machine" or "gauge"
     */
    public static Draft temperatures(Authorship by, String machine, String gauge, LengthUnit unit) {
        return draft(by, "", new WorkEvent.TemperaturesTaken(Temperatures.typed(machine, gauge, unit)));
    }

    /** A test cut as it was made. @param unit of lengths typed without one */
    public static Draft cut(Authorship by, CutMade cut, LengthUnit unit) {
        return draft(by, "", new WorkEvent.CutDone(cut, unit));
    }

    /** What is at stake. */
    public static Draft priced(Authorship by, Stakes stakes) {
        return draft(by, "", new AppraisalEvent.Priced(stakes));
    }

    public static Draft kit(Authorship by, KitItem item) {
        return draft(by, item.name(), new AppraisalEvent.KitSeen(item));
    }

    public static Draft lift(Authorship by, Lift lift) {
        return draft(by, "", new AppraisalEvent.LiftWeighed(lift));
    }

    /** @param kept the picture and its small copy, see {@link Photo} */
    public static Draft photo(Authorship by, String step, List<Attachment> kept, int width, int height, String caption) {
        Photo photo = new Photo(0, by.author().written(), step, "", Optional.empty(), width, height, checked(caption), List.of());
        return new Draft(by, Kind.PHOTO.name(), step, photo.toPayload(), kept, Optional.empty());
    }

    /**
     * @param task  key of the speed that ran; empty for the room
     * @param sound as it is kept, see {@link Recording}
     * @param found what it showed
     * @throws Refused naming the field
     */
    public static Draft sound(Authorship by, Survey survey, String task, Attachment sound, int bytes, BigDecimal seconds, String stood,
            Recording.Treated treated, SoundFindings found) {
        if (!task.isEmpty() && survey.drive().drive().machine().train().routeByKey(task).isEmpty()) {
            throw Refused.because(SurveyReason.SOUND_SPEED).at("task");
        }
        Recording recording = new Recording(0, by.author().written(), task, sound.sha256(), bytes, seconds, stood.strip(), treated,
                Optional.of(found));
        return new Draft(by, Kind.SOUND.name(), task, recording.toPayload(), List.of(sound), Optional.empty());
    }

    /** @param film as it is kept, see {@link Clip} */
    public static Draft clip(Authorship by, String step, Attachment film, int bytes, String caption) {
        Clip clip = new Clip(0, by.author().written(), step, film.sha256(), film.type(), bytes, checked(caption));
        return new Draft(by, Kind.CLIP.name(), step, clip.toPayload(), List.of(film), Optional.empty());
    }

    /**
     * @param marks as typed, see {@link PictureMark#parse}
     * @throws Refused where they are none, or there is no such photograph
     */
    public static Draft photoMarked(Authorship by, Survey survey, int photo, String marks) {
        Photo over = survey.photos().stream().filter(p -> p.entry() == photo).findFirst()
                .orElseThrow(() -> Refused.because(SurveyReason.STRAY_PHOTO, photo));
        return draft(by, over.step(), new BookEvent.PhotoMarked(photo, PictureMark.parse(marks)));
    }

    /** The camera is started or stopped. */
    public static Draft camera(Authorship by, BookEvent.Camera.What what) {
        return draft(by, "", new BookEvent.Camera(what, 0));
    }

    /** The camera was started so many seconds before its entry; below nought after it. @throws Refused naming "seconds" */
    public static Draft cameraShifted(Authorship by, String seconds) {
        int shift = whole(seconds);
        if (shift == 0 || Math.abs(shift) > Films.MOST_SHIFT) {
            throw Refused.because(SurveyReason.CAMERA_SHIFT, seconds.strip(), Films.MOST_SHIFT).at("seconds");
        }
        return draft(by, "", new BookEvent.Camera(BookEvent.Camera.What.SHIFTED, shift));
    }

    private static int whole(String typed) {
        try {
            return Integer.parseInt(typed.strip().replaceFirst("^[+]", "").replace('\u2212', '-'));
        } catch (NumberFormatException not) {
            return 0;
        }
    }

    /** A film is looked at from here on. */
    public static Draft film(Authorship by, FilmFile film) {
        return draft(by, "", new FilmEvent.FilmOpened(film));
    }

    /**
     * @param second as the page says it
     * @throws Refused where that film was not opened, or ends before
     */
    public static Draft filmCut(Authorship by, Survey survey, String film, String second) {
        FilmMoment moment = FilmMoment.typed(film, second, "", "");
        FilmFile of = survey.footage().film(film).orElseThrow(() -> Refused.because(SurveyReason.FILM_UNKNOWN).at("form"));
        if (!of.holds(moment.from())) {
            throw Refused.because(SurveyReason.FILM_PAST_END, moment.shown()).at("form");
        }
        return draft(by, "", new FilmEvent.FilmCut(film, moment.from()));
    }

    /**
     * What is said in a film, as timed text.
     *
     * @param lines how many were read
     * @param text  as it is kept
     */
    public static Draft narration(Authorship by, Survey survey, String film, String speaker, int lines, Attachment text) {
        if (survey.footage().film(film).isEmpty()) {
            throw Refused.because(SurveyReason.FILM_UNKNOWN).at("form");
        }
        if (speaker.isBlank()) {
            throw Refused.because(SurveyReason.NARRATION_SPEAKER).at("speaker");
        }
        FilmEvent.NarrationKept kept = new FilmEvent.NarrationKept(film, checked(speaker), lines, text);
        return new Draft(by, Kind.NARRATION.name(), "", kept.toPayload(), List.of(text), Optional.empty());
    }

    /** @throws Refused where it says nothing, nobody says it, or a claim has none */
    public static Draft heard(Authorship by, FilmEvent.Heard heard) {
        if (heard.words().isBlank()) {
            throw Refused.because(SurveyReason.HEARD_WORDS).at("words");
        }
        if (heard.speaker().isBlank()) {
            throw Refused.because(SurveyReason.HEARD_SPEAKER).at("speaker");
        }
        boolean claims = heard.answer() == FilmEvent.Heard.Answer.CLAIM || heard.answer() == FilmEvent.Heard.Answer.BOTH;
        if (claims != heard.claim().isPresent()) {
            throw Refused.because(SurveyReason.HEARD_CLAIM).at("words");
        }
        return draft(by, "", new FilmEvent.Heard(heard.answer(), checked(heard.speaker()), checked(heard.words()), heard.key(),
                checked(heard.said()), heard.claim()));
    }

    /** @throws Refused where nobody is asked, or for nothing */
    public static Draft letter(Authorship by, String to, List<String> tasks) {
        if (to.isBlank()) {
            throw Refused.because(SurveyReason.LETTER_TO).at("to");
        }
        if (tasks.isEmpty()) {
            throw Refused.because(SurveyReason.LETTER_NOTHING).at("form");
        }
        return draft(by, "", new FilmEvent.LetterSent(checked(to), tasks));
    }

    /**
     * A draft as it was seen in a film.
     *
     * @throws Refused where a film cannot bear what it says
     */
    public static Draft inFilm(Survey survey, FilmMoment moment, Draft draft) {
        Draft seen = moment.on(draft);
        Entry entry = Entry.following(Optional.empty(), seen);
        Event event = Kind.named(draft.kind()).orElseThrow().read(entry);
        Optional<Step> step = event instanceof WorkEvent.StepDone done ? survey.steps().step(done.step()) : Optional.empty();
        FilmBears.unknown(moment, survey.footage())
                .or(() -> FilmBears.refusal(event, step, moment, settings -> keyOf(survey, settings), survey.footage()))
                .ifPresent(because -> {
                    throw new Refused(because).at("form");
                });
        return seen;
    }

    private static String keyOf(Survey survey, String settings) {
        return survey.machine().train().routes().stream()
                .filter(r -> String.join(" ", survey.machine().train().settings(r)).equals(settings)).map(Route::key).findFirst()
                .orElse("");
    }

    /** Nothing is written after it. @param key fingerprint of the key it is sealed with */
    public static Draft closed(Authorship by, String key) {
        return draft(by, "", new BookEvent.Closed(key));
    }

    public static Draft stopped(Authorship by) {
        return draft(by, "", new WorkEvent.Stopped());
    }

    /**
     * @param basis what it is judged by; the gauge is that of its reading, which names the house's own where there is one
     * @param drive speeds of the machine as judged by
     */
    public static Draft run(Authorship by, Basis basis, SpindleSurvey drive, RunRecord record) {
        return run(by, basis, drive, record, Optional.empty());
    }

    /** @param seen where in a film; empty for a run at the machine */
    public static Draft run(Authorship by, Basis basis, SpindleSurvey drive, RunRecord record, Optional<FilmMoment> seen) {
        SpeedTable table = drive.table();
        Optional<JudgedThen> then = table.train().routes().stream()
                .filter(route -> table.train().settings(route).equals(record.settings())).findFirst()
                .map(route -> Run.judged(route, record, table, drive.rules(), seen, drive.drive().footage()));
        Basis read = basis.with(record.reading().flatMap(reading -> reading.gauge(drive.rules())));
        return draft(by, stepOf(record.settings()), new WorkEvent.RunMade(record, Optional.of(read), then));
    }

    /** @param minutes time there is, as typed; empty for as long as it takes */
    public static Draft planChosen(Authorship by, School school, String minutes) {
        if (school == School.MY_MINUTES) {
            TypedNumber typed = TypedNumber.parsePositive(minutes);
            if (typed.value().compareTo(MOST_MINUTES) > 0) {
                throw Refused.because(SurveyReason.PLAN_MINUTES, minutes, MOST_MINUTES);
            }
        }
        return draft(by, "", new WorkEvent.PlanChosen(school, minutes.strip()));
    }

    public static Draft check(Authorship by, Basis basis, Rules rules, DriveCheck check, boolean good, String seconds, String remark) {
        if (seconds.isBlank() && check == DriveCheck.BRAKE && good) {
            throw Refused.because(SurveyReason.CHECK_SECONDS);
        }
        JudgedThen then = CheckResult.judged(check, good, seconds.strip(), rules);
        return draft(by, check.name(), new WorkEvent.Checked(check, good, CheckResult.seconds(seconds.strip()), checked(remark),
                Optional.of(basis), Optional.of(then)));
    }

    /** A part put right: what was recorded of it proves nothing any more. */
    public static Draft repaired(Authorship by, MachinePart part, String what) {
        if (what.isBlank()) {
            throw Refused.because(SurveyReason.REPAIR_MISSING);
        }
        String about =
                part.system().map(s -> s.name() + s.axis().map(a -> " " + a).orElse("")).orElseGet(() -> part.ofDrive().orElseThrow());
        return draft(by, about, new WorkEvent.Repaired(part, checked(what)));
    }

    /**
     * A finding judged by a person.
     *
     * @param now how bad it is by the rules
     * @throws Refused where it stops use and would be lowered
     */
    public static Draft regraded(Authorship by, Regrade regrade, Severity now) {
        if (now == Severity.STOP_USE && regrade.severity() != Severity.STOP_USE) {
            throw Refused.because(SurveyReason.REGRADE_STOP_USE).at("severity");
        }
        return draft(by, "", new AppraisalEvent.Regraded(regrade));
    }

    public static Draft passedOver(Authorship by, List<String> settings, String reason) {
        if (reason.isBlank()) {
            throw Refused.because(SurveyReason.REASON_MISSING);
        }
        return draft(by, stepOf(settings), new WorkEvent.PassedOver(Optional.empty(), settings, checked(reason)));
    }

    public static Draft remark(Authorship by, String text) {
        if (text.isBlank()) {
            throw Refused.because(SurveyReason.REMARK_MISSING);
        }
        return draft(by, "", new BookEvent.Remarked(checked(text)));
    }

    /**
     * Strikes an entry.
     *
     * @throws Refused when there is no such entry, it is struck already, or its kind cannot be struck
     */
    public static Draft strike(Authorship by, List<Entry> entries, int target, String reason) {
        Entry entry = entries.stream().filter(e -> e.sequence() == target).findFirst()
                .orElseThrow(() -> Refused.because(SurveyReason.STRIKE_NONE, target));
        if (!Kind.named(entry.kind()).map(Kind::canBeStruck).orElse(true)) {
            throw Refused.because(SurveyReason.STRIKE_KIND, target);
        }
        if (Chain.struck(entries).containsKey(target)) {
            throw Refused.because(SurveyReason.STRIKE_ALREADY, target);
        }
        if (reason.isBlank()) {
            throw Refused.because(SurveyReason.REASON_MISSING);
        }
        return new Draft(by, Kind.STRIKE.name(), entry.step(), new BookEvent.Struck(target, checked(reason)).toPayload(), List.of(),
                Optional.of(target));
    }

    private static String stepOf(List<String> settings) {
        return String.join(" ", settings);
    }

    private static String checked(String text) {
        if (text.length() > LONGEST_TEXT) {
            throw Refused.because(CommonReason.TEXT_LONG, text.length(), LONGEST_TEXT);
        }
        return text.strip();
    }

    private static Draft draft(Authorship by, String step, Event event) {
        return Draft.of(by, event.kind().name(), step, event.toPayload());
    }
}
