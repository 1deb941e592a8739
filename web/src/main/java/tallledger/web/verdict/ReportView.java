package tallledger.web.verdict;

import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import tallledger.core.drive.Route;
import tallledger.core.family.Caution;
import tallledger.core.family.Phase;
import tallledger.core.gauge.Limit;
import tallledger.core.kit.KitItem;
import tallledger.core.ledger.Entry;
import tallledger.core.measuring.SpeedRead;
import tallledger.core.plan.SoundTrials;
import tallledger.core.reason.Reason;
import tallledger.core.seal.Fingerprint;
import tallledger.core.survey.Films;
import tallledger.core.survey.HeardSound;
import tallledger.core.survey.Photo;
import tallledger.core.survey.Recording;
import tallledger.core.survey.Run;
import tallledger.core.survey.StepResult;
import tallledger.core.survey.TaskStatus;
import tallledger.core.verdict.Finding;
import tallledger.web.accuracy.AccuracyView;
import tallledger.web.drawings.Drawings;
import tallledger.web.library.StoredSurvey;
import tallledger.web.movement.AxisView;
import tallledger.web.pictures.QrCode;
import tallledger.web.runsheet.Picture;
import tallledger.web.runsheet.RecordingViews;
import tallledger.web.speeds.LatticeView;
import tallledger.web.speeds.RayChartView;
import tallledger.web.words.Figures;
import tallledger.web.words.Marks;
import tallledger.web.words.Words;

/**
 * What the report has beyond the verdict's screen.
 *
 * @param tally    how many things of it stand how
 * @param lattice  lever positions
 * @param ray      ray chart, where the drive has one
 * @param axes     movement drawings of those axes of which anything was measured
 * @param sounds   sound recordings
 * @param systems  findings by system, worst first, each with its photographs
 * @param photos   photographs that stand beside no finding and are not on the cover
 * @param cover    photograph on the cover: the first of the machine as a whole, else the first
 * @param cycles   time lines
 * @param drawn    other results drawn
 * @param speeds   speeds with limit and uncertainty
 * @param steps    steps done, by phase
 * @param untested what was not tested, by phase
 * @param kit      kit and papers
 * @param cautions the usual ones
 * @param code     what a telephone reads from the paper
 * @param chart    the acceptance chart
 * @param filmed   where in the films of the visit its entries are
 * @param struck   entries that do not count, with why
 * @param parts    its parts in order, those that have something to say; what is not here is not in the report
 */
