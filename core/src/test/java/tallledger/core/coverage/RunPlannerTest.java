package tallledger.core.coverage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;
import static tallledger.core.Machines.lever;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import tallledger.core.Machines;
import tallledger.core.drive.LeverPattern;
import tallledger.core.drive.MovedBy;
import tallledger.core.drive.Route;
import tallledger.core.drive.Shifting;
import tallledger.core.drive.SpeedTable;
import tallledger.core.drive.Stage;
import tallledger.core.drive.StageKind;
import tallledger.core.machine.MachineDescription;
import tallledger.core.rules.Rules;

class RunPlannerTest {

    private static RunPlanner planner(MachineDescription machine) {
        return new RunPlanner(machine.speeds(), Elements.of(machine.train()), Rules.shipped());
    }

    private static List<String> names(MachineDescription machine, RunPlan plan) {
        return plan.runs().stream().map(r -> machine.train().name(r.route())).toList();
    }

    private static Route route(MachineDescription machine, String name) {
        return machine.train().routes().stream().filter(r -> machine.train().name(r).equals(name)).findFirst().orElseThrow();
    }

    /** The worked box: bound 4, 4 for a warm spindle, 5 from cold, 165 s. */
    @Test
    void theWorkedBoxTakesFiveRunsFromCold() {
        RunPlan plan = planner(Machines.twelve()).plan(School.EVERY_GEAR, 0);
        assertThat(plan.runs()).hasSize(5);
        assertThat(plan.lowerBound()).isEqualTo(4);
        assertThat(plan.warm()).hasValue(4);
        assertThat(plan.provenFewest()).isTrue();
        assertThat(plan.seconds()).isCloseTo(165, offset(1e-9));
        assertThat(names(Machines.twelve(), plan)).startsWith("A1").contains("C4");
    }

    /** Two by two, 8 15.3 28.9 48.6: two runs would prove all, but 8 to 48.6 is more than four times, so from cold it takes three. */
    @Test
    void theRunThatTheColdSpindleCostsIsSaid() {
        RunPlan plan = planner(Machines.lathe("8 15.3 28.9 48.6", Machines.lever("range", "L H"), Machines.lever("gear", "1 2")))
                .plan(School.EVERY_GEAR, 0);
        assertThat(plan.runs()).hasSize(3);
        assertThat(plan.provenFewest()).isTrue();
        assertThat(plan.warm()).hasValue(2);
        RunPlan near = planner(Machines.lathe("8 15.3 28.9 31", Machines.lever("range", "L H"), Machines.lever("gear", "1 2")))
                .plan(School.EVERY_GEAR, 0);
        assertThat(near.runs()).hasSize(2);
        assertThat(near.warm()).as("the rule costs nothing there").isEmpty();
    }

    /** Nobody knows what 3 turns at: it may be the fastest, so it comes when the fastest known may be run, and it does come. */
    @Test
    void aSpeedNobodyKnowsIsPlannedWhereTheColdSpindleAllowsIt() {
        MachineDescription machine = Machines.lathe("50 180 ? 700", Machines.lever("gear", "1 2 3 4"));
        assertThat(names(machine, planner(machine).plan(School.EVERY_SPEED, 0))).startsWith("1", "2").contains("3").hasSize(4);
        assertThat(planner(machine).plan(School.EVERY_SPEED, 0).beyondProof()).isEmpty();
    }

    /** A pin or change wheels take three minutes, a lever its seconds: the plan moves them seldom. */
    @Test
    void whatMovesAStageDecidesWhatItTakes() {
        Stage byLever = new Stage("back gear", StageKind.BACK_GEAR, Shifting.STOP_TO_SHIFT, Machines.lever("x", "in out").positions());
        Stage byPin = new Stage("back gear", StageKind.BACK_GEAR, Shifting.STOP_TO_SHIFT, Machines.lever("x", "in out").positions(),
                LeverPattern.ROW, MovedBy.PIN);
        Stage wheels = new Stage("wheels", StageKind.CHANGE_WHEELS, Shifting.STOP_TO_SHIFT, Machines.lever("x", "a b").positions());
        double lever = moving(byLever);
        assertThat(moving(byPin) - lever).isCloseTo(180 - HouseTimes.of(Rules.shipped()).lever(), offset(1e-9));
        assertThat(moving(wheels)).isEqualTo(moving(byPin));
    }

