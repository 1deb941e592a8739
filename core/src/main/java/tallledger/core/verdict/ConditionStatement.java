package tallledger.core.verdict;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import tallledger.core.coverage.Coverage;
import tallledger.core.coverage.Mark;
import tallledger.core.coverage.Outcome;
import tallledger.core.coverage.ShiftFeel;
import tallledger.core.ledger.Entry;
import tallledger.core.measuring.SpeedRead;
import tallledger.core.plan.SecondRuns;
import tallledger.core.reason.InUnit;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rule;
import tallledger.core.safety.Mounted;
import tallledger.core.safety.SpeedGate;
import tallledger.core.survey.HeardSound;
import tallledger.core.survey.Run;
import tallledger.core.survey.RunGate;
import tallledger.core.survey.SpindleSurvey;
import tallledger.core.survey.Survey;
import tallledger.core.unit.LengthUnit;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Shown;
import tallledger.core.unit.Unit;

/**
 * The condition statement, written from the entries alone: nothing stands here that no entry bears.
 *
 * @param sentences in reading order: in all, then as the work goes, then what was not tested, then the record
 */
public record ConditionStatement(List<StatementSentence> sentences) {

    /**
     * One sentence.
     *
     * @param heading what it stands under
     * @param words   code and numbers
     * @param entries sequences of the entries it rests on; empty only for what was <em>not</em> done
     */
    public record StatementSentence(Heading heading, Reason words, List<Integer> entries) {
        public StatementSentence {
            entries = List.copyOf(entries);
        }
    }

    /** The same under their headings, in that order; a heading nothing stands under is not there. */
    public Map<Heading, List<StatementSentence>> sections() {
        Map<Heading, List<StatementSentence>> sections = new EnumMap<>(Heading.class);
        sentences.forEach(s -> sections.computeIfAbsent(s.heading(), h -> new ArrayList<>()).add(s));
        return sections;
    }

    private static List<StatementSentence> ofDrive(SpindleSurvey survey) {
        List<StatementSentence> s = new ArrayList<>();
        coverage(survey, s);
        deviations(survey, s);
        failures(survey, s);
        undecided(survey, s);
        shifts(survey, s);
        noise(survey, s);
        reverse(survey, s);
        checks(survey, s);
        repairs(survey, s);
        untested(survey, s);
        heardOnce(survey, s);
        return s;
    }

    /** Of the whole machine: the spindle first, then every other step. */
    public static ConditionStatement of(Survey survey) {
        List<StatementSentence> s = ofDrive(survey.drive());
        strikes(survey, s);
        refused(survey).forEach((because, names) -> s.add(new StatementSentence(Heading.NOT_TESTED,
                Reason.of(VerdictReason.STATEMENT_REFUSED, String.join(", ", names), because, names.size()), List.of())));
        s.addAll(StepSentences.of(survey));
        wheel(survey).ifPresent(s::add);
        survey.overdue().forEach((because, entries) -> s
                .add(new StatementSentence(Heading.RECORD, Reason.of(VerdictReason.STATEMENT_OVERDUE, entries.size(), because), entries)));
        strays(survey).forEach((because, entries) -> s
                .add(new StatementSentence(Heading.RECORD, Reason.of(VerdictReason.STATEMENT_STRAY, entries.size(), because), entries)));
        s.sort(Comparator.comparing(StatementSentence::heading));
        SeenInFilms films = new SeenInFilms(survey);
        return new ConditionStatement(s.stream().map(said -> new StatementSentence(said.heading(), films.said(said.words(), said.entries()),
                said.entries())).toList());
    }

    /** Speeds that nobody may run, together where they are refused for one reason, so that it is said once. */
    private static Map<Reason, List<String>> refused(Survey survey) {
        Map<Reason, List<String>> refused = new LinkedHashMap<>();
        survey.drive().table().speeds().stream().map(speed -> speed.routes().get(0))
                .filter(route -> !survey.drive().latest().containsKey(route))
                .forEach(route -> RunGate.refusal(survey, route).ifPresent(because -> refused
                        .computeIfAbsent(because, b -> new ArrayList<>()).add(survey.machine().train().name(route))));
        return refused;
    }