public record ReportView(TaskStatus.Tally tally, LatticeView lattice, Optional<RayChartView> ray, List<AxisView> axes,
        Map<Reason, List<PicturedFinding>> systems, List<Photo> photos, Optional<Photo> cover,
        List<Picture> cycles, List<Picture> drawn, List<SpeedLine> speeds, Map<Phase, List<StepLine>> steps,
        Map<Phase, List<UntestedLine>> untested, List<KitItem> kit, List<Caution> cautions,
        QrCode code, AccuracyView chart, List<Filmed> filmed, List<RecordedSound> sounds, List<VerdictView.Remark> struck,
        List<Part> parts) {

    /** Parts of the report; the first is its cover. */
    public enum Part {
        GLANCE, CONDITION, FINDINGS, SPEEDS, CHART, MOVEMENT, CYCLES, DRAWN, STEPS, CLAIMS, KIT, MONEY, UNTESTED, REMARKS, STRUCK, SOUNDS,
        FILMS,
        PHOTOGRAPHS, CAUTIONS, STANDING;

        /** Where it begins, in the file. */
        public String id() {
            return "part-" + name().toLowerCase(Locale.ROOT);
        }
    }

    /** A finding with what was photographed at its steps. */
    public record PicturedFinding(Finding finding, List<Photo> photos) {
    }

    /**
     * A speed as read.
     *
     * @param limit   from, to
     * @param reading with its uncertainty
     */
    public record SpeedLine(String name, String plate, String limit, String reading, String off, String mark, String remark, int entry) {
    }

    /** A step as recorded. @param typed what was typed, field by field @param because what decided, with limit and uncertainty */
    public record StepLine(Reason name, List<String> typed, List<Reason> because, String mark, String remark, int entry) {
    }

    /** @param why passed over, put off; empty where nobody came to it */
    public record UntestedLine(String name, String why) {
    }

    /**
     * One film of the visit.
     *
     * @param from   when it began
     * @param places its entries, each with its time in the film
     */
    public record Filmed(int film, String from, String places) {
    }

    /**
     * One sound recording.
     *
     * @param of   its speed, or the room
     * @param says what it tells of the parts, or why it proves nothing; empty where it tells nothing of them
     */
    public record RecordedSound(Recording recording, String of, List<Reason> says) {
    }

    private static List<RecordedSound> sounds(StoredSurvey survey, Words words) {
        Map<Integer, List<Reason>> tells = SoundTrials.tells(survey.folded()).stream()
                .collect(Collectors.toMap(t -> t.sound().recording().entry(), SoundTrials.Tells::says));
        return survey.core().recordings().stream().map(r -> {
            List<Reason> unfit = HeardSound.unfit(survey.folded(), r);
            return new RecordedSound(r, words.recorded(r, survey.folded().machine().train()),
                    unfit.isEmpty() ? tells.getOrDefault(r.entry(), List.of()) : unfit);
        }).toList();
    }

    static ReportView of(StoredSurvey survey, VerdictView verdict, Drawings drawings, Words words, Marks marks) {
        Map<Phase, List<TaskStatus>> standings = TaskStatus.byPhase(survey.core());
        Map<Reason, List<PicturedFinding>> systems = new LinkedHashMap<>();
        Set<Integer> shown = new HashSet<>();
        Optional<Photo> cover = survey.core().photos().stream().filter(p -> p.step().isEmpty()).findFirst()
                .or(() -> survey.core().photos().stream().findFirst());
        Map<Integer, String> steps = survey.entries().stream().filter(e -> e.damage().isEmpty() && !e.step().isEmpty())
                .collect(Collectors.toMap(Entry::sequence, Entry::step, (one, other) -> one));
        verdict.judged().bySystem().forEach((system, of) -> systems.put(system, of.stream().map(f -> {
            List<Photo> beside = f.entries().stream().map(steps::get).filter(s -> s != null).distinct()
                    .flatMap(s -> survey.core().photosOf(s).stream()).filter(p -> shown.add(p.entry())).toList();
            return new PicturedFinding(f, beside);
        }).toList()));
        cover.ifPresent(p -> shown.add(p.entry()));
        AccuracyView chart = AccuracyView.of(survey.core(), words, marks);
        List<Filmed> filmed = filmed(survey);
        List<RecordedSound> sounds = sounds(survey, words);
        List<VerdictView.Remark> struck = struck(survey);
        List<Picture> results = drawings.results(survey);
        List<Picture> cycles = results.stream().filter(p -> p.template().startsWith("cycle/")).toList();
        List<Picture> drawn = results.stream().filter(p -> !cycles.contains(p)).toList();
        List<AxisView> axes = drawings.axes(survey).stream().filter(ReportView::isKnown).toList();
        List<Photo> photos = survey.core().photos().stream().filter(p -> !shown.contains(p.entry())).toList();
        Map<Phase, List<UntestedLine>> untested = untested(survey, standings, words);
        Map<Phase, List<StepLine>> done = steps(survey, words, marks);
        Map<Part, Boolean> empty = new EnumMap<>(Part.class);
        empty.put(Part.CHART, chart.done().isEmpty());
        empty.put(Part.MOVEMENT, axes.isEmpty());
        empty.put(Part.CYCLES, cycles.isEmpty());
        empty.put(Part.DRAWN, drawn.isEmpty());
        empty.put(Part.STEPS, done.isEmpty());
        empty.put(Part.CLAIMS, verdict.judged().claims().isEmpty());
        empty.put(Part.KIT, survey.steps().kit().items().isEmpty());
        empty.put(Part.UNTESTED, untested.isEmpty());
        empty.put(Part.REMARKS, verdict.remarks().isEmpty());
        empty.put(Part.STRUCK, struck.isEmpty());
        empty.put(Part.SOUNDS, sounds.isEmpty());
        empty.put(Part.FILMS, filmed.isEmpty());
        empty.put(Part.PHOTOGRAPHS, photos.isEmpty());
        List<Part> parts = Stream.of(Part.values()).filter(p -> !empty.getOrDefault(p, false)).toList();
        return new ReportView(TaskStatus.tally(standings), LatticeView.of(survey.folded(), List.of()),
                RayChartView.of(survey.folded(), List.of()),
                axes, systems, photos, cover, cycles, drawn,
                survey.folded().steps().stream().map(route -> speed(survey, route, marks)).toList(), done, untested,
                survey.steps().kit().items(),
                Caution.of(survey.folded().machine().identity().family().traits()), code(survey), chart, filmed, sounds, struck, parts);
    }

    private static boolean isKnown(AxisView axis) {
        return axis.measured() > 0 || !axis.bars().isEmpty()
                || Stream.concat(axis.ways().stream().map(AxisView.MovementArrow::mark), axis.rest()
                        .stream().map(AxisView.AxisLine::mark))
                        .anyMatch(mark -> Set.of("proven", "failed", "close").contains(mark));
    }

    private static SpeedLine speed(StoredSurvey survey, Route route, Marks marks) {
        var drive = survey.folded();
        Optional<Run> run = Optional.ofNullable(drive.latest().get(route));
        var nominal = drive.table().nominal(route);
        String limit = new SpeedRead(run.flatMap(Run::nominal).or(() -> nominal), drive.table().plate().tolerance()).about(survey.rules())
                .map(ReportView::range).orElse("");
        String reading = run.map(r -> r.judgement().map(j -> Figures.shown(j.shown())).orElseGet(() -> r.record().reading()
                .map(read -> Figures.plain(read.rpm())).orElse(""))).orElse("");
        String mark = run.map(r -> marks.of(r.outcome())).orElseGet(() -> drive.passed().containsKey(route) ? "passed"
                : marks.of(drive.coverage().mark(route)));
        boolean sweep = drive.table().speedOf(route).orElseThrow().isSweep();
        return new SpeedLine(drive.machine().train().name(route), sweep ? "range" : nominal.map(Figures::plain).orElse("?"), limit,
                reading, run.flatMap(Run::deviation).map(Figures::percent).orElse(""), mark,
                run.map(Run::remark).orElse(""), run.map(Run::entry).orElse(0));
    }

    private static String range(Limit limit) {
        return Figures.plain(limit.lower().setScale(1,
                RoundingMode.HALF_UP).stripTrailingZeros()) + " to " + Figures.plain(limit.upper()
                        .setScale(1,
                                RoundingMode.HALF_UP)
                        .stripTrailingZeros());
    }

    private static Map<Phase, List<StepLine>> steps(StoredSurvey survey, Words words, Marks marks) {
        Map<Phase, List<StepLine>> phases = new LinkedHashMap<>();
        survey.steps().steps().stream().flatMap(s -> Optional.ofNullable(survey.steps().latest().get(s.id())).stream())
                .forEach(r -> phases.computeIfAbsent(r.step().phase(), phase -> new ArrayList<>()).add(step(survey, r, words, marks)));
        return phases;
    }

    private static StepLine step(StoredSurvey survey, StepResult r, Words words, Marks marks) {
        List<String> typed = RecordingViews.line(r.step().recording(), r.values().typed(), r.values().unit(), survey.rules(), words);
        return new StepLine(r.step().name(), typed, r.judgement().because(), marks.of(r.outcome()), r.remark(), r.entry());
    }

    private static Map<Phase, List<UntestedLine>> untested(StoredSurvey survey, Map<Phase, List<TaskStatus>> standings, Words words) {
        Map<Phase, List<UntestedLine>> phases = new LinkedHashMap<>();
        standings.forEach((phase, all) -> {
            List<UntestedLine> left = all.stream().filter(TaskStatus::isUntested)
                    .map(s -> new UntestedLine(words.name(s.task(), survey.folded().machine().train()), why(s, words))).toList();
            if (!left.isEmpty()) {
                phases.put(phase, left);
            }
        });
        return phases;
    }

    private static String why(TaskStatus standing, Words words) {
        return standing.passed().map(p -> words.say("report.passed-over", p.what(), p.entry()))
                .orElse(standing.later() ? words.say("report.put-off") : "");
    }

    /**
     * The key's fingerprint and the last hash; of a survey that is not sealed the hash alone. What stands for a hash in a file of
     * strangers may be anything.
     */
    private static QrCode code(StoredSurvey survey) {
        String key = survey.core().closed().flatMap(c -> c.payload().optionalText("key")).flatMap(Fingerprint::read)
                .map(k -> "key " + k.hex() + "\n").orElse("not sealed\n");
        Entry last = survey.entries().get(survey.entries().size() - 1);
        return QrCode.of(key + "entry " + last.sequence() + "\nhash " + Fingerprint.read(last.hash()).map(Fingerprint::hex).orElse("none"));
    }

    private static List<Filmed> filmed(StoredSurvey survey) {
        Films films = Films.of(survey.entries(), survey.core().struck().keySet());
        Map<Integer, List<String>> places = new HashMap<>();
        survey.entries().stream().filter(e -> e.damage().isEmpty()).forEach(e -> films.at(e)
                .ifPresent(place -> places.computeIfAbsent(place.film(),
                        film -> new ArrayList<>()).add(e.sequence() + " at " + place.shown())));
        return films.films().stream().map(film -> new Filmed(film.number(), VerdictView.time(film.from()),
                String.join(", ", places.getOrDefault(film.number(), List.of())))).toList();
    }

    /** Each under the name of whoever struck it. */
    private static List<VerdictView.Remark> struck(StoredSurvey survey) {
        return survey.core().struck().entrySet().stream().sorted(Map.Entry.comparingByKey())
                .map(e -> new VerdictView.Remark(e.getValue().by().author().written(), e.getValue().step(),
                        e.getValue().payload().optionalText("reason").orElse(""), e.getKey()))
                .toList();
    }
}
