package tallledger.core.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import tallledger.core.coverage.ColdSpindle;
import tallledger.core.survey.Survey;

/**
 * What to film of one's own machine (W 4.9): the runs of the plan and the steps, in the order of work, cut to the minutes by worth. What
 * is worth least a minute goes first, but no run that a cold spindle needs on the way to a faster one.
 *
 * @param shots in the order of work, numbered from 1
 * @param left  how many did not fit
 */
public record ShotList(List<FilmRequest> shots, int left) {

    private static final double A_MINUTE = 60;

    /** @param minutes there are for filming */
    public static ShotList of(Survey survey, double minutes) {
        LookingWorth worths = LookingWorth.of(survey);
        List<FilmRequest> all = new ArrayList<>(FilmRequest.runs(survey, worths));
        survey.steps().open().stream().filter(FilmRequest::isAsked).map(step -> FilmRequest.of(step, worths)).forEach(all::add);
        List<FilmRequest> kept = new ArrayList<>(all);
        List<FilmRequest> least = all.stream().sorted(Comparator.comparingDouble(FilmRequest::aMinute)).toList();
        Set<FilmRequest> needed = new HashSet<>();
        while (seconds(kept) > minutes * A_MINUTE && !kept.isEmpty()) {
            Optional<FilmRequest> drop = least.stream().filter(kept::contains).filter(r -> !needed.contains(r)).findFirst();
            if (drop.isEmpty()) {
                // Only runs on the way to faster ones are left: the fastest goes.
                List<FilmRequest> runs = kept.stream().filter(r -> r.task().route().isPresent()).toList();
                kept.remove(runs.isEmpty() ? kept.get(kept.size() - 1) : runs.get(runs.size() - 1));
                needed.clear();
                continue;
            }
            List<FilmRequest> without = new ArrayList<>(kept);
            without.remove(drop.get());
            if (drop.get().task().step().isPresent() || isAllowed(survey, without)) {
                kept = without;
            } else {
                needed.add(drop.get());
            }
        }
        List<FilmRequest> inOrder = kept.stream().sorted(Comparator.comparing((FilmRequest r) -> r.task().phase())).toList();
        return new ShotList(inOrder, all.size() - kept.size());
    }

    private static double seconds(List<FilmRequest> shots) {
        return shots.stream().mapToDouble(FilmRequest::seconds).sum();
    }

    /** Whether the runs may follow one another from cold. */
    private static boolean isAllowed(Survey survey, List<FilmRequest> shots) {
        ColdSpindle cold = ColdSpindle.of(survey.drive().table(), survey.rules());
        OptionalDouble highest = OptionalDouble.empty();
        for (FilmRequest shot : shots) {
            var speed = shot.task().route().flatMap(survey.drive().table()::speedOf);
            if (speed.isPresent()) {
                if (!cold.allows(highest, speed.get())) {
                    return false;
                }
                double rpm = speed.get().expected().orElse(0.0);
                highest = OptionalDouble.of(Math.max(highest.orElse(0), rpm));
            }
        }
        return true;
    }

    /** Minutes that it takes. */
    public double minutes() {
        return seconds(shots) / A_MINUTE;
    }
}
