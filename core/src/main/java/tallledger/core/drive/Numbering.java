package tallledger.core.drive;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Levers that are labelled another way than their plate: where a lever stands at p, the plate's value is that of {@code to}(p).
 *
 * @param from by stage, which stage's lever sets it: another one's where the labels of two levers are exchanged, else itself
 * @param to   by stage, the position the plate means by each position of that lever
 */
public record Numbering(List<Integer> from, List<List<Integer>> to) {

    public Numbering {
        from = List.copyOf(from);
        to = List.copyOf(to);
    }

    /** As it is labelled. */
    public static Numbering asLabelled(DriveTrain train) {
        return new Numbering(IntStream.range(0, train.stages().size()).boxed().toList(), train.stages().stream()
                .map(s -> IntStream.range(0, s.positions().size()).boxed().toList()).toList());
    }

    /** The labels of two levers exchanged. */
    public Numbering exchanged(int one, int other) {
        List<Integer> other2 = new ArrayList<>(from);
        other2.set(one, from.get(other));
        other2.set(other, from.get(one));
        return new Numbering(other2, to);
    }

    /** What the plate means by a route. */
    public Route meant(Route route) {
        return new Route(IntStream.range(0, to.size()).mapToObj(s -> to.get(s).get(route.at(from.get(s)))).toList());
    }

    /** The drive with each position doing what it does by this. */
    public DriveTrain of(DriveTrain train) {
        List<Stage> stages = new ArrayList<>(train.stages());
        for (int s = 0; s < stages.size(); s++) {
            Stage does = train.stages().get(s);
            Stage labelled = train.stages().get(from.get(s));
            List<Position> positions = new ArrayList<>();
            for (int p = 0; p < labelled.positions().size(); p++) {
                Position at = labelled.positions().get(p);
                positions.add(new Position(at.label(), does.positions().get(to.get(s).get(p)).transmission(), at.lever()));
            }
            stages.set(from.get(s), new Stage(labelled.name(), does.kind(), labelled.shifting(), positions, labelled.pattern(),
                    labelled.movedBy()));
        }
        return new DriveTrain(stages, train.exclusions());
    }
}
