package tallledger.core.survey;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import tallledger.core.machine.Family;
import tallledger.core.machine.Feature;

/** What usually goes with a machine of a family, so that the part nobody noticed was missing is looked for. Codes of words. */
public final class UsualKit {

    private UsualKit() {
    }

    public static List<String> of(Family family, Set<Feature> features) {
        List<String> kit = new ArrayList<>(switch (family) {
            case LATHE -> List.of("three-jaw", "four-jaw", "faceplate", "centres", "tool-post", "chuck-keys");
            case KNEE_MILL -> List.of("collets", "vice", "drawbar");
            case HORIZONTAL_MILL, UNIVERSAL_MILL -> List.of("arbors", "collars", "vice", "dividing-head", "drawbar");
            case RADIAL_DRILL -> List.of("sleeves", "drift", "box-table");
            case PEDESTAL_DRILL -> List.of("drill-chuck", "sleeves", "drift");
            case CYLINDRICAL_GRINDER -> List.of("wheel-flanges", "balancing-arbor", "driving-dogs", "centres", "dresser");
            case ROTARY_TABLE_GRINDER -> List.of("wheel-flanges", "balancing-arbor", "dresser");
            case CENTRELESS_GRINDER -> List.of("wheel-flanges", "work-rest-blades", "dresser");
            case MACHINING_CENTRE -> List.of("tool-holders", "pull-studs", "parameters", "vice");
        });
        if (features.contains(Feature.CHANGE_WHEELS)) {
            kit.add("change-wheels");
        }
        if (features.contains(Feature.STEADY)) {
            kit.add("steady");
        }
        if (features.contains(Feature.FOLLOW_STEADY)) {
            kit.add("follow-steady");
        }
        kit.addAll(List.of("spanners", "manual", "wiring-diagram", "test-chart", "warranty"));
        return kit;
    }
}
