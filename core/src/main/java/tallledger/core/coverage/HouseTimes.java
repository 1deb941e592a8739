package tallledger.core.coverage;

import tallledger.core.drive.DriveTrain;
import tallledger.core.drive.Route;
import tallledger.core.drive.Stage;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;

/**
 * What runs and moves take, s (rules of the house).
 *
 * @param listen   at least this long at each speed
 * @param turns    and at least so many turns
 * @param sweep    for taking a sliding stage through its range
 * @param lever    to move a lever or switch
 * @param belt     to move a belt
 * @param pin      to draw a pin or change a wheel
 * @param stopping to stop and start, once a move, where any moved stage is stop-to-shift
 */
public record HouseTimes(double listen, int turns, double sweep, double lever, double belt, double pin, double stopping) {

    public static HouseTimes of(Rules rules) {
        return new HouseTimes(rules.value(Rule.LISTEN), rules.whole(Rule.TURNS), rules.value(Rule.SWEEP), rules.value(Rule.MOVE_LEVER),
                rules.value(Rule.MOVE_BELT), rules.value(Rule.MOVE_PIN), rules.value(Rule.STOP_AND_START));
    }

    private static final double SECONDS_A_MINUTE = 60;

    /** Time of a run: max(listen, 60·N/n). */
    public double run(double rpm, boolean isSweep) {
        return isSweep ? sweep : Math.max(listen, SECONDS_A_MINUTE * turns / rpm);
    }

    /** Time to go from one route to the next; nothing for staying. */
    public double move(DriveTrain train, Route from, Route to) {
        double time = 0;
        boolean stop = false;
        for (int s = 0; s < train.stages().size(); s++) {
            if (from.at(s) != to.at(s)) {
                Stage stage = train.stages().get(s);
                time += move(stage) * (stage.changesLever(from.at(s), to.at(s)) ? 2 : 1);
                stop |= stage.shifting().mustStop();
            }
        }
        return time + (stop ? stopping : 0);
    }

    double move(Stage stage) {
        return switch (stage.movedBy()) {
            case LEVER -> lever;
            case BELT -> belt;
            case PIN -> pin;
            case COMMAND -> 0;
        };
    }
}
