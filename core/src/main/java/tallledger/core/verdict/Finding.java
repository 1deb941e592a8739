package tallledger.core.verdict;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import tallledger.core.coverage.Outcome;
import tallledger.core.coverage.ShiftFeel;
import tallledger.core.coverage.Symptom;
import tallledger.core.gauge.Verdict;
import tallledger.core.ledger.Noted;
import tallledger.core.reason.Reason;
import tallledger.core.survey.CheckResult;
import tallledger.core.evidence.DriveCheck;
import tallledger.core.survey.Regrade;
import tallledger.core.survey.Run;
import tallledger.core.evidence.Severity;
import tallledger.core.survey.SpindleSurvey;
import tallledger.core.survey.Survey;
import tallledger.core.survey.StepResult;

/**
 * Something wrong, or not as stated.
 *
 * @param severity how soon it must be put right
 * @param what     the sentence and its numbers
 * @param entries  the entries it rests on
 * @param judged   how a person judges it, with the entry that says so; then the severity is theirs
 */
public record Finding(Severity severity, Reason what, List<Integer> entries, Optional<Noted<Regrade>> judged) {

    /** As the rules make it. */
    public Finding(Severity severity, Reason what, List<Integer> entries) {
        this(severity, what, entries, Optional.empty());
    }

    public Finding {
        entries = List.copyOf(entries);
    }

    /** Findings from the runs that count. The severities are house rules. */
    private static List<Finding> ofDrive(SpindleSurvey survey) {
        List<Finding> findings = new ArrayList<>();
        for (Run run : survey.counting()) {
            String name = survey.machine().train().name(run.route());
            for (Symptom symptom : run.record().symptoms()) {
                findings.add(new Finding(severity(symptom), Reason.each(VerdictReason.FINDING_SYMPTOM, symptom, name), List.of(run.entry())));
            }
            run.judgement().filter(j -> j.verdict() == Verdict.OUTSIDE).ifPresent(j -> findings.add(new Finding(
                    Severity.SOON, Reason.of(VerdictReason.FINDING_SPEED, name, j.shown(), run.nominal().orElseThrow(),
                    run.deviation().orElseThrow().doubleValue() * 100, j.limit().lower(), j.limit().upper(), run.source()), List.of(run.entry()))));
            run.record().shift().filter(s -> Set.of(ShiftFeel.NEEDS_ROCKING, ShiftFeel.CLASHES).contains(s)).ifPresent(s ->
                    findings.add(new Finding(s == ShiftFeel.CLASHES ? Severity.SOON : Severity.LIVE_WITH,
                            Reason.each(VerdictReason.FINDING_SHIFT, s, name), List.of(run.entry()))));
            if (run.outcome() == Outcome.UNDECIDED && run.judgement().isPresent()) {
                findings.add(new Finding(Severity.NOTE, Reason.of(VerdictReason.FINDING_TOO_CLOSE, name, run.judgement().get().because()),
                        List.of(run.entry())));
            }
        }
        survey.checks().values().stream().filter(CheckResult::isBad).forEach(c -> findings.add(new Finding(
                c.check() == DriveCheck.JOG ? Severity.LIVE_WITH : Severity.BEFORE_USE,
                c.seconds().isPresent() ? Reason.each(VerdictReason.FINDING_CHECK_SECONDS, c.check(), c.seconds().get())
                        : Reason.each(VerdictReason.FINDING_CHECK, c.check()), List.of(c.entry()))));
        return findings;
    }

    /** Findings of the runs and of every step, worst first. */
    public static List<Finding> of(Survey survey) {
        List<Finding> findings = ofDrive(survey.drive());
        for (StepResult result : survey.steps().latest().values()) {
            boolean ofDrive = result.step().recording().driveCheck().isPresent();
            if (result.isBad() && !ofDrive) {
                findings.add(new Finding(result.severity(), what(result), List.of(result.entry())));
            } else if (result.outcome() == Outcome.UNDECIDED) {
                findings.add(new Finding(Severity.NOTE, Reason.of(VerdictReason.FINDING_STEP_CLOSE, result.step().name(), result.judgement().because()), List.of(result.entry())));
            }
        }
        survey.steps().kit().broken().forEach(broken -> findings.add(new Finding(Severity.SOON, broken.what(), List.of(broken.entry()))));
        return findings.stream().map(f -> f.by(survey)).sorted(Comparator.comparing(Finding::severity)).toList();
    }

    /** As a person judges it, where one does; what stops use by the rules stays that. */
    private Finding by(Survey survey) {
        return entries.stream().flatMap(e -> Optional.ofNullable(survey.regrades().get(e)).stream()).findFirst().filter(r -> severity != Severity.STOP_USE || r.what().severity() == Severity.STOP_USE)
                .map(r -> new Finding(r.what().severity(), what, entries, Optional.of(r))).orElse(this);
    }

    /** What a person says of it, in the order people ask: why, by design, what it costs, what time it takes. */
    public List<Reason> says() {
        List<Reason> says = new ArrayList<>();
        judged.map(Noted::what).ifPresent(r -> {
            says.add(r.byDesign() ? Reason.of(VerdictReason.FINDING_BY_DESIGN, r.why()) : Reason.of(VerdictReason.FINDING_JUDGED, r.why()));
            if (!r.cost().isEmpty()) {
                says.add(Reason.of(VerdictReason.FINDING_COST, r.cost().get(0), r.cost().get(1), r.cost().get(2)));
            }
            r.minutesADay().ifPresent(day -> says.add(Reason.of(VerdictReason.FINDING_TIME, r.time().get(0), r.time().get(1), day)));
        });
        return says;
    }

    private static Reason what(StepResult result) {
        boolean measured = result.judgement().outcome() == Outcome.FAILED;
        List<Object> said = new ArrayList<>(measured ? result.judgement().because() : List.of());
        if (!result.remark().isEmpty()) {
            said.add(result.remark());
        }
        return said.isEmpty() ? Reason.of(VerdictReason.FINDING_STEP, result.step().name()) : Reason.of(VerdictReason.FINDING_STEP_BECAUSE, result.step().name(), said);
    }

    private static Severity severity(Symptom symptom) {
        return switch (symptom) {
            case JUMPS_OUT, SLIPS, NO_DRIVE, WILL_NOT_ENGAGE, HUNTS -> Severity.BEFORE_USE;
            case DEAD_SPOT, KNOCKS_ONCE_A_TURN, GROWLS, HOT, RUNS_ROUGH -> Severity.SOON;
            case WHINES, SQUEALS -> Severity.LIVE_WITH;
        };
    }
}
