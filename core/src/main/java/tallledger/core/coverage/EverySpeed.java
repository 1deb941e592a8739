package tallledger.core.coverage;

import java.util.ArrayList;
import java.util.List;
import tallledger.core.drive.DriveTrain;
import tallledger.core.drive.Route;
import tallledger.core.drive.Speed;
import tallledger.core.drive.SpeedTable;

/**
 * The school "every speed": each distinct speed once, slow to fast, so that the cold-spindle rule holds by itself; where the
 * machine reverses, reverse once at the lowest speed that has it.
 */
public final class EverySpeed {

    private EverySpeed() {
    }

    /** Routes to run, in order. */
    public static List<Route> routes(SpeedTable table) {
        DriveTrain train = table.train();
        List<Route> routes = new ArrayList<>();
        boolean reversed = false;
        for (Speed speed : table.speeds()) {
            routes.add(speed.routes().get(0));
            if (!reversed && !speed.isSweep() && !train.isReverse(speed.routes().get(0))) {
                for (Route route : speed.routes()) {
                    if (train.isReverse(route)) {
                        routes.add(route);
                        reversed = true;
                        break;
                    }
                }
            }
        }
        return List.copyOf(routes);
    }
}
