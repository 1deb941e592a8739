package tallledger.core.survey;

import java.util.Optional;
import tallledger.core.drive.DriveTrain;
import tallledger.core.drive.Route;
import tallledger.core.family.Phase;
import tallledger.core.family.Step;
import tallledger.core.reason.Reason;

/** Something a survey goes through: a speed to be run, or a step; a check at the spindle is a step. */
public sealed interface Task {

    /** As forms and entries name it. */
    String key();

    Phase phase();

    /** What it is called; a route by what is set. */
    Object name(DriveTrain train);

    default Optional<Step> step() {
        return Optional.empty();
    }

    default Optional<Route> route() {
        return Optional.empty();
    }

    static Task of(Step step) {
        return new OfStep(step);
    }

    static Task of(Route route) {
        return new OfRoute(route);
    }

    /** A speed, by its route. */
    record OfRoute(Route speed) implements Task {
        @Override
        public String key() {
            return speed.key();
        }

        @Override
        public Phase phase() {
            return Phase.SPINDLE;
        }

        @Override
        public String name(DriveTrain train) {
            return train.name(speed);
        }

        @Override
        public Optional<Route> route() {
            return Optional.of(speed);
        }
    }

    /** A step; two of one identity are one task, whatever else their description says of them. */
    record OfStep(Step what) implements Task {
        @Override
        public String key() {
            return what.id().written();
        }

        @Override
        public Phase phase() {
            return what.phase();
        }

        @Override
        public Reason name(DriveTrain train) {
            return what.name();
        }

        @Override
        public Optional<Step> step() {
            return Optional.of(what);
        }

        @Override
        public boolean equals(Object other) {
            return other instanceof OfStep step && step.what.id().equals(what.id());
        }

        @Override
        public int hashCode() {
            return what.id().hashCode();
        }
    }
}
