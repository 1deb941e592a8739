package tallledger.core.coverage;

import java.util.List;
import java.util.OptionalInt;
import tallledger.core.coverage.Elements.Element;
import tallledger.core.drive.Route;

/**
 * What to run, in which order, and how good the plan is.
 *
 * @param school      what was asked for
 * @param runs        in order
 * @param seconds     time of all runs and moves, s
 * @param timeBound   no order of these runs can be quicker, s
 * @param lowerBound  no plan can have fewer runs; the plan is the fewest when it has so many
 * @param provenFewest whether the count is proven to be the fewest
 * @param warm        runs a warm spindle would need, where the cold-spindle rule costs a run
 * @param beyondProof elements no run is left for
 * @param leftOpen    elements a plan inside the time leaves unproven
 */
public record RunPlan(School school, List<PlannedRun> runs, double seconds, double timeBound, int lowerBound,
        boolean provenFewest, OptionalInt warm, List<Element> beyondProof, List<Element> leftOpen) {

    /**
     * One run of the plan.
     *
     * @param route   what to set
     * @param proves  elements it newly proves if it goes well
     * @param seconds moving there and running it
     */
    public record PlannedRun(Route route, List<Element> proves, double seconds) {
    }

    public RunPlan {
        runs = List.copyOf(runs);
    }

    /** Result over proven bound; 1 is proven best. */
    public double timeRatio() {
        return timeBound > 0 ? seconds / timeBound : 1;
    }
}
