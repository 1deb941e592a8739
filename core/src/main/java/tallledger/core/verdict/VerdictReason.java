package tallledger.core.verdict;

import java.util.List;
import tallledger.core.coverage.ShiftFeel;
import tallledger.core.coverage.Symptom;
import tallledger.core.evidence.DriveCheck;
import tallledger.core.reason.ReasonCode;
import tallledger.core.reason.Sentence;

/** Why, as this package says it: each with the names of what stands in its sentence. */
enum VerdictReason implements ReasonCode {
    CLAIM_COUNT_EVIDENCE("claim.count-evidence", "all", "run", "proven", "inferred", "open"),
    CLAIM_FEEDS("claim.feeds", "plate", "proven", "spared", "open"),
    CLAIM_DRILL("claim.drill", "cut", "speed", "feed", "force"),
    CLAIM_THREAD_PLATE("claim.thread-plate", "plate", "proven", "spared", "open"),
    CLAIM_FEEDS_NONE("claim.feeds-none"),
    CLAIM_STEP("claim.step", "step", "because"),
    CLAIM_STEP_NOT_DONE("claim.step-not-done", "step"),
    CLAIM_THREADS("claim.threads", "chart", "exact"),
    CLAIM_THREADS_NONE("claim.threads-none"),
    CLAIM_TIED("claim.tied", "because"),
    CLAIM_TIED_GONE("claim.tied-gone"),
    CLAIM_FUNCTIONS("claim.functions", "all", "good", "bad", "open"),
    CLAIM_CHART("claim.chart", "all", "within", "outside", "open"),
    CLAIM_BACKLASH("claim.backlash", "because"),
    CLAIM_BACKLASH_OPEN("claim.backlash-open", "open"),
    CLAIM_QUIET("claim.quiet", "quiet", "heard", "all"),
    CLAIM_CONDITION("claim.condition", "findings"),
    CLAIM_CONDITION_BAD("claim.condition-bad", "findings"),
    CLAIM_YEAR("claim.year", "year", "where"),
    CLAIM_YEAR_OPEN("claim.year-open"),
    CLAIM_PLATE_SAYS("claim.plate-says", "says"),
    CLAIM_PLATE_UNREAD("claim.plate-unread"),
    CLAIM_WEIGHED("claim.weighed", "weight", "who"),
    CLAIM_WEIGHED_NOT("claim.weighed-not"),
    CLAIM_NOT_COVERED("claim.not-covered"),
    CLAIM_NOT_RUN("claim.not-run"),
    CLAIM_REVERSE_FAILED("claim.reverse-failed"),
    CLAIM_REVERSE_NOT_RUN("claim.reverse-not-run"),
    CLAIM_REVERSE_RAN("claim.reverse-ran"),
    CLAIM_TRAVEL("claim.travel", "about", "because"),
    CLAIM_TRAVEL_NOT_MEASURED("claim.travel-not-measured"),
    CLAIM_TRAVEL_UNTIED("claim.travel-untied"),
    FINDING_BY_DESIGN("finding.by-design", "why"),
    FINDING_COST("finding.cost", "low", "likely", "high"),
    FINDING_PLATE("finding.plate", "because"),
    FINDING_NO_FAULT("finding.no-fault", "because"),
    FINDING_OUTSIDE("finding.outside", "why"),
    FINDING_JUDGED("finding.judged", "why"),
    FINDING_TIME("finding.time", "each", "times", "day"),
    FINDING_SPEED("finding.speed", "name", "shown", "nominal", "deviation", "lower", "upper", "source"),
    FINDING_STEP("finding.step", "name"),
    FINDING_STEP_BECAUSE("finding.step-because", "name", "said"),
    FINDING_STEP_CLOSE("finding.step-close", "name", "because"),
    FINDING_TOO_CLOSE("finding.too-close", "name", "because"),
    BESIDE_ASKED("beside.asked"),
    BESIDE_COUNT("beside.count", "count", "fewest", "most"),
    BESIDE_FASTEST("beside.fastest"),
    BESIDE_FEATURE("beside.feature", "feature"),
    BESIDE_HAS("beside.has"),
    BESIDE_KIT("beside.kit"),
    BESIDE_KNOWN("beside.known"),
    BESIDE_OFFER("beside.offer"),
    BESIDE_PERCENT("beside.percent", "known"),
    BESIDE_POWER("beside.power"),
    BESIDE_PUT_RIGHT("beside.put-right"),
    BESIDE_SLOWEST("beside.slowest"),
    BESIDE_SPEEDS("beside.speeds"),
    BESIDE_TRAVEL("beside.travel", "axis"),
    BESIDE_UNKNOWN("beside.unknown"),
    BESIDE_YEAR("beside.year"),
    GLANCE_BEFORE("glance.before", "findings"),
    GLANCE_LITTLE("glance.little", "known"),
    GLANCE_NOTHING("glance.nothing", "known"),
    GLANCE_STOP("glance.stop", "findings"),
    STATEMENT_JUDGED_AS("statement.judged-as", "grade"),
    STATEMENT_NOBODYS("statement.nobodys", "count"),
    STATEMENT_BRAKE("statement.brake", "seconds", "workable"),
    STATEMENT_BRAKE_GRADE("statement.brake-grade", "seconds", "g"),
    STATEMENT_COVERAGE("statement.coverage", "run", "all", "proven", "failed", "undecided", "inferred", "open"),
    STATEMENT_DEVIATION("statement.deviation", "runs", "lowest", "highest", "tolerance"),
    STATEMENT_DEVIATION_NONE("statement.deviation-none", "runs", "lowest", "highest", "tolerance"),
    STATEMENT_DEVIATIONS("statement.deviations", "runs", "lowest", "highest", "tolerance"),
    STATEMENT_MEASURED("statement.measured", "name", "because"),
    STATEMENT_GOOD("statement.good", "names"),
    STATEMENT_GRADE("statement.grade", "grade", "steps"),
    STATEMENT_INFERRED("statement.inferred", "inferred"),
    STATEMENT_KIT("statement.kit", "seen", "count", "awaited", "unlooked", "missing"),
    STATEMENT_KIT_MISSING("statement.kit-missing", "seen", "count", "awaited", "unlooked", "missing"),
    STATEMENT_NOISE_NOT_NOTED("statement.noise-not-noted"),
    STATEMENT_NONE_RUN("statement.none-run", "all"),
    STATEMENT_NOTHING_TO_COMPARE("statement.nothing-to-compare", "name", "reading"),
    STATEMENT_OPEN("statement.open", "open"),
    STATEMENT_OUTSIDE("statement.outside", "name", "shown", "nominal", "percent", "tolerancePercent", "source"),
    STATEMENT_OVERDUE("statement.overdue", "readings", "because"),
    STATEMENT_PASSED("statement.passed", "name", "reason"),
    STATEMENT_QUIET("statement.quiet", "quiet", "runs", "names"),
    STATEMENT_REFUSED("statement.refused", "name", "reason"),
    STATEMENT_REPAIRED("statement.repaired", "part", "what"),
    STATEMENT_REVERSE("statement.reverse", "names"),
    STATEMENT_REVERSE_NOT_RUN("statement.reverse-not-run"),
    STATEMENT_SHIFT_CLEAN("statement.shift-clean", "clean", "shifts"),
    STATEMENT_SHIFT_NOT_NOTED("statement.shift-not-noted"),
    STATEMENT_STEP_BAD("statement.step-bad", "name", "author"),
    STATEMENT_STEP_BAD_BECAUSE("statement.step-bad-because", "name", "author", "said"),
    STATEMENT_STEP_CLOSE("statement.step-close", "name", "because"),
    STATEMENT_STEP_PASSED("statement.step-passed", "name", "reason"),
    STATEMENT_STEPS("statement.steps", "done", "inScope", "proven", "failed", "undecided", "spared", "passed", "open"),
    STATEMENT_STEPS_AGAIN("statement.steps-again", "names"),
    STATEMENT_STEPS_OPEN("statement.steps-open", "phase", "names"),
    STATEMENT_STRAY("statement.stray", "count", "because"),
    STATEMENT_STRUCK("statement.struck", "count"),
    STATEMENT_SWEEPS("statement.sweeps", "sweepsProven", "sweeps"),
    STATEMENT_SYSTEM_REPAIRED("statement.system-repaired", "system", "what"),
    STATEMENT_TO_REPEAT("statement.to-repeat", "survey"),
    STATEMENT_TOO_CLOSE("statement.too-close", "name", "because"),
    STATEMENT_UNCHECKED("statement.unchecked", "uncheckedDrive"),
    STATEMENT_UNREAD("statement.unread", "name"),
    FINDING_SYMPTOM(List.of(Symptom.values()), "finding.symptom", "name"),
    FINDING_SHIFT(List.of(ShiftFeel.NEEDS_ROCKING, ShiftFeel.CLASHES), "finding.shift", "name"),
    FINDING_CHECK(List.of(DriveCheck.values()), "finding.check"),
    FINDING_CHECK_SECONDS(List.of(DriveCheck.BRAKE), "finding.check-seconds", "seconds"),
    STATEMENT_SYMPTOM(List.of(Symptom.values()), "statement.symptom", "name", "author"),
    STATEMENT_SHIFT(List.of(ShiftFeel.NEEDS_ROCKING, ShiftFeel.CLASHES), "statement.shift", "names"),
    STATEMENT_CHECK_GOOD(List.of(DriveCheck.values()), "statement.check-good"),
    STATEMENT_CHECK_BAD(List.of(DriveCheck.values()), "statement.check-bad");

    private final Sentence sentence;

    VerdictReason(String code, String... arguments) {
        sentence = Sentence.of(code, arguments);
    }

    /** A row of sentences, one for each of these. */
    VerdictReason(List<Enum<?>> row, String code, String... arguments) {
        sentence = Sentence.row(row, code, arguments);
    }

    @Override
    public Sentence sentence() {
        return sentence;
    }
}
