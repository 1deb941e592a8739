package tallledger.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static tallledger.core.Machines.lever;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import tallledger.core.Machines;
import tallledger.core.SurveyBook;
import tallledger.core.blame.Check;
import tallledger.core.coverage.Elements;
import tallledger.core.coverage.RunChoice;
import tallledger.core.coverage.RunPlanner;
import tallledger.core.coverage.School;
import tallledger.core.drive.Route;
import tallledger.core.drive.Shifting;
import tallledger.core.drive.Stage;
import tallledger.core.drive.StageKind;
import tallledger.core.family.Step;
import tallledger.core.family.StepId;
import tallledger.core.house.House;
import tallledger.core.ledger.Authorship;
import tallledger.core.machine.MachineDescription;
import tallledger.core.survey.Scope;
import tallledger.core.survey.SpindleSurvey;
import tallledger.core.survey.Survey;
import tallledger.core.survey.SurveyEntries;

/** "My minutes" against every order of speeds with every set of steps, a repair paid once; worths and times written out a second time. */
class MinuteChoiceTest {

    private static final double[] RPM = {20, 45, 100, 160, 360, 800};
    private final MachineDescription machine = Machines.lathe("20 45 100 160 360 800",
            new Stage("belt", StageKind.BELT, Shifting.STOP_TO_SHIFT, lever("belt", "A B").positions()), lever("gear", "1 2 3"));

    private static House house(Random random, List<Step> steps) {
        List<Check> checks = new ArrayList<>();
        // What is done and costs the same is one repair, wherever it is: now and then many systems share a few.
        int few = 1 + random.nextInt(3);
        boolean shared = random.nextInt(3) == 0;
        for (String system : new TreeSet<>(steps.stream().map(s -> s.system().name()).toList())) {
            int mean = shared ? 100 * (1 + random.nextInt(few)) : 20 + random.nextInt(2000);
            checks.add(Check.of(system, "", "look", BigDecimal.valueOf(mean), BigDecimal.valueOf(mean), BigDecimal.valueOf(mean)));
        }
        return House.shipped(checks);
    }

    /** Worth of the best order that begins with what was run, every order tried. @param withFastest only those that have 800 among them */
    private static double orders(List<Integer> run, int last, double highest, double seconds, int known, boolean withFastest,
            Map<String, Double> chances,
            java.util.function.DoubleUnaryOperator rest) {
        double best = !withFastest || run.contains(5) ? worth(run, known, chances) + rest.applyAsDouble(seconds) : Double.NEGATIVE_INFINITY;
        for (int next = 0; next < RPM.length; next++) {
            double reach = highest == 0 ? 20 : Math.max(4 * highest, nextAbove(highest));
            if (run.contains(next) || (known >> next & 1) == 1 || RPM[next] > reach * (1 + 1e-9)) {
                continue;
            }
            double takes = Math.max(20, 600 / RPM[next]) + (last < 0 ? 0
                    : (last / 3 != next / 3 ? 90 : 0) + (last % 3 != next % 3 ? 5 : 0)
                            + (last != next ? 10 : 0));
            if (takes <= seconds) {
                List<Integer> longer = new ArrayList<>(run);
                longer.add(next);
                best = Math.max(best, orders(longer, next, Math.max(highest, RPM[next]), seconds - takes, known, withFastest, chances,
                        rest));
            }
        }
        return best;
    }

    private static double nextAbove(double highest) {
        return Arrays.stream(RPM).filter(n -> n > highest).min().orElse(highest);
    }

    /** Authorship "motor", "belt0", "gear2": the chance that it is bad, which PosteriorTest holds against Bayes written out. */
    private static Map<String, Double> chances(SpindleSurvey drive, LookingWorth worths) {
        Elements elements = drive.elements();
        return elements.in(elements.reachable()).stream().collect(Collectors.toMap(e -> e.stageName().equals("belt")
                || e.stageName().equals("gear") ? e.stageName() + e.position() : "motor", worths::chance));
    }

