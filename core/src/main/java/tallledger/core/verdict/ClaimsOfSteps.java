package tallledger.core.verdict;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import tallledger.core.coverage.Outcome;
import tallledger.core.cutting.Job;
import tallledger.core.cutting.TestCut;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.family.Catalogue;
import tallledger.core.family.Step;
import tallledger.core.gauge.Judgement;
import tallledger.core.gauge.Verdict;
import tallledger.core.kit.KitItem;
import tallledger.core.machine.Claim;
import tallledger.core.machine.MachineDescription;
import tallledger.core.measuring.AxisTravel;
import tallledger.core.measuring.FeedRate;
import tallledger.core.motion.Axis;
import tallledger.core.motion.ChangeWheels;
import tallledger.core.motion.FeedReading;
import tallledger.core.motion.GearChart;
import tallledger.core.motion.WheelSet;
import tallledger.core.reading.TypedLength;
import tallledger.core.reason.InUnit;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.survey.Run;
import tallledger.core.survey.StepResult;
import tallledger.core.survey.Survey;
import tallledger.core.survey.Task;
import tallledger.core.survey.TaskResult;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;
import tallledger.core.verdict.ClaimVerdict.Standing;

/** Claims that one step or several test. */
final class ClaimsOfSteps {

    private ClaimsOfSteps() {
    }

    static ClaimVerdict of(Claim claim, Survey survey) {
        return switch (claim.attribute()) {
            case DRILLING_CAPACITY -> drilling(claim, survey);
            case TRAVEL -> travel(claim, survey);
            case TABLE_SIZE -> table(claim, survey);
            case SWING, GAP_SWING, SLIDE_SWING, BETWEEN_CENTRES, UNDER_SPINDLE, ARM_RADIUS, THROAT, BORE, CHUCK_SIZE,
                    REST_SIZE ->
                size(claim, survey);
            case SLOWEST_FEED, FASTEST_FEED -> feedEnd(claim, survey);
            case FUNCTION -> Functions.of(claim, survey);
            case FEED_COUNT -> countedFeeds(claim, survey).or(() -> ofPlate(claim, survey, Catalogue.FEED_PLATE, VerdictReason.CLAIM_FEEDS))
                    .orElseGet(() -> ClaimVerdict.untested(claim, VerdictReason.CLAIM_FEEDS_NONE));
            case THREAD_COUNT -> ofPlate(claim, survey, Catalogue.THREAD_PLATE, VerdictReason.CLAIM_THREAD_PLATE)
                    .orElseGet(() -> threads(claim, survey));
            default -> survey.steps().steps().stream().filter(s -> s.code().equals(Catalogue.CLAIMED_COUNT) && isAbout(s, claim))
                    .findFirst()
                    .map(step -> ofKit(claim, step, survey).orElseGet(() -> tied(claim, List.of(Task.of(step)), survey)))
                    .orElseGet(() -> ClaimVerdict.untested(claim, VerdictReason.CLAIM_NOT_COVERED));
        };
    }

    /** As the steps and speeds come out that a person tied it to: contradicted by one of them, upheld by all. */
    static ClaimVerdict tied(Claim claim, Survey survey) {
        List<Task> tasks = claim.tiedTo().stream().flatMap(key -> survey.task(key).stream()).toList();
        if (tasks.isEmpty()) {
            return ClaimVerdict.untested(claim, VerdictReason.CLAIM_TIED_GONE);
        }
        ClaimVerdict by = tied(claim, tasks, survey);
        return tasks.size() == claim.tiedTo().size() || by.standing() == Standing.CONTRADICTED ? by
                : new ClaimVerdict(claim, Standing.UNTESTED,
                        Reason.of(VerdictReason.CLAIM_TIED, List.of(by.because(), Reason.of(VerdictReason.CLAIM_TIED_GONE))), by.entries(),
                        by.test());
    }

