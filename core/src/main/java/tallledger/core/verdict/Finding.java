package tallledger.core.verdict;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import tallledger.core.blame.SpeedCause;
import tallledger.core.coverage.Outcome;
import tallledger.core.coverage.ShiftFeel;
import tallledger.core.coverage.Symptom;
import tallledger.core.evidence.DriveCheck;
import tallledger.core.evidence.Severity;
import tallledger.core.gauge.Verdict;
import tallledger.core.ledger.NotedEntry;
import tallledger.core.measuring.FeedRate;
import tallledger.core.motion.FeedReading;
import tallledger.core.motion.FeedSet;
import tallledger.core.motion.WheelSet;
import tallledger.core.plan.SurveyPlan;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rule;
import tallledger.core.survey.CheckResult;
import tallledger.core.survey.PlateDoubt;
import tallledger.core.survey.Regrade;
import tallledger.core.survey.Run;
import tallledger.core.survey.SpindleSurvey;
import tallledger.core.survey.StepResult;
import tallledger.core.survey.Survey;

/**
 * Something wrong, or not as stated.
 *
 * @param severity how soon it must be put right
 * @param about    the system it is of, in words
 * @param what     the sentence and its numbers
 * @param brief    in a few words: the step's name, or the sentence where it is short anyway
 * @param entries  the entries it rests on
 * @param explained why it is no fault of the machine, where its own readings say so; then it is a note
 * @param judged   how a person judges it, with the entry that says so; then the severity is theirs
 */