    /** A motor p · 350, a belt step p · 60, a gear p · 600, each once. */
    private static double worth(List<Integer> run, int known, Map<String, Double> chances) {
        Set<String> before = new HashSet<>();
        Set<String> now = new HashSet<>();
        for (int i = 0; i < RPM.length; i++) {
            List<String> on = List.of("motor", "belt" + i / 3, "gear" + i % 3);
            if ((known >> i & 1) == 1) {
                before.addAll(on);
            }
            if (run.contains(i)) {
                now.addAll(on);
            }
        }
        now.removeAll(before);
        return now.stream().mapToDouble(e -> chances.get(e) * (e.equals("motor") ? 350 : e.startsWith("belt") ? 60 : 600)).sum();
    }

    private static double steps(List<Step> open, LookingWorth worths, double seconds) {
        double best = 0;
        for (int set = 0; set < 1 << open.size(); set++) {
            double time = 0;
            Map<String, Double> spared = new HashMap<>();
            Map<String, Double> costs = new HashMap<>();
            for (int i = 0; i < open.size(); i++) {
                if ((set >> i & 1) == 1) {
                    double p = worths.chance(open.get(i));
                    worths.mixture(open.get(i)).shares().forEach(s -> {
                        spared.merge(s.key(), 1 - p * s.share(), (a, b) -> a * b);
                        costs.put(s.key(), s.cost().mean());
                    });
                    time += open.get(i).seconds();
                }
            }
            double worth = spared.entrySet().stream().mapToDouble(e -> costs.get(e.getKey()) * (1 - e.getValue())).sum();
            best = time <= seconds ? Math.max(best, worth) : best;
        }
        return best;
    }

    @Test
    void noOtherUseOfTheMinutesIsWorthMore() {
        Random random = new Random(44);
        int withFastest = 0;
        for (int trial = 0; trial < 60; trial++) {
            SurveyBook book = new SurveyBook(machine, Scope.WHOLE, 20);
            int known = 0;
            for (int i = 0, some = random.nextInt(4); i < some; i++) {
                book.run(List.of("AB".substring(i / 3, i / 3 + 1), String.valueOf(1 + i % 3)), String.valueOf(RPM[i]), false);
                known |= 1 << i;
            }
            Survey survey = Survey.fold(machine, house(random, book.ledger().steps()), book.entries());
            LookingWorth worths = LookingWorth.of(survey);
            List<Step> open = new ArrayList<>(survey.steps().open());
            Collections.shuffle(open, random);
            List<Step> some = open.subList(0, random.nextInt(8));
            int seconds = 30 + random.nextInt(900);
            SpindleSurvey drive = survey.drive();
            RunChoice runs = new RunPlanner(drive.table(), drive.elements(), survey.rules())
                    .choice(seconds, worths::of, drive.outcomes(), List.of(), drive.standing(), drive.highestRun());
            MinuteChoice choice = MinuteChoice.of(runs, some, worths, seconds, survey.rules());
            double highest = known == 0 ? 0 : RPM[Integer.SIZE - 1 - Integer.numberOfLeadingZeros(known)];
            int last = known == 0 ? -1 : Integer.SIZE - 1 - Integer.numberOfLeadingZeros(known);
            double share = some.isEmpty() ? seconds : 0.5 * seconds;
            Map<String, Double> chances = chances(drive, worths);
            boolean reached = orders(List.of(), last, highest, share, known, true, chances, s -> 0) > Double.NEGATIVE_INFINITY;
            double best = orders(List.of(), last, highest, seconds, known, reached, chances, s -> steps(some, worths, s));
            assertThat(choice.worth()).as("trial %d, %d s", trial, seconds).isEqualTo(best, within(best * 1e-9));
            withFastest += reached ? 1 : 0;
            assertThat(choice.bound()).isEqualTo(choice.worth());
            assertThat(choice.way().fastest()).isEqualTo(reached);
            assertThat(choice.way().seconds() + choice.seconds()).isLessThanOrEqualTo(seconds);
            assertThat(choice.steps()).hasSizeLessThanOrEqualTo(some.size());
            assertThat(boundHolds(runs, seconds)).isTrue();
        }
        assertThat(withFastest).as("trials in which half of the minutes reach the fastest speed, and others").isBetween(15, 45);
    }

    /** What no way exceeds is no less than the best of them. */
    private static boolean boundHolds(RunChoice runs, double seconds) {
        return runs.ways().stream().allMatch(w -> w.worth() <= runs.bound((int) (w.seconds() / runs.quickest())) + 1e-9) && seconds > 0;
    }