    private static double moving(Stage stage) {
        MachineDescription machine = Machines.lathe("100 200", stage);
        return HouseTimes.of(Rules.shipped()).move(machine.train(), machine.train().routes().get(0), machine.train().routes().get(1));
    }

    /** Every set of five is tried by brute force: 165 s is the quickest, and there are six sets that obey the rule. */
    @Test
    void bruteForceAgreesOnTheWorkedBox() {
        MachineDescription machine = Machines.twelve();
        List<Route> all = EverySpeed.routes(machine.speeds());
        Elements elements = Elements.of(machine.train());
        int sets = 0;
        double quickest = Double.MAX_VALUE;
        for (int bits = 0; bits < 1 << 12; bits++) {
            int chosen = bits;
            List<Route> set = IntStream.range(0, 12).filter(i -> (chosen >> i & 1) == 1).mapToObj(all::get).toList();
            if (set.size() == 5 && covers(elements, set) && set.contains(all.get(0)) && set.contains(all.get(11))
                    && climbs(machine.speeds(), set)) {
                sets++;
                quickest = Math.min(quickest, RunOrder.of(Situation.of(machine.speeds(), elements, Map.of(), List.of(), Optional.empty(),
                        OptionalDouble.empty(), Rules.shipped()), set).seconds());
            }
        }
        assertThat(sets).isEqualTo(6);
        assertThat(quickest).isCloseTo(165, offset(1e-9));
    }

    private static boolean covers(Elements elements, List<Route> set) {
        return set.stream().mapToLong(elements::mask).reduce(0, (a, b) -> a | b) == elements.reachable();
    }

    private static double rpm(SpeedTable table, Route route) {
        return table.speedOf(route).map(ColdSpindle.of(table, Rules.shipped())::placed).orElseThrow();
    }

    private static boolean climbs(SpeedTable table, List<Route> set) {
        ColdSpindle cold = ColdSpindle.of(table, Rules.shipped());
        double[] rpm = set.stream().mapToDouble(r -> rpm(table, r)).sorted().toArray();
        return IntStream.range(1, rpm.length).allMatch(i -> rpm[i] <= cold.reach(rpm[i - 1]));
    }

    /** Random boxes against brute force over all subsets: the same fewest count. */
    @Test
    void theFewestIsTheFewest() {
        Random random = new Random(7);
        for (int trial = 0; trial < 12; trial++) {
            int a = 2 + random.nextInt(2);
            int b = 2 + random.nextInt(3);
            String cells = IntStream.range(0, a * b).mapToObj(i -> String.format("%.1f", 30 * Math.pow(1.3 + random.nextDouble(), i)))
                    .collect(Collectors.joining(" "));
            MachineDescription machine = Machines.lathe(cells, lever("range", labels("A", a)), lever("gear", labels("G", b)));
            List<Route> all = EverySpeed.routes(machine.speeds());
            Elements elements = Elements.of(machine.train());
            int fewest = IntStream.range(0, 1 << all.size()).filter(bits -> {
                List<Route> set = IntStream.range(0, all.size()).filter(i -> (bits >> i & 1) == 1).mapToObj(all::get).toList();
                return covers(elements, set) && set.contains(all.get(0)) && set.contains(all.get(all.size() - 1))
                        && climbs(machine.speeds(), set);
            }).map(Integer::bitCount).min().orElseThrow();
            assertThat(planner(machine).plan(School.EVERY_GEAR, 0).runs()).as(cells).hasSize(fewest);
        }
    }

    private static String labels(String prefix, int count) {
        return IntStream.rangeClosed(1, count).mapToObj(i -> prefix + i).collect(Collectors.joining(" "));
    }

