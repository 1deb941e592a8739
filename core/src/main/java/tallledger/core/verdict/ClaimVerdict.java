package tallledger.core.verdict;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import tallledger.core.coverage.Coverage;
import tallledger.core.coverage.Mark;
import tallledger.core.coverage.Outcome;
import tallledger.core.drive.Route;
import tallledger.core.drive.Speed;
import tallledger.core.family.Catalogue;
import tallledger.core.family.Step;
import tallledger.core.gauge.Judgement;
import tallledger.core.gauge.Limit;
import tallledger.core.machine.Claim;
import tallledger.core.motion.ChangeWheels;
import tallledger.core.motion.GearChart;
import tallledger.core.motion.WheelSet;
import tallledger.core.reading.TypedLength;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rule;
import tallledger.core.evidence.MotionRecordings;
import tallledger.core.survey.Run;
import tallledger.core.survey.SpindleSurvey;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.survey.Survey;
import tallledger.core.cutting.Job;
import tallledger.core.cutting.TestCut;
import tallledger.core.evidence.InUnit;
import tallledger.core.reason.Quantity;
import tallledger.core.rules.Rules;
import tallledger.core.survey.StepResult;

/**
 * A claim against the evidence.
 *
 * @param claim   what is said, by whom
 * @param standing how it stands
 * @param because the evidence, or what is lacking
 * @param entries entries it rests on
 */
public record ClaimVerdict(Claim claim, Standing standing, Reason because, List<Integer> entries) {

    /** A travel that much longer than claimed is better than claimed (house rule). */
    private static final BigDecimal WORTH_SAYING = new BigDecimal("0.05");

    public enum Standing { UPHELD, SHORT, BETTER, CONTRADICTED, UNTESTED }

    private static List<ClaimVerdict> ofDrive(SpindleSurvey survey) {
        return survey.machine().claims().stream().map(claim -> switch (claim.attribute()) {
            case SPEED_COUNT -> count(claim, survey);
            case SLOWEST_SPEED -> end(claim, survey, first(survey.table().counted()), Standing.BETTER, Standing.SHORT);
            case FASTEST_SPEED -> end(claim, survey, last(survey.table().counted()), Standing.SHORT, Standing.BETTER);
            case REVERSES -> reverses(claim, survey);
            default -> untested(claim, VerdictReason.CLAIM_NOT_COVERED);
        }).toList();
    }

    /** The same with the steps as evidence too: a claimed travel is held against the axis it is tied to. */
    public static List<ClaimVerdict> of(Survey survey) {
        return ofDrive(survey.drive()).stream().map(v -> v.claim().testedBy().isPresent() ? tied(v.claim(), survey) : switch (v.claim().attribute()) {
            case DRILLING_CAPACITY -> drilling(v.claim(), survey);
            case TRAVEL -> travel(v.claim(), survey);
            case FEED_COUNT -> ofPlate(v.claim(), survey, Catalogue.FEED_PLATE, VerdictReason.CLAIM_FEEDS).orElseGet(() -> untested(v.claim(), VerdictReason.CLAIM_FEEDS_NONE));
            case THREAD_COUNT -> ofPlate(v.claim(), survey, Catalogue.THREAD_PLATE, VerdictReason.CLAIM_THREAD_PLATE).orElseGet(() -> threads(v.claim(), survey));
            case COLLETS, KIT_COUNT -> survey.steps().steps().stream().filter(s -> s.code().equals(Catalogue.CLAIMED_COUNT) && isAbout(s, v.claim())).findFirst()
                    .map(step -> by(v.claim(), step, survey)).orElse(v);
            default -> v;
        }).toList();
    }

    private static boolean isAbout(Step step, Claim claim) {
        String what = claim.attribute() == Claim.Attribute.COLLETS ? "collets" : claim.wording();
        return step.about().get(0).equalsIgnoreCase(what.isBlank() ? "kit" : what);
    }

    private static ClaimVerdict tied(Claim claim, Survey survey) {
        return survey.steps().step(claim.testedBy().orElseThrow().written()).map(step -> by(claim, step, survey)).orElseGet(() -> untested(claim, VerdictReason.CLAIM_TIED_GONE));
    }

    /** As the step comes out that tests it. */
    private static ClaimVerdict by(Claim claim, Step step, Survey survey) {
        StepResult result = survey.steps().latest().get(step.id());
        if (result == null) {
            return new ClaimVerdict(claim, Standing.UNTESTED, Reason.of(VerdictReason.CLAIM_STEP_NOT_DONE, step.name()), List.of());
        }
        Standing standing = switch (result.outcome()) {
            case PROVEN -> Standing.UPHELD;
            case FAILED -> Standing.CONTRADICTED;
            case UNDECIDED -> Standing.UNTESTED;
        };
        return new ClaimVerdict(claim, standing, Reason.of(VerdictReason.CLAIM_STEP, step.name(), result.because()), List.of(result.entry()));
    }

