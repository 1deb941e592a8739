package tallledger.core.survey;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import tallledger.core.family.Catalogue;
import tallledger.core.family.Family;
import tallledger.core.family.FitOut;
import tallledger.core.ledger.Payload;
import tallledger.core.machine.MachineDescription;
import tallledger.core.motion.Axis;
import tallledger.core.motion.AxisId;
import tallledger.core.rules.Rules;
import tallledger.core.supply.SupplyPlate;

/** An axis is what it is, whatever it is called. */
class AxisIdentityTest {

    private static Axis renamed(Axis a, String name) {
        return new Axis(a.id(), a.role(), name, a.minus(), a.plus(), a.abilities(), a.travel(), a.rates());
    }

    private static List<String> needs(MachineDescription machine, String step) {
        return Catalogue.of(machine, Rules.shipped()).stream().filter(s -> s.id().written().equals(step)).flatMap(s -> s.needs().stream())
                .map(n -> n.kind() + " " + n.of()).toList();
    }

    @Test
    void theArmsClampIsAskedForWhateverTheArmIsCalled() {
        FitOut usual = Family.RADIAL_DRILL.traits().usual();
        List<Axis> axes = usual.axes().stream().map(a -> a.role() == Axis.Role.ARM ? renamed(a, "Ausleger") : a).toList();
        MachineDescription machine = CatalogueTest.machine(Family.RADIAL_DRILL,
                new FitOut(axes, usual.features(), usual.supply(), usual.chart()));
        assertThat(needs(machine, "rapid.arm.minus")).contains("CLAMP_FREE Ausleger");
        assertThat(needs(CatalogueTest.machine(Family.RADIAL_DRILL, usual), "rapid.arm.minus")).contains("CLAMP_FREE arm");
        assertThat(MachineDescription.from(new Payload(machine.toPayload()))).isEqualTo(machine);
    }

    @Test
    void twoAxesOfNearlyOneNameHaveStepsOfTheirOwn() {
        Axis first = new Axis("top slide", "in", "out", Set.of(Axis.Ability.HAND_WHEEL), "", Axis.AxisRates.UNKNOWN);
        Axis second = new Axis(AxisId.named("top-slide", Set.of(first.id())), Axis.Role.OTHER, "top-slide", "in", "out",
                Set.of(Axis.Ability.HAND_WHEEL), "", Axis.AxisRates.UNKNOWN);
        MachineDescription machine = CatalogueTest.machine(Family.LATHE,
                new FitOut(List.of(first, second), Set.of(), SupplyPlate.UNREAD, Optional.empty()));
        List<String> ids = Catalogue.of(machine, Rules.shipped()).stream().map(step -> step.id().written()).toList();
        assertThat(ids).doesNotHaveDuplicates().contains("travel.top-slide", "travel.top-slide-2");
    }

    /** A description from before axes had identities gets them from its names, two alike kept apart. */
    @Test
    void anOlderDescriptionGetsItsIdentitiesFromItsNames() {
        MachineDescription machine = CatalogueTest.machine(Family.LATHE, Family.LATHE.traits().usual());
        Map<String, Object> old = new HashMap<>(machine.toPayload());
        Map<String, Object> fitOut = new HashMap<>(cast(old.get("fitOut")));
        List<Map<String, Object>> axes = new ArrayList<>();
        for (Object axis : (List<?>) fitOut.get("axes")) {
            Map<String, Object> plain = new HashMap<>(cast(axis));
            plain.remove("id");
            plain.remove("role");
            axes.add(plain);
        }
        fitOut.put("axes", axes);
        old.put("fitOut", fitOut);
        assertThat(MachineDescription.from(new Payload(old)).fitOut().axes()).extracting(a -> a.id().written())
                .containsExactly("carriage", "cross-slide", "top-slide");
        assertThat(MachineDescription.from(new Payload(old)).fitOut().axes()).extracting(Axis::role)
                .containsExactly(Axis.Role.CARRIAGE, Axis.Role.CROSS_SLIDE, Axis.Role.TOP_SLIDE);
    }

    @SuppressWarnings("unchecked")
    private static Map<String, Object> cast(Object map) {
        return (Map<String, Object>) map;
    }
}