    /** Twelve runs at 20 s and eleven moves of one stop-to-shift lever at 15 s: 405 s, and no order can beat that. */
    @Test
    void everySpeedMovesOneLeverAtATime() {
        RunPlan plan = planner(Machines.twelve()).plan(School.EVERY_SPEED, 0);
        assertThat(plan.runs()).hasSize(12);
        assertThat(plan.seconds()).isCloseTo(12 * 20 + 11 * 15, offset(1e-9));
        assertThat(plan.timeRatio()).isEqualTo(1);
    }

    /** 36 speeds from three levers: 36 · 20 + 35 · 15 = 1245 s at best; within 3 % of a proven bound. */
    @Test
    void aboveSixteenRunsTheOrderIsNearItsBound() {
        String cells = IntStream.range(0, 36).mapToObj(i -> String.format("%.1f", 25 * Math.pow(1.12, i))).collect(Collectors.joining(" "));
        MachineDescription machine = Machines.lathe(cells, lever("a", "1 2 3"), lever("b", "1 2 3"), lever("c", "1 2 3 4"));
        RunPlan plan = planner(machine).plan(School.EVERY_SPEED, 0);
        assertThat(plan.runs()).hasSize(36);
        assertThat(plan.timeRatio()).isBetween(1.0, 1.03);
        double highest = 0;
        for (RunPlan.PlannedRun run : plan.runs()) {
            double rpm = rpm(machine.speeds(), run.route());
            assertThat(highest == 0 || rpm <= ColdSpindle.of(machine.speeds(), Rules.shipped()).reach(highest)).isTrue();
            highest = Math.max(highest, rpm);
        }
    }

    /** A belt costs 90 s to move: the quickest order of all speeds moves it once. */
    @Test
    void beltsAreMovedSeldom() {
        Stage belt = new Stage("belt", StageKind.BELT, Shifting.STOP_TO_SHIFT, lever("belt", "L H").positions());
        MachineDescription machine = Machines.lathe("50 100 200 400 71 140 280 560", belt, lever("gear", "1 2 3 4"));
        RunPlan plan = planner(machine).plan(School.EVERY_SPEED, 0);
        long moves = IntStream.range(1, 8).filter(i -> plan.runs().get(i).route().at(1) != plan.runs().get(i - 1).route().at(1)).count();
        assertThat(moves).isEqualTo(1);
    }

    @Test
    void aFailureChangesThePlanAndWhatIsExercisedStays() {
        MachineDescription machine = Machines.twelve();
        Map<Route, Outcome> outcomes = new HashMap<>(Map.of(route(machine, "A1"), Outcome.PROVEN, route(machine, "A3"), Outcome.FAILED));
        RunPlan plan = planner(machine).plan(School.EVERY_GEAR, 0, 0, outcomes, List.of(), Optional.of(route(machine, "A3")),
                OptionalDouble.of(63));
        assertThat(names(machine, plan)).doesNotContain("A1", "A3").contains("C4").anyMatch(name -> name.endsWith("3"));
    }

    @Test
    void anElementWithNoRunLeftIsNamedAsBeyondProof() {
        MachineDescription machine = Machines.lathe("100 200 300", lever("gear", "1 2 3"));
        RunPlan plan = planner(machine).plan(School.EVERY_GEAR, 0, 0, Map.of(route(machine, "1"), Outcome.PROVEN),
                List.of(route(machine, "2")), Optional.of(route(machine, "1")), OptionalDouble.of(100));
        assertThat(plan.beyondProof()).extracting(Elements.Element::label).containsExactly("2");
        assertThat(names(machine, plan)).containsExactly("3");
    }

    /** Sixty seconds from cold: A1 (20 s), then one lever (15 + 20 s) fits, a third run does not. */
    @Test
    void myMinutesBuysTheMostWorthInsideTheTime() {
        MachineDescription machine = Machines.twelve();
        RunPlan plan = planner(machine).plan(School.MY_MINUTES, 62);
        assertThat(plan.seconds()).isLessThanOrEqualTo(62);
        assertThat(plan.runs()).hasSize(2);
        assertThat(plan.leftOpen()).hasSize(7 - 3);
        assertThat(planner(machine).plan(School.MY_MINUTES, 165).leftOpen()).isEmpty();
        assertThat(planner(machine).plan(School.MY_MINUTES, 10).runs()).isEmpty();
    }