public record Finding(Severity severity, Reason about, Reason what, Reason brief, List<Integer> entries, Optional<Explained> explained,
        Optional<NotedEntry<Regrade>> judged) {

    private static final Reason DRIVE = Reason.named("system.spindle-drive");
    private static final Reason KIT = Reason.named("system.kit-list");

    /** What explains it: a plate that says what the machine never did, or something outside the machine. */
    public record Explained(boolean byPlate, Reason because) {
    }

    public Finding {
        entries = List.copyOf(entries);
    }

    /** As the rules make it. */
    private static Finding of(Severity severity, Reason about, Reason what, int entry) {
        return of(severity, about, what, what, entry);
    }

    private static Finding of(Severity severity, Reason about, Reason what, Reason brief, int entry) {
        return new Finding(severity, about, what, brief, List.of(entry), Optional.empty(), Optional.empty());
    }

    private Finding explainedBy(Optional<Explained> by) {
        return by.isPresent() ? new Finding(Severity.NOTE, about, what, brief, entries, by, judged) : this;
    }

    /** Findings from the runs that count. The severities are house rules. */
    private static List<Finding> ofDrive(SpindleSurvey survey) {
        List<Finding> findings = new ArrayList<>();
        Map<Integer, Explained> explained = explained(survey);
        for (Run run : survey.counting()) {
            String name = survey.machine().train().name(run.route());
            for (Symptom symptom : run.record().symptoms()) {
                findings.add(of(severity(symptom), DRIVE, Reason.each(VerdictReason.FINDING_SYMPTOM, symptom, name), run.entry()));
            }
            run.judgement().filter(j -> j.verdict() == Verdict.OUTSIDE).ifPresent(j -> findings.add(of(
                    Severity.SOON, DRIVE, Reason.of(VerdictReason.FINDING_SPEED, name, j.shown(), run.nominal().orElseThrow(),
                            run.deviation().orElseThrow().doubleValue() * 100, j.limit().lower(), j.limit().upper(), run.source()),
                    run.entry())
                    .explainedBy(Optional.ofNullable(explained.get(run.entry())))));
            run.record().shift().filter(s -> Set.of(ShiftFeel.NEEDS_ROCKING, ShiftFeel.CLASHES).contains(s))
                    .ifPresent(s -> findings.add(of(s == ShiftFeel.CLASHES ? Severity.SOON : Severity.LIVE_WITH, DRIVE,
                            Reason.each(VerdictReason.FINDING_SHIFT, s, name), run.entry())));
            if (run.outcome() == Outcome.UNDECIDED && run.judgement().isPresent()) {
                findings.add(of(Severity.NOTE, DRIVE, Reason.of(VerdictReason.FINDING_TOO_CLOSE, name, run.judgement().get().because()),
                        run.entry()));
            }
        }
        survey.checks().values().stream().filter(CheckResult::isBad).forEach(c -> findings.add(of(
                c.check() == DriveCheck.JOG ? Severity.LIVE_WITH : Severity.BEFORE_USE, Reason.named("system.spindle-controls"),
                c.seconds().isPresent() ? Reason.each(VerdictReason.FINDING_CHECK_SECONDS, c.check(), c.seconds().get())
                        : Reason.each(VerdictReason.FINDING_CHECK, c.check()),
                c.entry())));
        return findings;
    }

    /**
     * Speeds outside their limit that are no fault of the machine, by their entry: the plate is misprinted there and a reading settled it,
     * or is reckoned otherwise, or the supply has another frequency. Only where nothing else would explain the reading as well.
     */
    private static Map<Integer, Explained> explained(SpindleSurvey survey) {
        Map<Integer, Explained> explained = new HashMap<>();
        List<Run> off = survey.counting().stream().filter(r -> r.judgement().filter(j -> j.verdict() == Verdict.OUTSIDE).isPresent())
                .toList();
        if (off.isEmpty()) {
            return explained;
        }
        List<SpeedCause> causes = SurveyPlan.causes(survey);
        for (Run run : off) {
            List<SpeedCause> fits = causes.stream().filter(c -> c.routes().contains(run.route())).toList();
            if (!fits.isEmpty() && fits.stream().allMatch(c -> c.kind() == SpeedCause.Kind.SUPPLY)) {
                explained.put(run.entry(), new Explained(false, fits.get(0).because()));
            } else if (!fits.isEmpty() && fits.stream()
                    .allMatch(c -> Set.of(SpeedCause.Kind.PLATE, SpeedCause.Kind.UNLOADED).contains(c.kind()))) {
                explained.put(run.entry(), new Explained(true, fits.get(0).because()));
            }
        }
        PlateDoubt.of(survey).stream().filter(PlateDoubt::misleads)
                .forEach(d -> d.settled().ifPresent(s -> explained.put(s.entry(), new Explained(true, s.because()))));
        return explained;
    }

    /** Findings of the runs and of every step, worst first. */
    public static List<Finding> of(Survey survey) {
        List<Finding> findings = ofDrive(survey.drive());
        for (StepResult result : survey.steps().latest().values()) {
            boolean ofDrive = result.step().recording().driveCheck().isPresent();
            Reason about = result.step().system().words(survey.machine().fitOut());
            if (result.isBad() && !ofDrive) {
                findings.add(of(result.severity(), about, what(result, survey), result.step().name(), result.entry()));
            } else if (result.outcome() == Outcome.UNDECIDED) {
                // Too close to call is a figure beside its limit; a log that breaks off, a panel nobody saw are not decided.
                boolean close = result.judgement().figures().stream().flatMap(f -> f.against().stream())
                        .anyMatch(a -> a.verdict() == Verdict.TOO_CLOSE_TO_CALL);
                findings.add(of(Severity.NOTE, about, Reason.of(close ? VerdictReason.FINDING_STEP_CLOSE : VerdictReason.FINDING_STEP_OPEN,
                        result.step().name(), result.judgement().because()), result.entry()));
            }
        }
        survey.steps().kit().broken().forEach(broken -> findings.add(of(Severity.SOON, KIT, broken.what(), broken.entry())));
        SeenInFilms films = new SeenInFilms(survey);
        return findings.stream().map(f -> f.seen(films).by(survey)).sorted(Comparator.comparing(Finding::severity)).toList();
    }

    /** Findings by the system they are of: the system with the worst of them first. */
    public static Map<Reason, List<Finding>> bySystem(List<Finding> worstFirst) {
        Map<Reason, List<Finding>> by = new LinkedHashMap<>();
        worstFirst.forEach(f -> by.computeIfAbsent(f.about(), a -> new ArrayList<>()).add(f));
        return by;
    }

    private Finding seen(SeenInFilms films) {
        return new Finding(severity, about, films.said(what, entries), brief, entries, explained, judged);
    }

    /** As a person judges it, where one does; what stops use by the rules stays that. */
    private Finding by(Survey survey) {
        return entries.stream().flatMap(e -> Optional.ofNullable(survey.regrades().get(e)).stream()).findFirst()
                .filter(r -> severity != Severity.STOP_USE || r.what().severity() == Severity.STOP_USE)
                .map(r -> new Finding(r.what().severity(), about, what, brief, entries, explained, Optional.of(r))).orElse(this);
    }

    /** Whether it is a fault of the machine, by what a person says, else by what its readings say. */
    public Regrade.Whose whose() {
        return judged.map(j -> j.what().whose()).orElse(explained.filter(e -> !e.byPlate()).isPresent() ? Regrade.Whose.OUTSIDE
                : Regrade.Whose.FAULT);
    }

    /** What explains it, and what a person says of it, in the order people ask: why, by design, what it costs, what time it takes. */
    public List<Reason> says() {
        List<Reason> says = new ArrayList<>();
        explained.ifPresent(e -> says.add(Reason.of(e.byPlate() ? VerdictReason.FINDING_PLATE : VerdictReason.FINDING_NO_FAULT,
                e.because())));
        judged.map(NotedEntry::what).ifPresent(r -> {
            says.add(Reason.of(switch (r.whose()) {
                case FAULT -> VerdictReason.FINDING_JUDGED;
                case BY_DESIGN -> VerdictReason.FINDING_BY_DESIGN;
                case OUTSIDE -> VerdictReason.FINDING_OUTSIDE;
            }, r.why()));
            if (!r.cost().isEmpty()) {
                says.add(Reason.of(VerdictReason.FINDING_COST, r.cost().get(0), r.cost().get(1), r.cost().get(2)));
            }
            r.minutesADay().ifPresent(day -> says.add(Reason.of(VerdictReason.FINDING_TIME, r.time().get(0), r.time().get(1), day)));
        });
        return says;
    }

    private static Reason what(StepResult result, Survey survey) {
        boolean measured = result.judgement().outcome() == Outcome.FAILED;
        List<Object> said = new ArrayList<>(measured ? result.judgement().because() : List.of());
        fromTheWheelsCounted(result, survey).ifPresent(said::add);
        if (!result.remark().isEmpty()) {
            said.add(result.remark());
        }
        return said.isEmpty() ? Reason.of(VerdictReason.FINDING_STEP, result.step().name())
                : Reason.of(VerdictReason.FINDING_STEP_BECAUSE,
                        result.step().name(), said);
    }

    /** Pairs named at most: a hand tries the nearest first. */
    private static final int PAIRS = 3;

    /** For a feed that is off with two wheels on: which pairs of the wheels counted would give what it should be. */
    private static Optional<Reason> fromTheWheelsCounted(StepResult result, Survey survey) {
        Optional<FeedReading> feed = result.as(FeedReading.class);
        Optional<FeedSet.Wheels> on = feed.flatMap(FeedReading::set).flatMap(FeedSet::wheels);
        Optional<BigDecimal> wanted = result.step().recording() instanceof FeedRate f && feed.isPresent()
                ? f.wanted(feed.get())
                : Optional.empty();
        Optional<WheelSet> counted = survey.steps().latest().values().stream().flatMap(r -> r.as(WheelSet.class).stream()).findFirst();
        if (on.isEmpty() || wanted.isEmpty() || counted.isEmpty() || result.judgement().outcome() != Outcome.FAILED) {
            return Optional.empty();
        }
        double times = wanted.get().doubleValue() / feed.get().rate().doubleValue();
        List<FeedSet.Wheels> pairs = on.get().among(counted.get(), times, survey.rules().share(Rule.FEED_TOLERANCE).doubleValue());
        return Optional.of(pairs.isEmpty() ? Reason.of(VerdictReason.FINDING_WHEELS_NONE, counted.get().teeth().size())
                : Reason.of(VerdictReason.FINDING_WHEELS, pairs.stream().limit(PAIRS).map(p -> p.driving() + "/" + p.driven()).toList()));
    }

    private static Severity severity(Symptom symptom) {
        return switch (symptom) {
            case JUMPS_OUT, SLIPS, NO_DRIVE, WILL_NOT_ENGAGE, HUNTS -> Severity.BEFORE_USE;
            case DEAD_SPOT, KNOCKS_ONCE_A_TURN, GROWLS, RATTLES, HOT, RUNS_ROUGH -> Severity.SOON;
            case WHINES, SQUEALS -> Severity.LIVE_WITH;
        };
    }
}