    /** Upheld only if that many stand on its plate and every one ran right, or is spared by those that did; empty where it has no such plate. */
    private static Optional<ClaimVerdict> ofPlate(Claim claim, Survey survey, String code, VerdictReason says) {
        List<Step> feeds = survey.steps().steps().stream().filter(s -> s.code().equals(code)).toList();
        if (feeds.isEmpty()) {
            return Optional.empty();
        }
        List<StepResult> done = feeds.stream().map(s -> survey.steps().latest().get(s.id())).filter(Objects::nonNull).toList();
        int proven = (int) done.stream().filter(r -> r.outcome() == Outcome.PROVEN).count();
        int spared = (int) feeds.stream().filter(s -> !survey.steps().latest().containsKey(s.id()) && survey.steps().isSpared(s)).count();
        int open = feeds.size() - proven - spared;
        int claimed = claim.count().orElseThrow();
        Standing standing = feeds.size() < claimed || done.stream().anyMatch(StepResult::isBad) ? Standing.SHORT : open > 0 ? Standing.UNTESTED
                : feeds.size() > claimed ? Standing.BETTER : Standing.UPHELD;
        return Optional.of(new ClaimVerdict(claim, standing, Reason.of(says, feeds.size(), proven, spared, open), done.stream().map(StepResult::entry).sorted().toList()));
    }

    /** By the power the largest drill wants in steel at the machine's own speed; that it suffices is no cut that was made. */
    private static ClaimVerdict drilling(Claim claim, Survey survey) {
        Rules rules = survey.rules();
        double diameter = TypedLength.parse(claim.value(), survey.machine().unit()).mm().doubleValue();
        if (diameter <= 0) {
            return untested(claim, VerdictReason.CLAIM_NOT_COVERED);
        }
        TestCut cut = TestCut.of(new Job(Job.Kind.DRILLING, diameter, rules.value(Rule.DRILL_CLAIM_SPEED), rules.value(Rule.DRILL_CLAIM_FEED), 0, 0, rules.value(Rule.DRILL_CLAIM_FORCE)),
                survey.machine().speeds(), survey.machine().motor());
        Reason because = InUnit.of(Reason.of(VerdictReason.CLAIM_DRILL, cut.says(), rules.number(Rule.DRILL_CLAIM_SPEED), Quantity.of(rules.number(Rule.DRILL_CLAIM_FEED), "mm"),
                rules.number(Rule.DRILL_CLAIM_FORCE)), survey.machine().unit());
        Standing standing = cut.suffices().filter(enough -> !enough).isPresent() || cut.ways().isEmpty() ? Standing.SHORT : Standing.UNTESTED;
        return new ClaimVerdict(claim, standing, because, List.of());
    }

    /** Against what the chart promises and the wheels counted can cut. */
    private static ClaimVerdict threads(Claim claim, Survey survey) {
        Optional<GearChart> chart = survey.machine().fitOut().chart().map(c -> c.parse(survey.machine().unit()));
        Optional<StepResult> counted = survey.steps().latest().values().stream().filter(r -> r.as(WheelSet.class).isPresent()).findFirst();
        if (chart.filter(c -> !c.usual()).isEmpty() || counted.isEmpty()) {
            return untested(claim, VerdictReason.CLAIM_THREADS_NONE);
        }
        ChangeWheels cut = ChangeWheels.of(chart.get(), counted.get().as(WheelSet.class).orElseThrow());
        int exact = (int) cut.threads().stream().filter(t -> t.exact().isPresent()).count();
        int claimed = claim.count().orElseThrow();
        Standing standing = exact < claimed ? Standing.SHORT : exact > claimed ? Standing.BETTER : Standing.UPHELD;
        return new ClaimVerdict(claim, standing, Reason.of(VerdictReason.CLAIM_THREADS, chart.get().promised().size(), exact), List.of(counted.get().entry()));
    }

    /** One fact, one judge: the reading is judged as its own step judges it, against what this claim says. */
    private static ClaimVerdict travel(Claim claim, Survey survey) {
        if (claim.axis().isEmpty()) {
            return untested(claim, VerdictReason.CLAIM_TRAVEL_UNTIED);
        }
        Optional<StepResult> measured = survey.steps().latest().values().stream()
                .filter(r -> r.step().axis().equals(claim.axis()) && r.as(TypedLength.class).isPresent()).findFirst();
        if (measured.isEmpty()) {
            return untested(claim, VerdictReason.CLAIM_TRAVEL_NOT_MEASURED);
        }
        TypedLength said = TypedLength.parse(claim.value(), survey.machine().identity().unit());
        BigDecimal claimed = said.mm();
        TypedLength travelled = measured.get().as(TypedLength.class).orElseThrow();
        StepJudgement judged = new MotionRecordings.Travel(Optional.of(said)).judge(travelled, survey.rules()).in(survey.machine().identity().unit());
        BigDecimal over = travelled.mm().subtract(claimed);
        Standing standing = switch (judged.outcome()) {
            case FAILED -> Standing.SHORT;
            case UNDECIDED -> Standing.UNTESTED;
            case PROVEN -> over.compareTo(claimed.multiply(WORTH_SAYING)) > 0 ? Standing.BETTER : Standing.UPHELD;
        };
        return new ClaimVerdict(claim, standing, Reason.of(VerdictReason.CLAIM_TRAVEL, measured.get().step().about().get(0), judged.because().get(0)), List.of(measured.get().entry()));
    }

