package tallledger.core.verdict;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import tallledger.core.cycle.CycleResult;
import tallledger.core.family.Step;
import tallledger.core.machine.Claim;
import tallledger.core.measuring.WatchedCycle;
import tallledger.core.reason.Reason;
import tallledger.core.survey.StepResult;
import tallledger.core.survey.Survey;
import tallledger.core.survey.Task;

/** A thing the machine is said to have or to do, by the steps that show it. */
final class Functions {

    /** By the words for it, the codes of the steps that show it; longer words before shorter. */
    private static final Map<String, List<String>> STEPS = Map.ofEntries(
            Map.entry("foot brake", List.of("foot-brake")), Map.entry("brake", List.of("foot-brake", "check-BRAKE")),
            Map.entry("kick bar", List.of("kick-bar")), Map.entry("chuck guard", List.of("guard")), Map.entry("guard switch",
                    List.of("guard")),
            Map.entry("gear cover switch", List.of("cover-switch")), Map.entry("emergency stop", List.of("emergency-stop")),
            Map.entry("coolant", List.of("coolant")), Map.entry("lamp", List.of("lamp")), Map.entry("work light", List.of("lamp")),
            Map.entry("lubrication", List.of("lubrication", "servo-lubrication")),
            Map.entry("power clamping", List.of("clamp-arm", "clamp-head", "clamp-column", "clamps-together")),
            Map.entry("power elevation", List.of("rapid.arm")), Map.entry("power rise and fall", List.of("rapid.arm")),
            Map.entry("readout", List.of("readout")), Map.entry("dro", List.of("readout")), Map.entry("half-nut", List.of("half-nut")),
            Map.entry("thread dial", List.of("thread-dial")), Map.entry("dead stop", List.of("dead-stop")),
            Map.entry("drawbar", List.of("drawbar-seated", "tool-drawbar")), Map.entry("gearbox", List.of("commanded-shift")),
            Map.entry("tool changer", List.of("tool-change")), Map.entry("chip conveyor", List.of("chip-conveyor")),
            Map.entry("magnetic chuck", List.of("magnetic-chuck")), Map.entry("tapping reverse", List.of("tapping")),
            Map.entry("depth stop", List.of("depth-stop")), Map.entry("fine feed", List.of("fine-feed")),
            Map.entry("inner only", List.of("down-feed-inner")), Map.entry("outer only", List.of("down-feed-outer")),
            Map.entry("both", List.of("down-feed-both", "infeed-both")), Map.entry("spark-out", List.of("spark-out")),
            Map.entry("parks", List.of("parks")), Map.entry("wheel and chuck stop", List.of("parks")));

    /** What a cycle shows by one of its events, whatever else went wrong in it. */
    private static final Map<String, List<String>> EVENTS = Map.of("parks", List.of("table-parks"), "wheel and chuck stop",
            List.of("chuck-stops", "wheel-stops"));

    private Functions() {
    }

    /** By the cycles in which it should have come: upheld where it came in each,
            contradicted where it did not; empty where none was run. */
    private static Optional<ClaimVerdict> byEvents(Claim claim, List<String> events, Survey survey) {
        List<StepResult> watched = survey.steps().all().stream()
                .filter(r -> r.as(WatchedCycle.Watched.class).map(w -> w.script(survey.rules()).events().containsAll(events)).orElse(false))
                .toList();
        if (watched.isEmpty()) {
            return Optional.empty();
        }
        boolean came = watched.stream().allMatch(r -> r.as(WatchedCycle.Watched.class).orElseThrow().result(survey.rules()).lines().stream()
                .filter(l -> events.contains(l.event())).allMatch(l -> l.verdict() == CycleResult.Verdict.RIGHT));
        return Optional.of(new ClaimVerdict(claim, came ? ClaimVerdict.Standing.UPHELD : ClaimVerdict.Standing.CONTRADICTED,
                Reason.of(came ? VerdictReason.CLAIM_EVENTS_CAME : VerdictReason.CLAIM_EVENTS_FAILED, watched.size(),
                        events.stream().map(e -> (Object) Reason.named("event." + e)).toList()),
                watched.stream().map(StepResult::entry).toList(),
                Optional.empty()));
    }

    static ClaimVerdict of(Claim claim, Survey survey) {
        String said = claim.value().toLowerCase(Locale.ROOT).replace("sparkout", "spark-out").replace("spark out", "spark-out")
                .replace("kick-bar", "kick bar").replace("foot-brake", "foot brake");
        Optional<ClaimVerdict> byEvents = EVENTS.keySet().stream().filter(said::contains).findFirst()
                .flatMap(of -> byEvents(claim, EVENTS.get(of), survey));
        if (byEvents.isPresent()) {
            return byEvents.get();
        }
        List<Task> tasks = rapid(said, survey).or(() -> STEPS.keySet().stream().filter(said::contains)
                .max((a, b) -> Integer.compare(a.length(), b.length())).map(STEPS::get).map(codes -> steps(survey,
                        s -> codes.stream().anyMatch(c -> c.equals(s.code()) || s.id().written().startsWith(c + ".")))))
                .orElse(List.of());
        return tasks.isEmpty() ? ClaimVerdict.untested(claim, VerdictReason.CLAIM_NOT_COVERED) : ClaimsOfSteps.tied(claim, tasks, survey);
    }

    /** "Rapid on the head": each way of that axis. */
    private static Optional<List<Task>> rapid(String said, Survey survey) {
        if (!said.startsWith("rapid")) {
            return Optional.empty();
        }
        return Optional.of(steps(survey, s -> s.code().equals("rapid") && (said.endsWith("axes") || s.about().stream().findFirst()
                .filter(a -> said.endsWith(a.toLowerCase(Locale.ROOT))).isPresent())));
    }

    private static List<Task> steps(Survey survey, Predicate<Step> which) {
        return survey.steps().inScope().stream().filter(which).map(Task::of).toList();
    }
}
