package tallledger.core.coverage;

import static tallledger.core.Machines.lever;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import tallledger.core.ByHand;
import tallledger.core.Machines;
import tallledger.core.drive.Exclusion;
import tallledger.core.drive.Route;
import tallledger.core.drive.Shifting;
import tallledger.core.drive.Span;
import tallledger.core.drive.Stage;
import tallledger.core.drive.StageKind;
import tallledger.core.machine.MachineDescription;
import tallledger.core.rules.Rules;

/** Plans of boxes of every kind by every school, fresh and half-way: runs in their order, seconds, bounds, what is left and why. */
class PlansByHandTest {

    private static String ladder(int count, double from, double step) {
        return IntStream.range(0, count).mapToObj(i -> String.format(Locale.ROOT, "%.1f", from * Math.pow(step, i)))
                .collect(Collectors.joining(" "));
    }

    private static Map<String, MachineDescription> boxes() {
        Map<String, MachineDescription> boxes = new LinkedHashMap<>();
        boxes.put("twelve", Machines.twelve());
        boxes.put("two by two, wide", Machines.lathe("8 15.3 28.9 48.6", lever("range", "L H"), lever("gear", "1 2")));
        boxes.put("eighteen, reverses",
                Machines.lathe(ladder(18, 28, 1.26), lever("back", "L H"), lever("middle", "a b c", Shifting.SHIFTS_TURNING),
                        lever("quick", "1 2 3"), Stage.direction(Shifting.STOP_TO_SHIFT)));
        boxes.put("twenty-four", Machines.lathe(ladder(24, 20, 1.22), lever("range", "A B C D"), lever("gear", "1 2 3 4 5 6")));
        boxes.put("thirty-six", Machines.lathe(ladder(36, 18, 1.13), lever("range", "A B C"), lever("gear", "1 2 3 4"),
                lever("quick", "x y z")));
        boxes.put("belt and back gear",
                Machines.lathe(ladder(8, 40, 1.5),
                        new Stage("belt", StageKind.BELT, Shifting.STOP_TO_SHIFT, lever("x", "1 2 3 4").positions()),
                        lever("back", "in out")));
        boxes.put("interlocked", Machines.lathe("35.5 140 71 x 56 224 112 x 90 355 180 x", List.of(),
                List.of(new Exclusion(Map.of("left", "out", "right", "high"))),
                lever("belt", "1 2 3"), lever("left", "in out"), lever("right", "low high"), Stage.direction(Shifting.STOP_TO_SHIFT)));
        boxes.put("variator", Machines.lathe("56 450 400 3150", lever("range", "L H"),
                Stage.sliding("variator", StageKind.VARIATOR, Optional.of(new Span(0.2, 1.6)))));
        boxes.put("unread", Machines.lathe("50 ? ? 700", lever("gear", "1 2 3 4")));
        return boxes;
    }

    private static String line(MachineDescription machine, String name, School school, RunPlan plan) {
        return name + " " + school + ": " + plan.runs().stream().map(r -> machine.train().name(r.route())
                + (r.proves().isEmpty() ? ""
                        : "(" + r.proves().stream().map(e -> e.stageName() + e.label())
                                .collect(Collectors.joining(",")) + ")"))
                .collect(Collectors.joining(" "))
                + String.format(Locale.ROOT, " | %.1f s, ratio %.3f, bound %d, fewest %s, warm %s", plan.seconds(), plan.timeRatio(),
                        plan.lowerBound(), plan.provenFewest(), plan.warm().isPresent() ? plan.warm().getAsInt() : "-")
                + " | beyond " + plan.beyondProof().stream().map(e -> e.stageName() + e.label()).toList() + " open " + plan.leftOpen()
                        .stream().map(e -> e.stageName() + e.label()).toList();
    }

    @Test
    void everyPlanIsAsTheListSays() {
        List<String> lines = new ArrayList<>();
        boxes().forEach((name, machine) -> {
            RunPlanner planner = new RunPlanner(machine.speeds(), Elements.of(machine.train()), Rules.shipped());
            for (School school : School.values()) {
                lines.add(line(machine, name, school, planner.plan(school, 240)));
            }
            // Half-way: the first three speeds were run, the second failed; one is passed over; the levers stand where the third run left
            // them.
            List<Route> every = EverySpeed.routes(machine.speeds());
            Map<Route, Outcome> outcomes = new HashMap<>();
            IntStream.range(0, Math.min(3, every.size()))
                    .forEach(i -> outcomes.put(every.get(i), i == 1 ? Outcome.FAILED : Outcome.PROVEN));
            Set<Route> not = every.size() > 4 ? Set.of(every.get(every.size() - 1)) : Set.of();
            Optional<Route> standing = Optional.of(every.get(Math.min(2, every.size() - 1)));
            OptionalDouble highest = machine.speeds().speedOf(standing.get()).orElseThrow().expected().map(OptionalDouble::of)
                    .orElse(OptionalDouble.of(60));
            for (School school : School.values()) {
                lines.add(line(machine, name + ", half-way", school, planner.plan(school, 120, 120, outcomes, not, standing, highest)));
            }
        });
        ByHand.check("plans", lines.stream());
    }
}
