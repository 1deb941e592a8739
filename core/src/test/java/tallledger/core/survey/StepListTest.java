package tallledger.core.survey;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import tallledger.core.ByHand;
import tallledger.core.family.Catalogue;
import tallledger.core.family.Family;
import tallledger.core.family.Feature;
import tallledger.core.family.FitOut;
import tallledger.core.family.Step;
import tallledger.core.machine.MachineDescription;
import tallledger.core.rules.Rules;

/**
 * Every step there is, by a list made by hand: how bad it is if bad, how long it takes, whether something runs for it, what must be
 * free or safe first. A severity or a need that changes by a slip is seen here.
 */
class StepListTest {

    @Test
    void everyStepIsAsTheListSays() {
        Map<String, String> steps = new TreeMap<>();
        for (Family family : Family.values()) {
            for (Set<Feature> features : List.of(family.traits().usual().features(), all(family, Feature.POWER_DRAWBAR),
                    all(family, Feature.DRAWBAR))) {
                FitOut usual = family.traits().usual();
                MachineDescription machine = CatalogueTest.machine(family,
                        new FitOut(usual.axes(), features, usual.supply(), Optional.empty()));
                Catalogue.of(machine, Rules.shipped())
                        .forEach(step -> steps.merge(step.code(), line(step), (one, other) -> one.contains(other) ? one
                                : other.contains(one) ? other : one + " OR " + other));
            }
        }
        ByHand.check("steps", steps.values().stream());
    }

    private static Set<Feature> all(Family family, Feature but) {
        Set<Feature> all = new HashSet<>(family.traits().features());
        all.remove(but);
        return all;
    }

    private static String line(Step step) {
        return step.code() + " | " + step.ifBad() + " | " + step.seconds() + " s | " + (step.runs() ? "runs" : "still") + " | "
                + String.join(" ", step.needs().stream().map(n -> n.kind().name()).toList());
    }
}
