package tallledger.web.machine;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import tallledger.core.family.Feature;
import tallledger.core.motion.Axis;
import tallledger.web.library.StoredMachine;

/**
 * The form of a machine's description, with what was typed into it.
 *
 * @param machine described anew; empty where it is a new one
 * @param address of the page; its keys that save nothing lie behind it
 * @param folded  whether only its drive is looked at
 * @param moving  names of its axes, as they are said beside a folded part
 * @param rows    axes, those that are named and room for more
 */
record DescriptionView(Optional<StoredMachine> machine, String title, String address, boolean folded, Set<FormPart> open,
        ClaimTable claims, PlateView speeds, PlateView feeds, PlateView threads, List<Integer> stages, List<Integer> rows, String moving,
        Set<Feature> features, MachineReckoning.SoFarPanel panel) {

    /**
     * Rows of claims.
     *
     * @param tied  by row, the names of what tests it
     * @param names of all that could
     * @param axes  what a claimed travel can be of
     */
    record ClaimTable(List<Integer> rows, List<String> tied, Collection<String> names, List<Axis> axes) {
    }

    /** One plate: its fields, its cells where it has levers, and what fits a list that is typed. */
    record PlateView(FormPlate plate, Optional<PlateGrid> grid, Optional<PlateFinder.FoundLayouts> found) {
    }

    public boolean opens(String part) {
        return open.contains(FormPart.valueOf(part));
    }

    /** Where a key posts to that changes the form and saves nothing. */
    public String key(String does) {
        return address + "/" + does;
    }
}
