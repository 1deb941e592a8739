package tallledger.practice;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.random.RandomGenerator;
import tallledger.core.blame.Blame;
import tallledger.core.blame.Chances;
import tallledger.core.blame.Trial;
import tallledger.core.coverage.Elements;
import tallledger.core.coverage.Symptom;
import tallledger.core.drive.Route;
import tallledger.core.machine.MachineDescription;

/**
 * Hunts a hidden fault the way the application would: run what tells most, until one part is clear or nothing more can be told.
 *
 * @param blamed what stood out at the end; empty when nothing did
 * @param runs   runs it took
 */
public record HiddenFaultTrials(Optional<Elements.Element> blamed, int runs) {

    /** A fault shows on a run through it with this chance, an imagined symptom on any run with that: the house's own chances. */
    private static final Chances CHANCES = Chances.HOUSE;

    /**
     * @param fault the faulty element; empty for a sound box
     */
    public static HiddenFaultTrials hunt(MachineDescription machine, Elements elements, List<Route> routes, Optional<Elements.Element> fault,
                                         RandomGenerator random) {
        List<Trial> trials = new ArrayList<>();
        List<Route> untried = new ArrayList<>(routes);
        Optional<Route> next = Optional.of(routes.get(0));
        Blame blame = null;
        while (next.isPresent()) {
            Route route = next.get();
            trials.add(new Trial(route, heard(elements, route, fault, random)));
            untried.remove(route);
            blame = Blame.of(elements, trials, untried, r -> 0, CHANCES);
            next = blame.isClear() || blame.noFault() > 0.97 ? Optional.empty() : blame.tellsMost().map(Blame.Telling::route);
        }
        Optional<Elements.Element> blamed = blame != null && blame.isClear() ? Optional.of(blame.suspects().get(0).element()) : Optional.empty();
        return new HiddenFaultTrials(blamed, trials.size());
    }

    private static Set<Symptom> heard(Elements elements, Route route, Optional<Elements.Element> fault, RandomGenerator random) {
        boolean on = fault.filter(f -> route.at(f.stage()) == f.position()).isPresent();
        boolean shows = on && random.nextDouble() < CHANCES.shows() || random.nextDouble() < CHANCES.noise();
        return shows ? EnumSet.of(Symptom.GROWLS) : Set.of();
    }
}
