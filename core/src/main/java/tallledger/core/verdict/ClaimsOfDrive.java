package tallledger.core.verdict;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Stream;
import tallledger.core.coverage.Coverage;
import tallledger.core.coverage.Mark;
import tallledger.core.coverage.Outcome;
import tallledger.core.drive.Route;
import tallledger.core.drive.Speed;
import tallledger.core.drive.Stage;
import tallledger.core.gauge.Judgement;
import tallledger.core.gauge.Limit;
import tallledger.core.gauge.Verdict;
import tallledger.core.machine.Claim;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rule;
import tallledger.core.survey.Run;
import tallledger.core.survey.SpindleSurvey;
import tallledger.core.survey.Task;
import tallledger.core.survey.ToldRatio;
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
            case SPEED -> single(claim, TypedNumber.parsePositive(claim.value()).value(), Optional.empty(), survey);
            case SPEED_LIST -> list(claim, survey);
            case SPEEDS_WORK -> allWork(claim, survey);
            case REVERSES -> reverses(claim, survey);
            case RATIO -> ratio(claim, survey);
            default -> ClaimVerdict.untested(claim, VerdictReason.CLAIM_NOT_COVERED);
        };
    }

    /**
     * Upheld only if that many distinct speeds exist, each proven, inferred or read within its limit, whatever was heard of it: that it
     * runs
     * and how it runs are two things. More on the plate than claimed is better only where they were shown. Beside an inverter with a place
     * at its plate frequency the settings there are what plates and sellers count; who claims more than those counts its ends as well.
     */
    private static ClaimVerdict count(Claim claim, SpindleSurvey survey) {
        int claimed = TypedNumber.parsePositive(claim.value()).value().intValue();
        Optional<Stage> inverter = survey.machine().train().stages().stream().filter(s -> s.ownPlace().isPresent())
                .filter(s -> survey.coverage().counts(standingThere(survey, s)).all() >= claimed).findFirst();
        Predicate<Speed> counted = inverter.map(s -> standingThere(survey, s)).orElse(speed -> true);
        Coverage.Counts counts = survey.coverage().counts(counted);
        int heard = heardOnly(survey, counted);
        int elsewhere = elsewhere(survey, counted);
        List<Integer> entries = survey.counting().stream().map(Run::entry).toList();
        Reason evidence = Reason.of(VerdictReason.CLAIM_COUNT_EVIDENCE, counts.all(), counts.run(), counts.proven(), counts.inferred(),
                counts.failed() + counts.undecided() + counts.open());
        Reason because = inverter.map(s -> Reason.of(VerdictReason.CLAIM_COUNT_AT_PLACE, s.name(), s.ownPlace().orElseThrow(), evidence))
                .orElse(evidence);
        Standing standing;
        int there = counts.proven() + counts.inferred() + heard + elsewhere;
        if (counts.all() < claimed) {
            standing = Standing.SHORT;
        } else if (there == counts.all()) {
            standing = counts.all() > claimed ? Standing.BETTER : Standing.UPHELD;
        } else {
            int gone = counts.open() + counts.undecided() == 0 ? counts.failed() - heard - elsewhere : notThere(survey, counted);
            standing = counts.all() - gone < claimed ? Standing.SHORT : Standing.UNTESTED;
        }
        return new ClaimVerdict(claim, standing, because, entries, open(survey));
    }

    /** Speeds with a stage at the place that is its own. */
    private static Predicate<Speed> standingThere(SpindleSurvey survey, Stage stage) {
        String place = stage.ownPlace().orElseThrow();
        return speed -> speed.routes().stream().anyMatch(r -> survey.machine().train().settings(r).contains(place));
    }

    /**
     * Speeds that failed where the plate has them and were read at other levers, as of a gate numbered the other way: each by a reading of
     * its own that is none of its plate's.
     */
    private static int elsewhere(SpindleSurvey survey, Predicate<Speed> counted) {
        List<Run> off = new ArrayList<>(survey.latest().values().stream().filter(r -> r.reading().isPresent()
                && r.judgement().filter(j -> j.verdict() == Verdict.OUTSIDE).isPresent()).toList());
        int elsewhere = 0;
        for (Speed speed : survey.coverage().marked(Mark.FAILED)) {
            if (counted.test(speed) && !heardOnly(speed, survey) && speed.nominal().isPresent()) {
                Optional<Run> run = off.stream().filter(r -> judged(r, speed.nominal().get(), survey).verdict() == Verdict.WITHIN)
                        .findFirst();
                run.ifPresent(off::remove);
                elsewhere += run.isPresent() ? 1 : 0;
            }
        }
        return elsewhere;
    }

    /** Speeds that their levers do not give: nothing was driven there. As long as others are to be run, one off its plate may be there. */
    private static int notThere(SpindleSurvey survey, Predicate<Speed> counted) {
        return (int) survey.coverage().marked(Mark.FAILED).stream().filter(counted).filter(speed -> speed.routes().stream()
                .flatMap(route -> Optional.ofNullable(survey.latest().get(route)).stream())
                .allMatch(run -> run.reading().isEmpty())).count();
    }

    /** Speeds that failed by what was heard alone: they were read within their limit. */
    private static int heardOnly(SpindleSurvey survey, Predicate<Speed> counted) {
        return (int) survey.coverage().marked(Mark.FAILED).stream().filter(counted).filter(speed -> heardOnly(speed, survey)).count();
    }

    private static boolean heardOnly(Speed speed, SpindleSurvey survey) {
        return speed.routes().stream().flatMap(route -> Optional.ofNullable(survey.latest().get(route)).stream())
                .anyMatch(run -> run.judgement().filter(j -> j.verdict() == Verdict.WITHIN).isPresent());
    }

    /** "She runs them all": one that failed contradicts it, every one run and proven upholds it. */
    private static ClaimVerdict allWork(Claim claim, SpindleSurvey survey) {
        Coverage.Counts counts = survey.coverage().counts();
        Standing standing = counts.failed() > 0 ? Standing.CONTRADICTED
                : counts.all() > 0 && counts.proven() == counts.all()
                        ? Standing.UPHELD
                        : Standing.UNTESTED;
        return new ClaimVerdict(claim, standing, Reason.of(VerdictReason.CLAIM_COUNT_EVIDENCE, counts.all(), counts.run(), counts.proven(),
                counts.inferred(), counts.failed() + counts.undecided() + counts.open()),
                survey.counting().stream().map(Run::entry).toList(), open(survey));
    }

    /**
     * One speed: by the run at the lever positions where it stands, else by whichever run reads as much.
     *
     * @param at where it stands, where its place in a list says so
     */
    private static ClaimVerdict single(Claim claim, BigDecimal rpm, Optional<Speed> at, SpindleSurvey survey) {
        Optional<Speed> place = at.or(() -> survey.table().counted().stream()
                .filter(s -> s.nominal().filter(n -> n.compareTo(rpm) == 0).isPresent()).findFirst());
        Optional<Run> run = place.flatMap(s -> read(s, survey));
        if (run.isEmpty() && place.isEmpty()) {
            run = survey.latest().values().stream().filter(r -> r.reading().isPresent())
                    .filter(r -> judged(r, rpm, survey).verdict() == Verdict.WITHIN).findFirst();
        }
        return run.map(r -> {
            Judgement j = judged(r, rpm, survey);
            Standing standing = switch (j.verdict()) {
                case WITHIN -> Standing.UPHELD;
                case TOO_CLOSE_TO_CALL -> Standing.UNTESTED;
                case OUTSIDE -> Standing.CONTRADICTED;
            };
            return new ClaimVerdict(claim, standing, j.because(), List.of(r.entry()), standing == Standing.UNTESTED ? Optional.of(r.task())
                    : Optional.empty());
        }).orElseGet(() -> new ClaimVerdict(claim, Standing.UNTESTED, Reason.of(VerdictReason.CLAIM_NOT_RUN), List.of(),
                place.map(s -> Task.of(s.routes().get(0))).or(() -> open(survey))));
    }

    private static Optional<Run> read(Speed speed, SpindleSurvey survey) {
        return speed.routes().stream().flatMap(route -> Optional.ofNullable(survey.latest().get(route)).stream())
                .filter(run -> run.reading().isPresent()).findFirst();
    }

    private static Judgement judged(Run run, BigDecimal rpm, SpindleSurvey survey) {
        return Judgement.of(run.reading().orElseThrow().rpm(), run.reading().get().expanded(survey.rules()),
                Limit.aboutSpeed(rpm, survey.rules().share(Rule.SPEED_TOLERANCE)));
    }

    /** A row of a plate: contradicted by one of its speeds, upheld by all; as many as the machine has are its speeds in their order. */
    private static ClaimVerdict list(Claim claim, SpindleSurvey survey) {
        List<BigDecimal> said = Stream.of(claim.value().split("\\s+")).map(n -> TypedNumber.parsePositive(n).value()).toList();
        List<Speed> counted = survey.table().counted();
        List<BigDecimal> sorted = said.stream().sorted().toList();
        List<ClaimVerdict> each = said.stream().map(n -> single(claim, n, sorted.size() == counted.size()
                ? Optional.of(counted.get(sorted.indexOf(n)))
                : Optional.empty(), survey)).toList();
        List<ClaimVerdict> bad = each.stream().filter(v -> v.standing() == Standing.CONTRADICTED).toList();
        long good = each.stream().filter(v -> v.standing() == Standing.UPHELD).count();
        Standing standing = !bad.isEmpty() ? Standing.CONTRADICTED : good == each.size() ? Standing.UPHELD : Standing.UNTESTED;
        Reason because = Reason.of(VerdictReason.CLAIM_LIST, good, said.size(), bad.stream().map(v -> (Object) v.because()).toList());
        return new ClaimVerdict(claim, standing, because, each.stream().flatMap(v -> v.entries().stream()).sorted().distinct().toList(),
                each.stream().filter(v -> v.standing() == Standing.UNTESTED).flatMap(v -> v.test().stream()).findFirst());
    }

    /** A speed not shown good by any run. */
    private static Optional<Task> open(SpindleSurvey survey) {
        return survey.coverage().marked(Mark.OPEN).stream().findFirst().map(speed -> Task.of(speed.routes().get(0)));
    }

    private static ClaimVerdict end(Claim claim, SpindleSurvey survey, Optional<Speed> speed, Standing below, Standing above) {
        Optional<Run> read = speed.stream().flatMap(s -> s.routes().stream())
                .flatMap(route -> Optional.ofNullable(survey.latest().get(route)).stream())
                .filter(run -> run.reading().isPresent()).findFirst();
        if (read.isEmpty()) {
            return new ClaimVerdict(claim, Standing.UNTESTED, Reason.of(VerdictReason.CLAIM_NOT_RUN), List.of(),
                    speed.map(s -> Task.of(s.routes().get(0))));
        }
        BigDecimal claimed = TypedNumber.parsePositive(claim.value()).value();
        Limit limit = Limit.aboutSpeed(claimed, survey.rules().share(Rule.SPEED_TOLERANCE));
        Judgement judged = Judgement.of(read.get().reading().get().rpm(),
                read.get().reading().get().expanded(survey.rules()), limit);
        Standing standing = switch (judged.verdict()) {
            case WITHIN -> Standing.UPHELD;
            case TOO_CLOSE_TO_CALL -> Standing.UNTESTED;
            case OUTSIDE -> judged.reading().compareTo(limit.lower()) < 0 ? below : above;
        };
        return new ClaimVerdict(claim, standing, judged.because(), List.of(read.get().entry()), standing == Standing.UNTESTED
                ? Optional.of(read.get().task())
                : Optional.empty());
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

    /** Values that were named for a ratio, against what the readings make of it: one within U stands, the others are refused. */
    private static ClaimVerdict ratio(Claim claim, SpindleSurvey survey) {
        String words = claim.value().toLowerCase(Locale.ROOT);
        List<ToldRatio> told = ToldRatio.of(survey);
        Optional<ToldRatio> of = told.stream().filter(t -> words.contains((t.stage() + " " + t.position()).toLowerCase(Locale.ROOT)))
                .findFirst().or(() -> told.size() == 1 ? Optional.of(told.get(0)) : Optional.empty());
        if (of.isEmpty()) {
            return ClaimVerdict.untested(claim, VerdictReason.CLAIM_RATIO_OPEN);
        }
        List<String> named = ToldRatio.named(claim).stream().map(BigDecimal::toPlainString).toList();
        List<String> stand = named.stream().filter(n -> of.get().holds(Double.parseDouble(n))).toList();
        List<String> refused = named.stream().filter(n -> of.get().one() && !stand.contains(n)).toList();
        Standing standing = !of.get().one() || named.isEmpty() ? Standing.UNTESTED
                : stand.isEmpty() ? Standing.CONTRADICTED : Standing.UPHELD;
        return new ClaimVerdict(claim, standing, Reason.of(VerdictReason.CLAIM_RATIO, of.get().says(), stand.size(),
                String.join(", ", stand), refused.size(), String.join(", ", refused)), of.get().entries(), Optional.empty());
    }
}
