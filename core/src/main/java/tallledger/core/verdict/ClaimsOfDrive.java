package tallledger.core.verdict;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import tallledger.core.coverage.Coverage;
import tallledger.core.coverage.Mark;
import tallledger.core.coverage.Outcome;
import tallledger.core.drive.Route;
import tallledger.core.drive.Speed;
import tallledger.core.gauge.Judgement;
import tallledger.core.gauge.Limit;
import tallledger.core.machine.Claim;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rule;
import tallledger.core.survey.Run;
import tallledger.core.survey.SpindleSurvey;
import tallledger.core.survey.Task;
import tallledger.core.verdict.ClaimVerdict.Standing;

/** Claims of the spindle's speeds. */
final class ClaimsOfDrive {

    private ClaimsOfDrive() {
    }

    static ClaimVerdict of(Claim claim, SpindleSurvey survey) {
        return switch (claim.attribute()) {
            case SPEED_COUNT -> count(claim, survey);
            case SLOWEST_SPEED -> end(claim, survey, first(survey.table().counted()), Standing.BETTER, Standing.SHORT);
            case FASTEST_SPEED -> end(claim, survey, last(survey.table().counted()), Standing.SHORT, Standing.BETTER);
            case REVERSES -> reverses(claim, survey);
            default -> ClaimVerdict.untested(claim, VerdictReason.CLAIM_NOT_COVERED);
        };
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
        return new ClaimVerdict(claim, standing, because, entries, open(survey));
    }

    /** A speed not shown good by any run. */
    private static Optional<Task> open(SpindleSurvey survey) {
        return survey.coverage().marked(Mark.OPEN).stream().findFirst().map(speed -> Task.of(speed.routes().get(0)));
    }

    private static ClaimVerdict end(Claim claim, SpindleSurvey survey, Optional<Speed> speed, Standing below, Standing above) {
        Optional<Run> read = speed.stream().flatMap(s -> s.routes().stream())
                .flatMap(route -> Optional.ofNullable(survey.latest().get(route)).stream())
                .filter(run -> run.record().reading().isPresent()).findFirst();
        if (read.isEmpty()) {
            return new ClaimVerdict(claim, Standing.UNTESTED, Reason.of(VerdictReason.CLAIM_NOT_RUN), List.of(),
                    speed.map(s -> Task.of(s.routes().get(0))));
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
        return new ClaimVerdict(claim, standing, judged.because(), List.of(read.get().entry()), standing == Standing.UNTESTED
                ? Optional.of(read.get().task()) : Optional.empty());
    }

    private static ClaimVerdict reverses(Claim claim, SpindleSurvey survey) {
        boolean denied = claim.value().strip().toLowerCase(Locale.ROOT).startsWith("no");
        List<Run> reverse = survey.counting().stream().filter(r -> isReverse(survey, r.route())).toList();
        if (reverse.isEmpty()) {
            return new ClaimVerdict(claim, Standing.UNTESTED, Reason.of(VerdictReason.CLAIM_REVERSE_NOT_RUN), List.of(),
                    survey.machine().train().routes().stream().filter(r -> isReverse(survey, r)).findFirst().map(Task::of));
        }
        List<Integer> entries = reverse.stream().map(Run::entry).toList();
        boolean turned = reverse.stream().anyMatch(run -> run.outcome() == Outcome.PROVEN);
        Reason because = Reason.of(turned ? VerdictReason.CLAIM_REVERSE_RAN : VerdictReason.CLAIM_REVERSE_FAILED);
        return new ClaimVerdict(claim, turned != denied ? Standing.UPHELD : Standing.CONTRADICTED, because, entries, Optional.empty());
    }

    private static boolean isReverse(SpindleSurvey survey, Route route) {
        return survey.machine().train().isReverse(route);
    }

    private static Optional<Speed> first(List<Speed> speeds) {
        return speeds.stream().findFirst();
    }

    private static Optional<Speed> last(List<Speed> speeds) {
        List<Speed> placed = new ArrayList<>(speeds.stream().filter(s -> s.expected().isPresent()).toList());
        return placed.isEmpty() ? Optional.empty() : Optional.of(placed.get(placed.size() - 1));
    }
}