    /** How fast the surface of the wheel went at the fastest speed that was run, beside its mark. */
    private static Optional<StatementSentence> wheel(Survey survey) {
        Optional<Mounted> wheel = survey.steps().wheelMark().or(() -> survey.steps().mounted().filter(m -> m.kind() == Mounted.Kind.WHEEL))
                .filter(m -> m.diameter().isPresent() && m.markedMs().isPresent());
        Optional<Run> fastest = survey.drive().counting().stream().filter(r -> survey.drive().table().nominal(r.route()).isPresent())
                .max(Comparator.comparing(r -> survey.drive().table().nominal(r.route()).orElseThrow()));
        return wheel.flatMap(w -> fastest.map(run -> {
            BigDecimal rpm = survey.drive().table().nominal(run.route()).orElseThrow();
            return new StatementSentence(Heading.SPINDLE, InUnit.of(Reason.of(VerdictReason.STATEMENT_WHEEL,
                    Quantity.of(w.diameter().orElseThrow(), Unit.MILLIMETRES),
                    Quantity.of(w.markedMs().orElseThrow(), Unit.METRES_PER_SECOND),
                    SpeedGate.greatest(w).orElseThrow(), rpm,
                    Quantity.of(whole(SpeedGate.surfaceSpeed(w.diameter().orElseThrow(), rpm), survey.machine().unit()),
                            Unit.METRES_PER_SECOND)),
                    survey.machine().unit()), List.of(run.entry()));
        }));
    }

    /** To a tenth of a m/s; on an inch machine to a foot a minute. */
    private static BigDecimal whole(BigDecimal metresASecond, LengthUnit unit) {
        return unit == LengthUnit.INCH ? metresASecond.divide(FOOT_A_MINUTE, 0, RoundingMode.HALF_UP).multiply(FOOT_A_MINUTE)
                : metresASecond.setScale(1, RoundingMode.HALF_UP);
    }

    private static final BigDecimal FOOT_A_MINUTE = new BigDecimal("0.00508");

    /** Entries that count as nothing, by their reason. */
    private static Map<Reason, List<Integer>> strays(Survey survey) {
        Map<Integer, Reason> byEntry = new TreeMap<>();
        survey.strays().forEach(stray -> byEntry.putIfAbsent(stray.entry().sequence(), stray.because()));
        Map<Reason, List<Integer>> byReason = new LinkedHashMap<>();
        byEntry.forEach((entry, because) -> byReason.computeIfAbsent(because, b -> new ArrayList<>()).add(entry));
        return byReason;
    }

    private static void coverage(SpindleSurvey survey, List<StatementSentence> s) {
        Coverage.Counts c = survey.coverage().counts();
        if (c.run() == 0) {
            s.add(new StatementSentence(Heading.SPINDLE, Reason.of(VerdictReason.STATEMENT_NONE_RUN, c.all()), List.of()));
        } else {
            s.add(new StatementSentence(Heading.SPINDLE,
                    Reason.of(VerdictReason.STATEMENT_COVERAGE, c.run(), c.all(), c.proven(), c.failed(),
                            c.undecided(), c.inferred(), c.open()),
                    entries(counted(survey))));
        }
        if (c.sweeps() > 0) {
            s.add(new StatementSentence(Heading.SPINDLE, Reason.of(VerdictReason.STATEMENT_SWEEPS, c.sweepsProven(), c.sweeps()),
                    entries(survey.counting().stream().filter(r -> survey.machine().train().isSweep(r.route())).toList())));
        }
    }

    /** Runs that count, and of speeds to be run again after a repair the last before it: they count as undecided. */
    private static List<Run> counted(SpindleSurvey survey) {
        List<Run> runs = new ArrayList<>(survey.counting());
        survey.repeats().forEach(route -> survey.runs().stream().filter(r -> r.route().equals(route)).reduce((a, b) -> b)
                .ifPresent(runs::add));
        return runs;
    }