    /** Upheld only if that many distinct speeds exist and every one is proven or inferred. */
    private static ClaimVerdict count(Claim claim, SpindleSurvey survey) {
        Coverage.Counts counts = survey.coverage().counts();
        int claimed = TypedNumber.parsePositive(claim.value()).value().intValue();
        List<Integer> entries = survey.counting().stream().map(Run::entry).toList();
        Reason because = Reason.of(VerdictReason.CLAIM_COUNT_EVIDENCE, counts.all(), counts.run(), counts.proven(), counts.inferred(),
                counts.failed() + counts.undecided() + counts.open());
        Standing standing;
        if (counts.all() != claimed) {
            standing = counts.all() < claimed ? Standing.SHORT : Standing.BETTER;
        } else if (counts.proven() + counts.inferred() == counts.all()) {
            standing = Standing.UPHELD;
        } else {
            standing = counts.failed() > 0 ? Standing.SHORT : Standing.UNTESTED;
        }
        return new ClaimVerdict(claim, standing, because, entries);
    }

    private static ClaimVerdict end(Claim claim, SpindleSurvey survey, Optional<Speed> speed, Standing below, Standing above) {
        Optional<Run> read = speed.stream().flatMap(s -> s.routes().stream())
                .flatMap(route -> Optional.ofNullable(survey.latest().get(route)).stream())
                .filter(run -> run.record().reading().isPresent()).findFirst();
        if (read.isEmpty()) {
            return untested(claim, VerdictReason.CLAIM_NOT_RUN);
        }
        BigDecimal claimed = TypedNumber.parsePositive(claim.value()).value();
        Limit limit = Limit.aboutSpeed(claimed, survey.rules().share(Rule.SPEED_TOLERANCE));
        Judgement judged = Judgement.of(read.get().record().reading().get().rpm(),
                read.get().record().reading().get().expanded(survey.rules()), limit);
        Standing standing = switch (judged.verdict()) {
            case WITHIN -> Standing.UPHELD;
            case TOO_CLOSE_TO_CALL -> Standing.UNTESTED;
            case OUTSIDE -> judged.reading().compareTo(limit.lower()) < 0 ? below : above;
        };
        return new ClaimVerdict(claim, standing, judged.because(), List.of(read.get().entry()));
    }

    private static ClaimVerdict reverses(Claim claim, SpindleSurvey survey) {
        boolean denied = claim.value().strip().toLowerCase(Locale.ROOT).startsWith("no");
        List<Run> reverse = survey.counting().stream().filter(r -> isReverse(survey, r.route())).toList();
        if (reverse.isEmpty()) {
            return untested(claim, VerdictReason.CLAIM_REVERSE_NOT_RUN);
        }
        List<Integer> entries = reverse.stream().map(Run::entry).toList();
        boolean turned = reverse.stream().anyMatch(run -> run.outcome() == tallledger.core.coverage.Outcome.PROVEN);
        Reason because = Reason.of(turned ? VerdictReason.CLAIM_REVERSE_RAN : VerdictReason.CLAIM_REVERSE_FAILED);
        return new ClaimVerdict(claim, turned != denied ? Standing.UPHELD : Standing.CONTRADICTED, because, entries);
    }

    private static boolean isReverse(SpindleSurvey survey, Route route) {
        return survey.machine().train().isReverse(route);
    }

    private static ClaimVerdict untested(Claim claim, VerdictReason code) {
        return new ClaimVerdict(claim, Standing.UNTESTED, Reason.of(code), List.of());
    }

    private static Optional<Speed> first(List<Speed> speeds) {
        return speeds.stream().findFirst();
    }

    private static Optional<Speed> last(List<Speed> speeds) {
        List<Speed> placed = new ArrayList<>(speeds.stream().filter(s -> s.expected().isPresent()).toList());
        return placed.isEmpty() ? Optional.empty() : Optional.of(placed.get(placed.size() - 1));
    }

    /** Speeds with a mark, named as people call them. */
    static String names(SpindleSurvey survey, Mark mark) {
        return String.join(", ", survey.coverage().marked(mark).stream()
                .map(speed -> survey.machine().train().name(speed.routes().get(0))).toList());
    }
}
