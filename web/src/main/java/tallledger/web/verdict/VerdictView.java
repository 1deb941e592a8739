package tallledger.web.verdict;

import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Locale;
import java.util.Optional;
import tallledger.core.coverage.Coverage;
import tallledger.core.ledger.Entry;
import tallledger.core.reason.Reason;
import tallledger.core.family.Phase;
import tallledger.core.seal.Fingerprint;
import tallledger.core.survey.Films;
import tallledger.core.survey.Photo;
import tallledger.core.verdict.ClaimVerdict;
import tallledger.core.verdict.ConditionStatement;
import tallledger.core.verdict.Finding;
import tallledger.web.record.Survey;
import tallledger.web.runsheet.Picture;
import tallledger.web.runsheet.StepMargin;
import tallledger.web.words.Figures;
import tallledger.web.accuracy.AccuracyView;
import tallledger.web.words.Marks;
import tallledger.web.words.Words;

/**
 * The verdict laid out for its pages.
 *
 * @param judged   what it all comes to
 * @param lines    every speed with what was read
 * @param steps    every step done, in the order of the survey
 * @param pictures results drawn, in the order of the survey
 * @param photos   photographs
 * @param remarks  what people wrote of their own
 * @param seal     what makes it a record
 * @param chart    the acceptance chart
 * @param filmed   where in the films of the visit its entries are
 * @param struck   entries that do not count, with why
 */
public record VerdictView(Judged judged, List<Line> lines, List<StepLine> steps, List<Picture> pictures, List<Photo> photos, List<Remark> remarks, Seal seal, AccuracyView chart,
                          List<Filmed> filmed, List<Remark> struck) {

    /** What it all comes to. */
    public record Judged(Coverage.Counts counts, List<Finding> findings, List<ClaimVerdict> claims, List<ClaimVerdict.Told> told, ConditionStatement statement) {

        public Map<Reason, List<Finding>> bySystem() {
            return Finding.bySystem(findings);
        }
    }

    /**
     * What makes it a record.
     *
     * @param begun   first entry
     * @param ended   last entry
     * @param authors who wrote entries
     * @param whole   whether the chain of entries holds
     * @param hash    last hash, in groups of eight
     * @param key     the key it is sealed with, as words; empty where it is not
     */
    public record Seal(String begun, String ended, String authors, boolean whole, String hash, String key) {
    }

    /**
     * One film of the visit.
     *
     * @param from   when it began
     * @param places its entries, each with its time in the film
     */
    public record Filmed(int film, String from, String places) {
    }

    /** One speed as the report lists it. */
    public record Line(String name, String plate, String reading, String off, String mark, int entry) {
    }

    /** One step as the report lists it, with what decided. */
    public record StepLine(Phase phase, Reason name, String mark, List<Reason> because, String remark, int entry) {
    }

    /** A person's remark, under their own name. */
    public record Remark(String author, String step, String text, int entry) {
    }

    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("d MMMM yyyy HH:mm", Locale.ENGLISH);

    static VerdictView of(Survey survey, Words words, Marks marks) {
        var folded = survey.folded();
        List<Entry> entries = survey.entries();
        List<Entry> read = entries.stream().filter(e -> e.damage().isEmpty()).toList();
        List<Line> lines = folded.steps().stream().map(route -> {
            var run = Optional.ofNullable(folded.latest().get(route));
            var speed = folded.table().speedOf(route).orElseThrow();
            String mark = run.map(r -> r.outcome().name()).orElseGet(() ->
                    folded.passed().containsKey(route) ? "PASSED" : folded.coverage().mark(route).name());
            return new Line(folded.machine().train().name(route),
                    speed.isSweep() ? "range" : folded.table().nominal(route).map(Figures::plain).orElse("?"),
                    run.flatMap(r -> r.record().reading()).map(r -> Figures.plain(r.rpm())).orElse(""),
                    run.flatMap(r -> r.deviation()).map(Figures::percent).orElse(""), mark, run.map(r -> r.entry()).orElse(0));
        }).toList();
        List<ClaimVerdict> claims = ClaimVerdict.of(survey.core());
        Judged judged = new Judged(folded.coverage().counts(), Finding.of(survey.core()), claims, ClaimVerdict.byWhat(claims, folded.machine().unit()), ConditionStatement.of(survey.core()));
        List<Picture> pictures = survey.steps().steps().stream().flatMap(s -> Optional.ofNullable(survey.steps().latest().get(s.id())).stream())
                .flatMap(r -> StepMargin.picture(r, survey.rules(), words).stream()).toList();
        Seal seal = new Seal(read.isEmpty() ? "?" : time(read.get(0).at()), read.isEmpty() ? "?" : time(read.get(read.size() - 1).at()),
                String.join(", ", read.stream().map(e -> e.by().author().written()).distinct().toList()), survey.broken().isEmpty(),
                entries.get(entries.size() - 1).hash().replaceAll("(.{8})(?=.)", "$1 "),
                survey.core().closed().flatMap(c -> c.payload().optionalText("key")).flatMap(Fingerprint::read).map(Fingerprint::words).orElse(""));
        return new VerdictView(judged, lines, steps(survey), pictures, survey.core().photos(), remarks(survey), seal, AccuracyView.of(survey.core(), words, marks), filmed(survey), struck(survey));
    }

    private static List<Filmed> filmed(Survey survey) {
        Films films = Films.of(survey.entries(), survey.core().struck().keySet());
        Map<Integer, List<String>> places = new HashMap<>();
        survey.entries().stream().filter(e -> e.damage().isEmpty()).forEach(e -> films.at(e)
                .ifPresent(place -> places.computeIfAbsent(place.film(), film -> new ArrayList<>()).add(e.sequence() + " at " + place.shown())));
        return films.films().stream().map(film -> new Filmed(film.number(), time(film.from()), String.join(", ", places.getOrDefault(film.number(), List.of())))).toList();
    }

    /** Each under the name of whoever struck it. */
    private static List<Remark> struck(Survey survey) {
        return survey.core().struck().entrySet().stream().sorted(Map.Entry.comparingByKey())
                .map(e -> new Remark(e.getValue().by().author().written(), e.getValue().step(), e.getValue().payload().optionalText("reason").orElse(""), e.getKey())).toList();
    }

    private static List<StepLine> steps(Survey survey) {
        return survey.steps().steps().stream().map(step -> Optional.ofNullable(survey.steps().latest().get(step.id()))).flatMap(Optional::stream)
                .map(r -> new StepLine(r.step().phase(), r.step().name(), switch (r.outcome()) {
                    case PROVEN -> "GOOD";
                    case FAILED -> "BAD";
                    case UNDECIDED -> "UNDECIDED";
                }, r.judgement().because(), String.join(" ", List.of(r.values().text("text"), r.remark())).strip(), r.entry())).toList();
    }

    /** Remarks of their own, and those written beside a run. */
    private static List<Remark> remarks(Survey survey) {
        return survey.core().decoded().counting().filter(h -> !h.event().remark().isEmpty())
                .map(h -> new Remark(h.entry().by().author().written(), h.entry().step(), h.event().remark(), h.entry().sequence())).toList();
    }

    private static String time(Instant at) {
        return TIME.format(at.atZone(ZoneId.systemDefault()));
    }
}
