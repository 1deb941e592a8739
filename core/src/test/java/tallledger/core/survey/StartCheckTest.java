package tallledger.core.survey;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.Machines;
import tallledger.core.family.Catalogue;
import tallledger.core.family.Family;
import tallledger.core.family.Feature;
import tallledger.core.family.FitOut;
import tallledger.core.family.StartItem;
import tallledger.core.family.Step;
import tallledger.core.machine.MachineDescription;
import tallledger.core.rules.Rules;
import tallledger.core.safety.Mounted;

/** What is asked before a start is this machine's own, and it is asked for what runs. */
class StartCheckTest {

    @ParameterizedTest
    @CsvSource({"LATHE, CHUCK_KEY_OUT WORK_CLEAR GUARD_SHUT RANGE_HOME FEEDS_OUT HALF_NUT_OUT NOTHING_LOOSE",
            "KNEE_MILL, DRAWBAR_WRENCH_OFF WORK_CLEAR GUARD_SHUT RANGE_HOME FEEDS_OUT NOTHING_LOOSE",
            "PEDESTAL_DRILL, CHUCK_KEY_OUT DRIFT_OUT WORK_CLEAR GUARD_SHUT RANGE_HOME NOTHING_LOOSE",
            "RADIAL_DRILL, CHUCK_KEY_OUT DRIFT_OUT WORK_CLEAR GUARD_SHUT RANGE_HOME FEEDS_OUT NOTHING_LOOSE",
            "CYLINDRICAL_GRINDER, CHUCK_KEY_OUT WHEEL_SOUND WHEEL_GUARDED WHEEL_DRESSED CLEAR_OF_WHEEL WORK_CLEAR GUARD_SHUT RANGE_HOME "
                    + "FEEDS_OUT NOTHING_LOOSE",
            "CENTRELESS_GRINDER, WHEEL_SOUND WHEEL_GUARDED WHEEL_DRESSED CLEAR_OF_WHEEL WORK_CLEAR GUARD_SHUT RANGE_HOME FEEDS_OUT "
                    + "NOTHING_LOOSE",
            "MACHINING_CENTRE, WORK_CLEAR GUARD_SHUT RANGE_HOME FEEDS_OUT NOTHING_LOOSE"})
    void eachFamilyIsAskedForItsOwn(Family family, String items) {
        assertThat(CatalogueTest.machine(family, family.traits().usual()).family().traits()
                .startChecks(CatalogueTest.machine(family, family.traits().usual()))).extracting(Enum::name)
                .containsExactlyElementsOf(Arrays.asList(items.split(" ")));
    }

    @Test
    void aMachineWithoutALeverHasNoLeverToPutHome() {
        MachineDescription bare = Machines.lathe("1440");
        assertThat(bare.family().traits().startChecks(bare)).doesNotContain(StartItem.RANGE_HOME);
        MachineDescription braked = bare.with(new FitOut(List.of(), Set.of(Feature.FOOT_BRAKE), bare.fitOut().supply(),
                java.util.Optional.empty()));
        assertThat(braked.family().traits().startChecks(braked)).contains(StartItem.BRAKE_OFF)
                .doesNotContain(StartItem.FEEDS_OUT, StartItem.HALF_NUT_OUT);
    }

    @ParameterizedTest
    @CsvSource({"LATHE, NOTHING CHUCK FACEPLATE", "KNEE_MILL, ''", "RADIAL_DRILL, ''", "CYLINDRICAL_GRINDER, NOTHING WHEEL",
            "CENTRELESS_GRINDER, NOTHING WHEEL"})
    void whatCanBeMountedIsTheFamilys(Family family, String kinds) {
        assertThat(family.traits().mountables()).extracting(Mounted.Kind::name)
                .containsExactlyInAnyOrderElementsOf(kinds.isEmpty() ? List.of() : Arrays.asList(kinds.split(" ")));
    }

    /** Codes of every step for which something turns or travels under power; everything else can be done on a machine without power. */
    @ParameterizedTest
    @CsvSource({"LATHE, direction emergency-stop facing feed feed-reverse half-nut half-nut-interlock hot-sound bearing-rise "
            + "check-BRAKE check-JOG thread-cut thread-dial trip trip-repeat turn-parallel",
            "PEDESTAL_DRILL, bearing-rise check-BRAKE check-JOG direction drill-cut emergency-stop hot-sound pedal"})
    void whatRunsIsListed(Family family, String codes) {
        Set<String> runs = new TreeSet<>();
        Catalogue.of(CatalogueTest.machine(family, family.traits().usual()), Rules.shipped()).stream().filter(Step::runs)
                .forEach(s -> runs.add(s.code()));
        assertThat(runs).containsExactlyInAnyOrderElementsOf(new TreeSet<>(Arrays.asList(codes.split(" "))));
    }
}
