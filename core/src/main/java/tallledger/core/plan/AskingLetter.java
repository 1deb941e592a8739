package tallledger.core.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import tallledger.core.family.Phase;
import tallledger.core.family.Step;
import tallledger.core.survey.Survey;

/**
 * What to ask the seller to film (W 4.9): worth most per minute of their time first, grouped so that the machine is set once; speeds stand
 * together, from slow to fast, and the steps of a phase.
 *
 * @param groups in their order
 * @param left   how many more could be asked and do not fit the minutes
 */
public record AskingLetter(List<Group> groups, int left) {

    private static final double A_MINUTE = 60;

    /** What is asked while the machine is set one way. */
    public record Group(Phase phase, List<FilmRequest> requests) {

        double aMinute() {
            double seconds = requests.stream().mapToDouble(FilmRequest::seconds).sum();
            return seconds > 0 ? requests.stream().mapToDouble(FilmRequest::worth).sum() * A_MINUTE / seconds : 0;
        }
    }

    /** @param minutes of the seller's time */
    public static AskingLetter of(Survey survey, double minutes) {
        LookingWorth worths = LookingWorth.of(survey);
        Map<Phase, List<FilmRequest>> byPhase = new EnumMap<>(Phase.class);
        FilmRequest.runs(survey, worths).forEach(r -> byPhase.computeIfAbsent(Phase.SPINDLE, p -> new ArrayList<>()).add(r));
        survey.steps().open().stream().filter(FilmRequest::isAsked).map(step -> FilmRequest.of(step, worths)).filter(r -> r.worth() > 0)
                .sorted(Comparator.comparingDouble(FilmRequest::aMinute).reversed())
                .forEach(r -> byPhase.computeIfAbsent(phase(r), p -> new ArrayList<>()).add(r));
        List<Group> groups = byPhase.entrySet().stream().map(e -> new Group(e.getKey(), e.getValue()))
                .sorted(Comparator.comparingDouble(Group::aMinute).reversed()).toList();
        return cut(groups, minutes * A_MINUTE);
    }

    private static Phase phase(FilmRequest request) {
        return request.task().step().map(Step::phase).orElse(Phase.SPINDLE);
    }

    /** As many as fit, in their order; of the speeds none that a cold spindle would jump to. */
    private static AskingLetter cut(List<Group> groups, double seconds) {
        List<Group> kept = new ArrayList<>();
        int left = 0;
        double used = 0;
        for (Group group : groups) {
            List<FilmRequest> some = new ArrayList<>();
            boolean jumped = false;
            for (FilmRequest request : group.requests) {
                boolean fits = used + request.seconds() <= seconds && !(jumped && request.task().route().isPresent());
                if (fits) {
                    some.add(request);
                    used += request.seconds();
                } else {
                    left++;
                    jumped = true;
                }
            }
            if (!some.isEmpty()) {
                kept.add(new Group(group.phase, List.copyOf(some)));
            }
        }
        return new AskingLetter(List.copyOf(kept), left);
    }

    /** Minutes of the seller's time that it asks for. */
    public double minutes() {
        return groups.stream().flatMap(g -> g.requests.stream()).mapToDouble(FilmRequest::seconds).sum() / A_MINUTE;
    }

    public List<FilmRequest> requests() {
        return groups.stream().flatMap(g -> g.requests.stream()).toList();
    }
}
