package tallledger.web.runsheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tallledger.core.drive.Route;
import tallledger.core.drive.Stage;
import tallledger.core.machine.MachineDescription;

/**
 * A lever drawn as it stands on the machine.
 *
 * @param name      what it is called
 * @param places    its positions in order
 * @param label     where it must stand
 * @param moved     whether that differs from the run before
 * @param mustStop  whether it is moved at rest
 */
public record LeverView(String name, List<Place> places, String label, boolean moved, boolean mustStop) {

    /** One position of the drawing, with its middle in the drawing's units. */
    public record Place(String label, int x, boolean here) {
    }

    static final int PITCH = 54;

    static List<LeverView> of(MachineDescription machine, Route route, Optional<Route> before) {
        List<LeverView> levers = new ArrayList<>();
        for (int s = 0; s < machine.train().stages().size(); s++) {
            Stage stage = machine.train().stages().get(s);
            if (stage.isChoice()) {
                int index = s;
                boolean moved = before.isEmpty() || before.filter(b -> b.at(index) != route.at(index)).isPresent();
                levers.add(of(stage, route.at(s), moved));
            }
        }
        return levers;
    }

    private static LeverView of(Stage stage, int here, boolean moved) {
        List<Place> places = new ArrayList<>();
        for (int p = 0; p < stage.positions().size(); p++) {
            places.add(new Place(stage.positions().get(p).label(), PITCH / 2 + p * PITCH, p == here));
        }
        return new LeverView(stage.name(), places, places.get(here).label(), moved, stage.shifting().mustStop());
    }

    public int width() {
        return places.size() * PITCH;
    }

    public int knob() {
        return places.stream().filter(Place::here).mapToInt(Place::x).findFirst().orElseThrow();
    }
}
