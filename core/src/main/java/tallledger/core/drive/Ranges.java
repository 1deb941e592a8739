package tallledger.core.drive;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * The ranges of a drive that slides: where they overlap, and the gaps between them that nobody can set.
 *
 * @param ranges   each sweep with its speeds, min⁻¹, slowest first
 * @param overlaps speeds two neighbouring ranges share
 * @param gaps     speeds between neighbouring ranges
 */
public record Ranges(List<Range> ranges, List<Span> overlaps, List<Span> gaps) {

    /** One sweep. */
    public record Range(Route sweep, Span speeds) {
    }

    public static Ranges of(SpeedTable table) {
        List<Range> ranges = new ArrayList<>();
        for (Speed speed : table.speeds()) {
            Route sweep = speed.routes().get(0);
            if (speed.isSweep()) {
                span(table, sweep).ifPresent(span -> ranges.add(new Range(sweep, span)));
            }
        }
        ranges.sort(Comparator.comparingDouble(r -> r.speeds().low()));
        List<Span> overlaps = new ArrayList<>();
        List<Span> gaps = new ArrayList<>();
        double reached = 0;
        for (Range range : ranges) {
            if (reached > 0 && range.speeds().low() < reached) {
                overlaps.add(new Span(range.speeds().low(), Math.min(reached, range.speeds().high())));
            } else if (reached > 0 && range.speeds().low() > reached) {
                gaps.add(new Span(reached, range.speeds().low()));
            }
            reached = Math.max(reached, range.speeds().high());
        }
        return new Ranges(List.copyOf(ranges), List.copyOf(overlaps), List.copyOf(gaps));
    }

    /** The drive's own interval, else from the plate's two ends. */
    private static Optional<Span> span(SpeedTable table, Route sweep) {
        return table.train().speed(sweep).or(() -> {
            List<Double> ends = table.counted().stream()
                    .filter(s -> s.routes().stream().anyMatch(r -> differsOnlyInSlide(table.train(), r, sweep)))
                    .flatMap(s -> s.expected().stream()).sorted().toList();
            return ends.size() < 2 ? Optional.empty() : Optional.of(new Span(ends.get(0), ends.get(ends.size() - 1)));
        });
    }

    static boolean differsOnlyInSlide(DriveTrain train, Route end, Route sweep) {
        for (int s = 0; s < train.stages().size(); s++) {
            boolean slides = train.position(sweep, s).transmission() instanceof Transmission.Sweep;
            if (!slides && sweep.at(s) != end.at(s)) {
                return false;
            }
        }
        return true;
    }
}
