package tallledger.web.runsheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tallledger.core.drive.LeverPattern;
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
 * @param slot      what the lever moves in, as an SVG path
 */
public record LeverView(String name, List<LeverPlace> places, String label, boolean moved, boolean mustStop, String slot, int width,
        int height) {

    /** One position of the drawing: the middle of its notch, where its label stands, and whether the lever stands there. */
    public record LeverPlace(String label, double x, double y, double labelX, double labelY, boolean here) {
    }

    static final int PITCH = 54;
    /** Where a lever stands that is not engaged. */
    private static final String NEUTRAL = "N";
    private static final int DIAL_MIDDLE = 50;

    static List<LeverView> of(MachineDescription machine, Route route, Optional<Route> before) {
        List<LeverView> levers = new ArrayList<>();
        for (int s = 0; s < machine.train().stages().size(); s++) {
            Stage stage = machine.train().stages().get(s);
            if (stage.isChoice()) {
                int index = s;
                boolean moved = before.isEmpty() || before.filter(b -> b.at(index) != route.at(index)).isPresent();
                if (stage.levers().isEmpty()) {
                    levers.add(of(stage, route.at(s), moved));
                } else {
                    levers.addAll(several(stage, route.at(s), before.map(b -> b.at(index))));
                }
            }
        }
        return levers;
    }

    /** The levers of one stage, those that go to neutral before the one that goes in. */
    private static List<LeverView> several(Stage stage, int here, Optional<Integer> before) {
        String in = stage.positions().get(here).lever().orElseThrow();
        Optional<String> was = before.flatMap(b -> stage.positions().get(b).lever());
        List<LeverView> levers = new ArrayList<>();
        for (String lever : stage.levers()) {
            List<String> places = new ArrayList<>(List.of(NEUTRAL));
            stage.positions().stream().filter(p -> p.lever().filter(lever::equals).isPresent()).forEach(p -> places.add(p.label()));
            String at = lever.equals(in) ? stage.positions().get(here).label() : NEUTRAL;
            boolean moved = lever.equals(in) ? before.filter(b -> b == here).isEmpty()
                    : was.isEmpty() || was.filter(lever::equals)
                            .isPresent();
            levers.add(row(lever, places, places.indexOf(at), moved, stage.shifting().mustStop()));
        }
        levers.sort(java.util.Comparator.comparing(l -> l.label.equals(NEUTRAL) ? 0 : 1));
        return levers;
    }

    private static LeverView row(String name, List<String> labels, int here, boolean moved, boolean mustStop) {
        List<LeverPlace> places = new ArrayList<>();
        for (int p = 0; p < labels.size(); p++) {
            places.add(new LeverPlace(labels.get(p), PITCH / 2.0 + p * PITCH, 14, PITCH / 2.0 + p * PITCH, 39, p == here));
        }
        return new LeverView(name, places, labels.get(here), moved, mustStop, slot(LeverPattern.ROW, labels.size()), labels.size() * PITCH,
                44);
    }

    private static LeverView of(Stage stage, int here, boolean moved) {
        List<LeverPlace> places = new ArrayList<>();
        int count = stage.positions().size();
        for (int p = 0; p < count; p++) {
            String label = stage.positions().get(p).label();
            places.add(switch (stage.pattern()) {
                case ROW, ONE_AT_A_TIME -> new LeverPlace(label, PITCH / 2.0 + p * PITCH, 14, PITCH / 2.0 + p * PITCH, 39, p == here);
                case GATE -> gate(label, p, p == here);
                case DIAL -> dial(label, p, count, p == here);
            });
        }
        String slot = slot(stage.pattern(), count);
        int width = switch (stage.pattern()) {
            case ROW, ONE_AT_A_TIME -> count * PITCH;
            case GATE -> (count + 1) / 2 * PITCH + 20;
            case DIAL -> 2 * DIAL_MIDDLE;
        };
        int height = stage.pattern() == LeverPattern.ROW ? 44 : stage.pattern() == LeverPattern.GATE ? 84 : 2 * DIAL_MIDDLE;
        return new LeverView(stage.name(), places, places.get(here).label(), moved, stage.shifting().mustStop(), slot, width, height);
    }

    /** The first two positions are the ends of the first bar, the next two of the second. */
    private static LeverPlace gate(String label, int p, boolean here) {
        double x = PITCH / 2.0 + p / 2 * PITCH;
        double y = p % 2 == 0 ? 16 : 68;
        return new LeverPlace(label, x, y, x + 17, y + 6, here);
    }

    /** Clockwise from the top. */
    private static LeverPlace dial(String label, int p, int count, boolean here) {
        double angle = 2 * Math.PI * p / count - Math.PI / 2;
        return new LeverPlace(label, DIAL_MIDDLE + 24 * Math.cos(angle), DIAL_MIDDLE + 24 * Math.sin(angle),
                DIAL_MIDDLE + 40 * Math.cos(angle), DIAL_MIDDLE + 40 * Math.sin(angle) + 5, here);
    }

    private static String slot(LeverPattern pattern, int count) {
        double first = PITCH / 2.0;
        return switch (pattern) {
            case ROW, ONE_AT_A_TIME -> "M" + first + " 14H" + (first + (count - 1) * PITCH);
            case GATE -> "M" + first + " 42H" + (first + (count - 1) / 2 * PITCH) + java.util.stream.IntStream.range(0, (count + 1) / 2)
                    .mapToObj(b -> "M" + (first + b * PITCH) + " 16V" + (2 * b + 1 < count ? 68 : 42))
                    .collect(java.util.stream.Collectors.joining());
            case DIAL -> "M" + (DIAL_MIDDLE - 24) + " " + DIAL_MIDDLE + "a24 24 0 1 0 48 0a24 24 0 1 0 -48 0";
        };
    }

    /** How a lever is moved. */
    public enum How { MOVE, TO_NEUTRAL, STOP_AND_MOVE, STOP_AND_TO_NEUTRAL }

    public How how() {
        boolean neutral = label.equals(NEUTRAL);
        return mustStop ? neutral ? How.STOP_AND_TO_NEUTRAL : How.STOP_AND_MOVE : neutral ? How.TO_NEUTRAL : How.MOVE;
    }

    public LeverPlace knob() {
        return places.stream().filter(LeverPlace::here).findFirst().orElseThrow();
    }
}