    /** Where all lead to one repair there are too many sets to try: what is chosen is said with what no set can exceed. */
    @Test
    void whatIsNotProvenIsSaidWithItsBound() {
        SurveyBook book = new SurveyBook(machine, Scope.WHOLE, 20);
        List<Check> checks = book.ledger().steps().stream().map(s -> s.system().name()).distinct()
                .map(s -> Check.of(s, "", "look", BigDecimal.TEN, BigDecimal.TEN, BigDecimal.TEN)).toList();
        Survey survey = Survey.fold(machine, House.shipped(checks), book.entries());
        LookingWorth worths = LookingWorth.of(survey);
        RunChoice none = new RunPlanner(survey.drive().table(), survey.drive().elements(), survey.rules())
                .choice(0, e -> 0, survey.drive().outcomes(), List.of(), survey.drive().standing(), OptionalDouble.empty());
        List<Step> open = survey.steps().open();
        MinuteChoice choice = MinuteChoice.of(none, open, worths, 1200, survey.rules());
        List<Step> chosen = open.stream().filter(s -> choice.steps().contains(s.id())).toList();
        // One repair an axis, and one of all that is on none.
        Map<String, Double> spared = chosen.stream().collect(Collectors.toMap(s -> s.axis().map(a -> a.written()).orElse(""),
                s -> 1 - worths.chance(s), (a, b) -> a * b));
        assertThat(choice.worth()).isEqualTo(spared.values().stream().mapToDouble(s -> 10 * (1 - s)).sum(), within(1e-9))
                .isLessThan(choice.bound());
        assertThat(choice.bound()).isGreaterThanOrEqualTo(chosen.stream().mapToDouble(worths::of).sum() - 1e-9);
        assertThat(choice.seconds()).isLessThanOrEqualTo(1200);
        assertThat(open).filteredOn(s -> !chosen.contains(s)).noneMatch(s -> s.seconds() <= 1200 - choice.seconds());
    }

    /** Steps nobody priced are worth nothing and still get what is left, those that stop use first. */
    @Test
    void whatNobodyPricedGetsWhatIsLeft() {
        SurveyBook book = new SurveyBook(machine, Scope.WHOLE, 20);
        Survey survey = book.survey();
        SpindleSurvey drive = survey.drive();
        RunChoice none = new RunPlanner(drive.table(), drive.elements(), survey.rules())
                .choice(0, e -> 0, drive.outcomes(), List.of(), drive.standing(), OptionalDouble.empty());
        List<Step> open = survey.steps().open();
        MinuteChoice few = MinuteChoice.of(none, open, LookingWorth.of(survey), 300, survey.rules());
        assertThat(few.steps()).contains(StepId.of("isolator"), StepId.of("earth"), StepId.of("left-safe"));
        assertThat(few.seconds()).isLessThanOrEqualTo(300);
        assertThat(few.worth()).isZero();
        assertThat(MinuteChoice.of(none, open, LookingWorth.of(survey), 0, survey.rules()).steps()).isEmpty();
        assertThat(MinuteChoice.of(none, open, LookingWorth.of(survey), 9 * 3600, survey.rules()).steps()).hasSize(open.size());
    }

    @Test
    void thePlanOfTheSheetIsThatChoice() {
        SurveyBook book = new SurveyBook(machine, Scope.WHOLE, 20);
        book.write(SurveyEntries.planChosen(Authorship.of(book.now(), SurveyBook.ME), School.MY_MINUTES, "20"));
        Survey survey = Survey.fold(machine, house(new Random(1), book.ledger().steps()), book.entries());
        SheetPlan plan = SheetPlan.of(survey, book.now().minusSeconds(20));
        MinuteChoice choice = plan.spindle().minutes().orElseThrow();
        assertThat(plan.chosen()).isEqualTo(choice.steps()).isNotEmpty();
        List<Route> planned = plan.spindle().plan().runs().stream().map(r -> r.route()).toList();
        assertThat(planned).startsWith(choice.way().routes().toArray(Route[]::new));
        int inAll = survey.steps().open().stream().filter(s -> plan.chosen().contains(s.id())).mapToInt(Step::seconds).sum();
        assertThat(inAll + plan.spindle().plan().seconds()).isLessThanOrEqualTo(1200);
        assertThat(Optional.of(choice.worth())).hasValueSatisfying(w -> assertThat(w).isPositive());
    }
}