    /**
     * The fastest speed is in it wherever the minutes reach it, and what they leave goes to the speeds nobody ran: in 240 s seven of
     * twelve, in 600 all.
     */
    @Test
    void myMinutesHaveTheFastestSpeedAndNothingToSpare() {
        MachineDescription machine = Machines.twelve();
        assertThat(names(machine, planner(machine).plan(School.MY_MINUTES, 165))).contains("C4");
        RunPlan plan = planner(machine).plan(School.MY_MINUTES, 240);
        assertThat(names(machine, plan)).contains("C4").hasSizeGreaterThan(5);
        assertThat(plan.seconds()).isBetween(200.0, 240.0);
        assertThat(names(machine, planner(machine).plan(School.MY_MINUTES, 600))).hasSize(12).doesNotHaveDuplicates();
        Map<Route, Outcome> all = new HashMap<>();
        machine.speeds().speeds().stream().limit(11).forEach(s -> all.put(s.routes().get(0), Outcome.PROVEN));
        assertThat(names(machine, planner(machine).plan(School.MY_MINUTES, 60, 60, all, List.of(), Optional.of(route(machine, "C3")),
                OptionalDouble.of(1000)))).containsExactly("C4");
    }

    /** Wherever a survey may stand (anything run, failed, passed over, turned or not), every school ends with a plan that can be walked. */
    @Test
    void everySituationHasAPlan() {
        Random random = new Random(3);
        MachineDescription machine = Machines.lathe("31.5 45 63 90 125 180 250 2000", lever("range", "A B"), lever("gear", "1 2 3 4"),
                Stage.direction(Shifting.STOP_TO_SHIFT));
        List<Route> all = machine.train().routes();
        for (int trial = 0; trial < 150; trial++) {
            Map<Route, Outcome> outcomes = new HashMap<>();
            List<Route> passed = new java.util.ArrayList<>();
            for (Route route : all) {
                int draw = random.nextInt(8);
                if (draw < 3) {
                    outcomes.put(route, Outcome.values()[draw]);
                } else if (draw == 3) {
                    passed.add(route);
                }
            }
            Optional<Route> standing = outcomes.keySet().stream().findFirst();
            OptionalDouble highest = random.nextInt(4) == 0 || outcomes.isEmpty() ? OptionalDouble.empty()
                    : outcomes.keySet().stream().mapToDouble(r -> rpm(machine.speeds(), r)).max();
            for (School school : School.values()) {
                RunPlan plan = org.junit.jupiter.api.Assertions.assertTimeoutPreemptively(java.time.Duration.ofSeconds(10),
                        () -> planner(machine).plan(school, 600, 600, outcomes, passed, standing, highest));
                assertThat(plan.runs()).extracting(RunPlan.PlannedRun::route).doesNotHaveDuplicates()
                        .doesNotContainAnyElementsOf(outcomes.keySet())
                        .doesNotContainAnyElementsOf(passed.isEmpty() ? List.of(new Route(List.of())) : passed);
            }
        }
    }

    @Test
    void reverseIsRunOnceInTheFewest() {
        MachineDescription machine = Machines.lathe(Machines.TWELVE, lever("range", "A B C"), lever("gear", "1 2 3 4"),
                Stage.direction(Shifting.STOP_TO_SHIFT));
        RunPlan plan = planner(machine).plan(School.EVERY_GEAR, 0);
        assertThat(plan.runs()).hasSize(5);
        assertThat(names(machine, plan).stream().filter(n -> n.endsWith("reverse"))).isNotEmpty();
        assertThat(names(machine, plan).get(0)).isEqualTo("A1");
    }

    /** Reverse first would save a lever's move; a chuck that can unscrew is not started backwards first. */
    @Test
    void aSurveyBeginsForward() {
        MachineDescription machine = Machines.lathe("50 100 200", lever("gear", "1 2 3"), Stage.direction(Shifting.STOP_TO_SHIFT));
        assertThat(names(machine, planner(machine).plan(School.EVERY_SPEED, 0))).startsWith("1").hasSize(4);
        assertThat(names(machine, planner(machine).plan(School.MY_MINUTES, 60))).startsWith("1");
    }
}