    static ClaimVerdict tied(Claim claim, List<Task> tasks, Survey survey) {
        List<Object> because = new ArrayList<>();
        List<TaskResult> done = new ArrayList<>();
        Optional<Task> open = Optional.empty();
        for (Task task : tasks) {
            Object name = task.name(survey.machine().train());
            Optional<TaskResult> made = made(task, survey);
            made.ifPresent(done::add);
            because.add(made.map(m -> Reason.of(VerdictReason.CLAIM_STEP, name, said(m)))
                    .orElseGet(() -> Reason.of(VerdictReason.CLAIM_STEP_NOT_DONE, name)));
            open = open.or(() -> made.isEmpty() ? Optional.of(task) : Optional.empty());
        }
        Standing standing = done.stream().anyMatch(m -> m.outcome() == Outcome.FAILED) ? Standing.CONTRADICTED
                : done.size() == tasks.size() && done.stream().allMatch(m -> m.outcome() == Outcome.PROVEN) ? Standing.UPHELD
                        : Standing.UNTESTED;
        return new ClaimVerdict(claim, standing, because.size() == 1 ? (Reason) because.get(0)
                : Reason.of(VerdictReason.CLAIM_TIED, because), done.stream().map(TaskResult::entry).sorted().toList(),
                open.or(() -> standing == Standing.UNTESTED ? Optional.of(tasks.get(0)) : Optional.empty()));
    }

    private static Optional<TaskResult> made(Task task, Survey survey) {
        return task.step().<TaskResult>map(s -> survey.steps().latest().get(s.id()))
                .or(() -> task.route().map(r -> survey.drive().latest().get(r)));
    }

    /** What decided; a symptom is said as the finding says it, and what a person wrote of it. */
    private static List<Object> said(TaskResult made) {
        List<Object> said = new ArrayList<>(made.because());
        if (made instanceof Run run) {
            run.record().symptoms().forEach(s -> said.add(s));
        }
        if (!made.remark().isEmpty()) {
            said.add(made.remark());
        }
        if (said.isEmpty()) {
            said.add(made.outcome());
        }
        return said;
    }

    /** Pieces of that name that were seen, counted together, where nobody did the step: as many as claimed uphold it. */
    private static Optional<ClaimVerdict> ofKit(Claim claim, Step step, Survey survey) {
        if (survey.steps().latest().containsKey(step.id())) {
            return Optional.empty();
        }
        int claimed = Integer.parseInt(step.about().get(1));
        String thing = singular(step.about().get(0));
        List<KitItem> seen = survey.steps().kit().items().stream().filter(i -> i.state() == KitItem.State.SEEN)
                .filter(i -> singular(i.name()).equals(thing)).toList();
        int there = seen.stream().mapToInt(i -> i.count().orElse(1)).sum();
        return there < claimed ? Optional.empty()
                : Optional.of(new ClaimVerdict(claim, Standing.UPHELD,
                        Reason.of(VerdictReason.CLAIM_KIT_COUNTED, there, claimed),
                        seen.stream().map(i -> survey.steps().kit().entries().get(i.name()))
                                .sorted().toList(),
                        Optional.empty()));
    }

    /** "Steadies" and "steady" are one thing. */
    private static String singular(String name) {
        String plain = name.strip().toLowerCase(Locale.ROOT);
        return plain.endsWith("ies") ? plain.substring(0, plain.length() - 3) + "y" : plain.replaceAll("s$", "");
    }

    private static boolean isAbout(Step step, Claim claim) {
        return step.about().get(0).equalsIgnoreCase(claim.thing());
    }