    private static void deviations(SpindleSurvey survey, List<StatementSentence> s) {
        List<Run> proven = survey.counting(Outcome.PROVEN).stream().filter(r -> r.deviation().isPresent()).toList();
        Comparator<Run> byDeviation = Comparator.comparing(r -> r.deviation().orElseThrow());
        Optional<Run> low = proven.stream().min(byDeviation);
        Optional<Run> high = proven.stream().max(byDeviation);
        if (low.isPresent() && high.isPresent()) {
            // As shown: two that round to one figure are one.
            boolean one = Math.round(percent(low.get()) * 10) == Math.round(percent(high.get()) * 10);
            boolean none = one && Math.round(percent(low.get()) * 10) == 0;
            s.add(new StatementSentence(Heading.SPINDLE,
                    Reason.of(none ? VerdictReason.STATEMENT_DEVIATION_NONE
                            : one ? VerdictReason.STATEMENT_DEVIATION
                                    : VerdictReason.STATEMENT_DEVIATIONS,
                            proven.size(), percent(low.get()), percent(high.get()),
                            tolerancePercent(survey)),
                    entries(proven)));
        }
    }

    private static void failures(SpindleSurvey survey, List<StatementSentence> s) {
        for (Run run : survey.counting(Outcome.FAILED)) {
            String name = name(survey, run);
            run.record().symptoms().forEach(symptom -> s.add(new StatementSentence(Heading.SPINDLE,
                    Reason.each(VerdictReason.STATEMENT_SYMPTOM, symptom, name, run.author()), List.of(run.entry()))));
            run.judgement().filter(j -> j.verdict() == tallledger.core.gauge.Verdict.OUTSIDE)
                    .ifPresent(j -> s.add(new StatementSentence(Heading.SPINDLE,
                            Reason.of(VerdictReason.STATEMENT_OUTSIDE, name, j.shown(), run.nominal().orElseThrow(), percent(run),
                                    tolerancePercent(survey), run.source()),
                            List.of(run.entry()))));
        }
    }

    private static void undecided(SpindleSurvey survey, List<StatementSentence> s) {
        for (Run run : survey.counting(Outcome.UNDECIDED)) {
            s.add(new StatementSentence(Heading.SPINDLE, undecided(survey, run), List.of(run.entry())));
        }
    }

    private static Reason undecided(SpindleSurvey survey, Run run) {
        String name = name(survey, run);
        if (run.doubt().isPresent()) {
            return Reason.of(VerdictReason.STATEMENT_DOUBT, name, run.doubt().get());
        }
        if (run.judgement().isPresent()) {
            return Reason.of(VerdictReason.STATEMENT_TOO_CLOSE, name, run.judgement().get().because());
        }
        return run.reading().map(r -> Reason.of(VerdictReason.STATEMENT_NOTHING_TO_COMPARE, name,
                Shown.of(r.rpm(), r.expanded(survey.rules())))).orElse(Reason.of(VerdictReason.STATEMENT_UNREAD, name));
    }

    private static void shifts(SpindleSurvey survey, List<StatementSentence> s) {
        List<Run> noted = survey.counting().stream().filter(r -> r.record().shift().isPresent()).toList();
        if (noted.isEmpty() && survey.latest().isEmpty()) {
            return;
        }
        if (noted.isEmpty()) {
            s.add(new StatementSentence(Heading.SPINDLE, Reason.of(VerdictReason.STATEMENT_SHIFT_NOT_NOTED), List.of()));
            return;
        }
        List<Run> clean = noted.stream().filter(r -> r.record().shift().get() == ShiftFeel.ENGAGES_CLEAN).toList();
        if (!clean.isEmpty()) {
            s.add(new StatementSentence(Heading.SPINDLE,
                    Reason.of(VerdictReason.STATEMENT_SHIFT_CLEAN, clean.size(), survey.latest().size()),
                    entries(clean)));
        }
        for (ShiftFeel feel : List.of(ShiftFeel.NEEDS_ROCKING, ShiftFeel.CLASHES)) {
            List<Run> runs = noted.stream().filter(r -> r.record().shift().get() == feel).toList();
            if (!runs.isEmpty()) {
                s.add(new StatementSentence(Heading.SPINDLE, Reason.each(VerdictReason.STATEMENT_SHIFT, feel, names(survey, runs)),
                        entries(runs)));
            }
        }
    }

