package tallledger.core.coverage;

import java.util.ArrayList;
import java.util.List;
import tallledger.core.drive.DriveTrain;
import tallledger.core.drive.Route;
import tallledger.core.drive.Stage;
import tallledger.core.drive.StageKind;

/**
 * The elements of a drive as bits: element (stage, position) is bit {@code offset(stage) + position}.
 */
public final class Elements {

    /** One element: which stage, which position. */
    public record Element(int stage, int position, String stageName, String label) {
    }

    private final DriveTrain train;
    private final int[] offsets;
    private final List<Element> all = new ArrayList<>();
    private final long everywhere;
    private final long reachable;

    private Elements(DriveTrain train) {
        this.train = train;
        this.offsets = new int[train.stages().size()];
        for (int s = 0; s < offsets.length; s++) {
            Stage stage = train.stages().get(s);
            offsets[s] = all.size();
            for (int p = 0; p < stage.positions().size(); p++) {
                all.add(new Element(s, p, stage.name(), stage.positions().get(p).label()));
            }
        }
        List<Route> routes = train.routes();
        everywhere = routes.stream().mapToLong(this::mask).reduce(-1L, (a, b) -> a & b);
        reachable = routes.stream().mapToLong(this::mask).reduce(0L, (a, b) -> a | b);
    }

    public static Elements of(DriveTrain train) {
        return new Elements(train);
    }

    /** Elements on a route. */
    public long mask(Route route) {
        long mask = 0;
        for (int s = 0; s < offsets.length; s++) {
            mask |= 1L << (offsets[s] + route.at(s));
        }
        return mask;
    }

    /** Elements on every route, such as the only motor: a failure there would stop all inference, so they are left out of it. */
    public long everywhere() {
        return everywhere;
    }

    /** The directions of rotation. */
    public long directions() {
        long mask = 0;
        for (int bit = 0; bit < all.size(); bit++) {
            mask |= train.stages().get(all.get(bit).stage).kind() == StageKind.DIRECTION ? 1L << bit : 0;
        }
        return mask;
    }

    /** What sort of stage an element is a position of. */
    public StageKind kind(Element element) {
        return train.stages().get(element.stage()).kind();
    }

    /** Elements on at least one route (a neutral is on none). */
    public long reachable() {
        return reachable;
    }

    public List<Element> all() {
        return List.copyOf(all);
    }

    /** The elements whose bits are set. */
    public List<Element> in(long mask) {
        List<Element> some = new ArrayList<>();
        for (int bit = 0; bit < all.size(); bit++) {
            if ((mask >> bit & 1) == 1) {
                some.add(all.get(bit));
            }
        }
        return some;
    }

    /** Whether a stage leaves a choice, so that its element is worth naming. */
    public boolean isChoice(Element element) {
        return train.stages().get(element.stage()).isChoice();
    }
}