    /**
     * Upheld only if that many stand on its plate and every one ran right, or is spared by those that did; empty where it has no such
     * plate.
     */
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
        // Known only at its ends a plate is not short: what it does not show nobody has counted.
        Standing standing = done.stream().anyMatch(StepResult::isBad) ? Standing.SHORT
                : open > 0 || feeds.size() < claimed
                        ? Standing.UNTESTED
                        : feeds.size() > claimed ? Standing.BETTER : Standing.UPHELD;
        return Optional.of(new ClaimVerdict(claim, standing, Reason.of(says, feeds.size(), proven, spared, open),
                done.stream().map(StepResult::entry).sorted().toList(),
                feeds.stream().filter(s -> !survey.steps().latest().containsKey(s.id()) && !survey.steps().isSpared(s)).findFirst()
                        .map(Task::of)));
    }

    /** By the power the largest drill wants in steel at the machine's own speed; that it suffices is no cut that was made. */
    private static ClaimVerdict drilling(Claim claim, Survey survey) {
        Rules rules = survey.rules();
        double diameter = TypedLength.parse(claim.value(), survey.machine().unit()).mm().doubleValue();
        if (diameter <= 0) {
            return ClaimVerdict.untested(claim, VerdictReason.CLAIM_NOT_COVERED);
        }
        TestCut cut = TestCut.of(new Job(Job.Kind.DRILLING, diameter, rules.value(Rule.DRILL_CLAIM_SPEED),
                rules.value(Rule.DRILL_CLAIM_FEED), 0, 0, rules.value(Rule.DRILL_CLAIM_FORCE)),
                survey.machine().speeds(), survey.machine().motor());
        Reason reckoned = cut.says(survey.machine().unit());
        Reason because = InUnit.of(Reason.of(VerdictReason.CLAIM_DRILL, reckoned, Quantity.of(rules.number(Rule.DRILL_CLAIM_SPEED),
                Unit.METRES_PER_MINUTE),
                Quantity.of(rules.number(Rule.DRILL_CLAIM_FEED), Unit.MILLIMETRES),
                Quantity.of(rules.number(Rule.DRILL_CLAIM_FORCE), Unit.NEWTONS_PER_MM2)), survey.machine().unit());
        Optional<StepResult> drilled = survey.steps().latest().values().stream().filter(r -> r.step().code().equals("drill-cut"))
                .findFirst();
        return drilled.map(r -> new ClaimVerdict(claim, r.isBad() ? Standing.CONTRADICTED
                : r.outcome() == Outcome.PROVEN ? Standing.UPHELD
                        : Standing.UNTESTED,
                Reason.of(VerdictReason.CLAIM_DRILLED, r.step().name(), said(r),
                        InUnit.of(reckoned, survey.machine().unit())),
                List.of(r.entry()), Optional.<Task>empty()))
                .orElseGet(() -> new ClaimVerdict(claim, Standing.UNTESTED, because, List.of(), step(survey, "drill-cut")));
    }

    /** Against what the chart promises and the wheels counted can cut. */
    private static ClaimVerdict threads(Claim claim, Survey survey) {
        Optional<GearChart> chart = survey.machine().fitOut().chart().map(c -> c.parse(survey.machine().unit()));
        Optional<StepResult> counted = survey.steps().latest().values().stream().filter(r -> r.as(WheelSet.class).isPresent()).findFirst();
        if (chart.filter(c -> !c.usual()).isEmpty() || counted.isEmpty()) {
            return new ClaimVerdict(claim, Standing.UNTESTED, Reason.of(VerdictReason.CLAIM_THREADS_NONE), List.of(),
                    step(survey, "change-wheels"));
        }
        ChangeWheels cut = ChangeWheels.of(chart.get(), counted.get().as(WheelSet.class).orElseThrow());
        int exact = (int) cut.threads().stream().filter(t -> t.exact().isPresent()).count();
        int claimed = claim.count().orElseThrow();
        Standing standing = exact < claimed ? Standing.SHORT : exact > claimed ? Standing.BETTER : Standing.UPHELD;
        return new ClaimVerdict(claim, standing, Reason.of(VerdictReason.CLAIM_THREADS, chart.get().promised().size(), exact),
                List.of(counted.get().entry()), Optional.empty());
    }

    /** "Three quill feeds", as many as were counted at the quill. */
    private static Optional<ClaimVerdict> countedFeeds(Claim claim, Survey survey) {
        Optional<Task> step = step(survey, "quill-rates");
        boolean quill = claim.axis().flatMap(a -> survey.machine().fitOut().axes().stream().filter(x -> x.id().equals(a)).findFirst())
                .filter(a -> a.role() == Axis.Role.QUILL).isPresent();
        if (!quill || step.isEmpty()) {
            return Optional.empty();
        }
        int claimed = claim.count().orElseThrow();
        return Optional.of(survey.steps().latest().values().stream().filter(r -> r.step().code().equals("quill-rates")).findFirst()
                .map(r -> {
                    int counted = r.as(Integer.class).orElse(0);
                    return new ClaimVerdict(claim, counted < claimed ? Standing.SHORT
                            : counted > claimed ? Standing.BETTER
                                    : Standing.UPHELD,
                            Reason.of(VerdictReason.CLAIM_COUNTED, counted), List.of(r.entry()), Optional.<Task>empty());
                }).orElseGet(() -> new ClaimVerdict(claim, Standing.UNTESTED, Reason.of(VerdictReason.CLAIM_STEP_NOT_DONE,
                        step.get().name(survey.machine().train())), List.of(), step)));
    }

    /** An end of the feeds, by the slowest or fastest that was measured in its unit. */
    private static ClaimVerdict feedEnd(Claim claim, Survey survey) {
        Matcher m = FEED.matcher(claim.value());
        if (!m.matches()) {
            return ClaimVerdict.untested(claim, VerdictReason.CLAIM_NOT_COVERED);
        }
        boolean slowest = claim.attribute() == Claim.Attribute.SLOWEST_FEED;
        BigDecimal claimed = TypedLength.parse(m.group(1) + (m.group(2) == null ? "" : " " + m.group(2)), survey.machine().unit()).mm();
        List<StepResult> feeds = survey.steps().latest().values().stream().filter(r -> r.as(FeedReading.class)
                .filter(f -> m.group(3) == null || f.per() == (m.group(3).equals("rev") ? Axis.Per.REV : Axis.Per.MIN)).isPresent())
                .filter(r -> !(r.step().recording() instanceof FeedRate f && f.rapid()))
                .sorted(Comparator.comparing(r -> r.as(FeedReading.class).orElseThrow().rate())).toList();
        Optional<Task> next = survey.steps().open().stream().filter(s -> s.recording() instanceof FeedRate f && !f.rapid())
                .findFirst().map(Task::of);
        if (feeds.isEmpty()) {
            return new ClaimVerdict(claim, Standing.UNTESTED, Reason.of(VerdictReason.CLAIM_FEED_END_OPEN), List.of(), next);
        }
        StepResult end = slowest ? feeds.get(0) : feeds.get(feeds.size() - 1);
        Judgement judged = end.as(FeedReading.class).orElseThrow().against(Optional.of(claimed), survey.rules().share(Rule.FEED_TOLERANCE),
                survey.rules()).orElseThrow();
        // That no feed as slow was measured is no sign that there is none.
        Standing standing = judged.verdict() == Verdict.WITHIN ? Standing.UPHELD : Standing.UNTESTED;
        return new ClaimVerdict(claim, standing, InUnit.of(judged.because(), survey.machine().unit()), List.of(end.entry()),
                standing == Standing.UPHELD ? Optional.empty() : next);
    }

    private static final Pattern FEED = Pattern.compile("(\\d[\\d.,]*)\\s*(thou|mm|in|\")?\\s*(?:/\\s*(rev|min))?");

    /** A size somebody claims, by the step that measures it. */
    private static ClaimVerdict size(Claim claim, Survey survey) {
        String code = MachineDescription.SIZES.get(claim.attribute());
        Optional<StepResult> measured = survey.steps().latest().values().stream().filter(r -> r.step().code().equals(code)).findFirst();
        return measured.map(r -> length(claim, r, r.step().name(), survey)).orElseGet(() -> new ClaimVerdict(claim, Standing.UNTESTED,
                Reason.of(VerdictReason.CLAIM_SIZE_OPEN), List.of(), step(survey, code)));
    }

    /** Both sides of a table: one short makes it short, both upheld uphold it. */
    private static ClaimVerdict table(Claim claim, Survey survey) {
        List<TypedLength> sides = MachineDescription.sides(claim.value(), survey.machine().unit());
        if (sides.isEmpty()) {
            return ClaimVerdict.untested(claim, VerdictReason.CLAIM_NOT_COVERED);
        }
        List<ClaimVerdict> each = IntStream.range(0, sides.size()).mapToObj(i -> side(claim, sides.get(i),
                MachineDescription.TABLE_SIDES.get(i), survey)).toList();
        for (Standing worst : List.of(Standing.SHORT, Standing.UNTESTED, Standing.BETTER)) {
            Optional<ClaimVerdict> decides = each.stream().filter(v -> v.standing() == worst).findFirst();
            if (decides.isPresent() && (worst != Standing.BETTER || each.stream().allMatch(v -> v.standing() == Standing.BETTER))) {
                return all(decides.get(), each);
            }
        }
        return all(each.stream().filter(v -> v.standing() == Standing.UPHELD).findFirst().orElseThrow(), each);
    }

    /** What one side decides, resting on what was measured of both. */
    private static ClaimVerdict all(ClaimVerdict decides, List<ClaimVerdict> each) {
        return new ClaimVerdict(decides.claim(), decides.standing(), decides.because(), each.stream().flatMap(v -> v.entries().stream())
                .distinct().sorted().toList(), decides.test());
    }

    private static ClaimVerdict side(Claim claim, TypedLength said, String code, Survey survey) {
        return survey.steps().latest().values().stream().filter(r -> r.step().code().equals(code)).findFirst()
                .map(r -> length(claim, said, r, r.step().name(), survey))
                .orElseGet(() -> new ClaimVerdict(claim, Standing.UNTESTED, Reason.of(VerdictReason.CLAIM_SIZE_OPEN), List.of(),
                        step(survey, code)));
    }

    /** One fact, one judge: the reading is judged as its own step judges it, against what this claim says. */
    private static ClaimVerdict travel(Claim claim, Survey survey) {
        if (claim.axis().isEmpty()) {
            return ClaimVerdict.untested(claim, VerdictReason.CLAIM_TRAVEL_UNTIED);
        }
        Optional<StepResult> measured = survey.steps().latest().values().stream()
                .filter(r -> r.step().axis().equals(claim.axis()) && r.as(AxisTravel.TravelReading.class).isPresent()).findFirst();
        if (measured.isEmpty()) {
            return new ClaimVerdict(claim, Standing.UNTESTED, Reason.of(VerdictReason.CLAIM_TRAVEL_NOT_MEASURED), List.of(),
                    survey.steps().inScope().stream()
                            .filter(s -> s.recording() instanceof AxisTravel && s.axis().equals(claim.axis())).findFirst()
                            .map(Task::of));
        }
        return length(claim, measured.get(), measured.get().step().about().get(0), survey);
    }

    private static ClaimVerdict length(Claim claim, StepResult measured, Object about, Survey survey) {
        return length(claim, TypedLength.parse(claim.value(), survey.machine().unit()), measured, about, survey);
    }

    private static ClaimVerdict length(Claim claim, TypedLength said, StepResult measured, Object about, Survey survey) {
        BigDecimal claimed = said.mm();
        AxisTravel.TravelReading travelled = measured.as(AxisTravel.TravelReading.class).orElseThrow();
        StepJudgement judged = new AxisTravel(Optional.of(said)).judge(travelled, survey.rules())
                .in(survey.machine().identity().unit());
        BigDecimal over = travelled.length().mm().subtract(claimed);
        Standing standing = switch (judged.outcome()) {
            case FAILED -> Standing.SHORT;
            case UNDECIDED -> Standing.UNTESTED;
            case PROVEN -> over.compareTo(claimed.multiply(survey.rules().share(Rule.CLAIM_NEAR))) > 0 ? Standing.BETTER : Standing.UPHELD;
        };
        return new ClaimVerdict(claim, standing, Reason.of(VerdictReason.CLAIM_LENGTH, about, judged.because().get(0),
                InUnit.of(Quantity.of(AxisTravel.allowance(said, survey.rules()), Unit.MILLIMETRES), survey.machine().unit())),
                List.of(measured.entry()), standing == Standing.UNTESTED ? Optional.of(measured.task()) : Optional.empty());
    }

    /** A step of this machine by its code. */
    static Optional<Task> step(Survey survey, String code) {
        return survey.steps().inScope().stream().filter(s -> s.code().equals(code)).findFirst().map(Task::of);
    }
}