    private static String names(List<HeardSound> sounds, SpindleSurvey survey) {
        return sounds.stream().map(h -> survey.machine().train().name(h.route())).collect(Collectors.joining(", "));
    }

    private static void noise(SpindleSurvey survey, List<StatementSentence> s) {
        List<Run> quiet = survey.counting().stream().filter(r -> r.record().quiet()).toList();
        if (!quiet.isEmpty()) {
            s.add(new StatementSentence(Heading.SPINDLE, Reason.of(VerdictReason.STATEMENT_QUIET, quiet.size(), survey.latest().size(),
                    names(survey, quiet)), entries(quiet)));
        }
        List<HeardSound> recorded = HeardSound.of(survey);
        List<HeardSound> quietly = recorded.stream().filter(h -> h.isQuiet(recorded, survey).orElse(false)).toList();
        if (!quietly.isEmpty()) {
            s.add(new StatementSentence(Heading.SPINDLE, Reason.of(VerdictReason.STATEMENT_QUIET_RECORDED, quietly.size(), recorded.size(),
                    names(quietly, survey),
                    survey.rules().number(Rule.QUIET_OVER)),
                    quietly.stream().flatMap(h -> h.entries(recorded, survey).stream()).sorted().distinct().toList()));
        }
        List<HeardSound> knocking = recorded.stream().filter(HeardSound::knocks).toList();
        if (!knocking.isEmpty()) {
            s.add(new StatementSentence(Heading.SPINDLE, Reason.of(VerdictReason.STATEMENT_KNOCK_RECORDED, names(knocking, survey)),
                    knocking.stream().map(h -> h.recording().entry()).sorted().toList()));
        }
        if (quiet.isEmpty() && quietly.isEmpty() && !survey.latest().isEmpty()) {
            s.add(new StatementSentence(Heading.SPINDLE, Reason.of(VerdictReason.STATEMENT_NOISE_NOT_NOTED), List.of()));
        }
    }

    private static void reverse(SpindleSurvey survey, List<StatementSentence> s) {
        if (!survey.machine().reverses()) {
            return;
        }
        List<Run> reverse = survey.counting().stream().filter(r -> survey.machine().train().isReverse(r.route())).toList();
        s.add(reverse.isEmpty() ? new StatementSentence(Heading.NOT_TESTED, Reason.of(VerdictReason.STATEMENT_REVERSE_NOT_RUN), List.of())
                : new StatementSentence(Heading.SPINDLE, Reason.of(VerdictReason.STATEMENT_REVERSE, names(survey, reverse)),
                        entries(reverse)));
    }

    private static void checks(SpindleSurvey survey, List<StatementSentence> s) {
        survey.checks().values().forEach(c -> s.add(new StatementSentence(Heading.SPINDLE, c.brake().map(b -> b.grade()
                .map(g -> Reason.of(VerdictReason.STATEMENT_BRAKE_GRADE, c.seconds().orElseThrow(), g,
                        survey.rules().graded(Rule.SPINDLE_STOP).at(g)))
                .orElse(Reason.of(VerdictReason.STATEMENT_BRAKE, c.seconds().orElseThrow(),
                        survey.rules().graded(Rule.SPINDLE_STOP).workable())))
                .orElse(Reason.each(c.good() ? VerdictReason.STATEMENT_CHECK_GOOD : VerdictReason.STATEMENT_CHECK_BAD, c.check())),
                List.of(c.entry()))));
        if (!survey.uncheckedDrive().isEmpty()) {
            s.add(new StatementSentence(Heading.NOT_TESTED, Reason.of(VerdictReason.STATEMENT_UNCHECKED, survey.uncheckedDrive()),
                    List.of()));
        }
    }

    private static void repairs(SpindleSurvey survey, List<StatementSentence> s) {
        survey.repairs().forEach(r -> r.part().ofDrive().ifPresent(part -> s.add(new StatementSentence(Heading.SPINDLE,
                Reason.of(VerdictReason.STATEMENT_REPAIRED, part, r.what()), List.of(r.entry())))));
        if (!survey.repeats().isEmpty()) {
            s.add(new StatementSentence(Heading.NOT_TESTED,
                    Reason.of(VerdictReason.STATEMENT_TO_REPEAT, String.join(", ", survey.repeats().stream()
                            .map(survey.machine().train()::name).toList())),
                    List.of()));
        }
    }

    /**
     * Lever positions on which a single run said something: with chance 1 − s a faulty part there is silent once, so a second run is worth
     * most there. Not said where every position was heard twice, nor of a drive without a choice.
     */
    private static void heardOnce(SpindleSurvey survey, List<StatementSentence> s) {
        SecondRuns second = SecondRuns.of(survey);
        if (second.once().isEmpty()) {
            return;
        }
        s.add(new StatementSentence(Heading.NOT_TESTED, Reason.of(VerdictReason.STATEMENT_HEARD_ONCE, second.once().stream()
                .map(e -> e.stageName() + " "
                        + e.label())
                .collect(Collectors.joining(", ")), Math.round(1 / (1 - survey.rules().value(Rule.SHOWS))),
                names(survey,
                        second.runs())),
                entries(second.runs())));
    }

    /** Ends of a range and the direction are no parts that wear behind a lever. */
    private static void untested(SpindleSurvey survey, List<StatementSentence> s) {
        String inferred = names(survey, Mark.INFERRED);
        if (!inferred.isEmpty()) {
            s.add(new StatementSentence(Heading.SPINDLE, Reason.of(VerdictReason.STATEMENT_INFERRED, inferred),
                    entries(survey.counting(Outcome.PROVEN))));
        }
        String open = names(survey, Mark.OPEN);
        if (!open.isEmpty()) {
            s.add(new StatementSentence(Heading.NOT_TESTED, Reason.of(VerdictReason.STATEMENT_OPEN, open), List.of()));
        }
        survey.passed().forEach((route, why) -> s.add(new StatementSentence(Heading.NOT_TESTED, Reason.of(VerdictReason.STATEMENT_PASSED,
                survey.machine().train().name(route), why.what()), List.of(why.entry()))));
    }

    private static void strikes(Survey survey, List<StatementSentence> s) {
        if (!survey.struck().isEmpty()) {
            s.add(new StatementSentence(Heading.RECORD, Reason.of(VerdictReason.STATEMENT_STRUCK, survey.struck().size()),
                    survey.struck().values().stream().map(Entry::sequence).sorted().toList()));
        }
    }

    private static BigDecimal tolerancePercent(SpindleSurvey survey) {
        return new SpeedRead(Optional.empty(), survey.table().plate().tolerance()).within(survey.rules()).movePointRight(2)
                .stripTrailingZeros();
    }

    private static double percent(Run run) {
        return run.deviation().orElseThrow().doubleValue() * 100;
    }

    private static String name(SpindleSurvey survey, Run run) {
        return survey.machine().train().name(run.route());
    }

    private static String names(SpindleSurvey survey, List<Run> runs) {
        return String.join(", ", runs.stream().map(run -> name(survey, run)).toList());
    }

    private static List<Integer> entries(List<Run> runs) {
        return runs.stream().map(Run::entry).sorted().toList();
    }

    /** Speeds with a mark, named as people call them. */
    private static String names(SpindleSurvey survey, Mark mark) {
        return String.join(", ", survey.coverage().marked(mark).stream()
                .map(speed -> survey.machine().train().name(speed.routes().get(0))).toList());
    }
}
