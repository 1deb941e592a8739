package tallledger.core.survey;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;
import tallledger.core.Machines;
import tallledger.core.SurveyBook;
import tallledger.core.coverage.Outcome;
import tallledger.core.cutting.Job;
import tallledger.core.drive.DriveTrain;
import tallledger.core.drive.Shifting;
import tallledger.core.drive.Stage;
import tallledger.core.family.Catalogue;
import tallledger.core.family.Family;
import tallledger.core.family.Feature;
import tallledger.core.family.FitOut;
import tallledger.core.family.Step;
import tallledger.core.ledger.Payload;
import tallledger.core.machine.Claim;
import tallledger.core.machine.Identity;
import tallledger.core.machine.MachineDescription;
import tallledger.core.measuring.SpeedRead;
import tallledger.core.motion.Axis;
import tallledger.core.motion.Axis.Ability;
import tallledger.core.motion.FeedPlate;
import tallledger.core.motion.ThreadPlate;
import tallledger.core.plate.SpeedPlate;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rules;
import tallledger.core.supply.SupplyPlate;
import tallledger.core.unit.LengthUnit;
import tallledger.core.verdict.ClaimVerdict;

/** The generated run sheets against lists written by hand, family by family, in the order people work. */
class CatalogueTest {

    private static final String DESK = "desk-claims desk-power desk-papers";
    private static final String STANDING = "serial plates castings missing-parts covers oil-levels oilers";
    private static final String ELECTRICS = "supply isolator cables earth panel motor-plate";
    private static final String STARTED = "check-JOG check-BRAKE";
    private static final String LUBED = "lubrication coolant lamp";
    private static final String END =
            "bearing-rise hot-sound hot-leaks kit manual wiring-diagram test-chart lift left-safe said-what-is-open";

    static MachineDescription machine(Family family, FitOut fitOut) {
        DriveTrain train = new DriveTrain(List.of(Machines.motor("1440"), Machines.lever("range", "A B"),
                Stage.direction(Shifting.STOP_TO_SHIFT)), List.of());
        return new MachineDescription(new Identity("Box", "", "", family, "", "", "", "", LengthUnit.MM), List.of(), train,
                Machines.plate(MachineDescription.leversOf(train), "100 200")).with(fitOut);
    }

    /** Of a family, with a drive of its own. */
    static MachineDescription machine(Family family, FitOut fitOut, String cells, Stage... levers) {
        List<Stage> stages = new java.util.ArrayList<>(List.of(Machines.motor("1440")));
        stages.addAll(List.of(levers));
        DriveTrain train = new DriveTrain(stages, List.of());
        return new MachineDescription(new Identity("Box", "", "", family, "", "", "", "", LengthUnit.MM), List.of(), train,
                Machines.plate(MachineDescription.leversOf(train), cells)).with(fitOut);
    }

    private static MachineDescription usual(Family family) {
        return machine(family, family.traits().usual());
    }

    private static List<String> ids(MachineDescription machine) {
        return Catalogue.of(machine, Rules.shipped()).stream().map(step -> step.id().written()).toList();
    }

    private static FitOut fitOut(List<Axis> axes, Set<Feature> features) {
        return new FitOut(axes, features, SupplyPlate.UNREAD, Optional.empty());
    }

    /** What a hand-wheel axis gets in the travels: travel, lock where there is one, hand wheel, backlash, play. */
    private static String hand(String axis, boolean lock) {
        return "travel." + axis + (lock ? " lock." + axis : "") + " hand-wheel." + axis + " backlash." + axis + " play." + axis;
    }

    private static String milled(String axis) {
        return Stream.of("feed", "rapid", "trip").map(s -> s + "." + axis + ".minus " + s + "." + axis + ".plus")
                .reduce((a, b) -> a + " " + b).orElseThrow() + " hidden-stops." + axis + " trip-repeat." + axis;
    }

    static Stream<Arguments> families() {
        return Stream.of(
                Arguments.of(Family.LATHE, 94, String.join(" ", DESK, STANDING, "bed-by-headstock rack lead-screw-wear feed-shaft-wear "
                        + "spindle-nose tailstock-base change-wheels", ELECTRICS,
                        "emergency-stop direction", STARTED, LUBED,
                        "feed.carriage.minus feed.carriage.plus trip.carriage.minus trip.carriage.plus",
                        "trip-repeat.carriage feed.cross-slide.minus feed.cross-slide.plus feed-reverse half-nut-interlock half-nut "
                                + "thread-dial thread-cut",
                        hand("carriage", true), hand("cross-slide", false), hand("top-slide", false),
                        "tailstock-clamp barrel-lock barrel-travel steady follow-steady",
                        "level nose-runout nose-round bar-runout axial-float bed-twist bed-straight carriage-straight tailstock-ways "
                                + "nose-camming spindle-carriage-v spindle-carriage-h centre-runout top-slide-spindle barrel-carriage-v "
                                + "barrel-carriage-h centres-level lead-screw-float turn-parallel facing facing-hollow turned-round "
                                + "turned-roughness turned-finish",
                        END)),
                Arguments.of(Family.KNEE_MILL, 91, String.join(" ", DESK, STANDING, "table-top mill-ways mill-screws spindle-taper",
                        ELECTRICS, "emergency-stop direction drawbar-seated", STARTED, LUBED,
                        "feed.table.minus feed.table.plus trip.table.minus trip.table.plus hidden-stops.table trip-repeat.table "
                                + "feed.quill.minus feed.quill.plus knock-off.quill trip-repeat.quill",
                        "quill-rates quill-reverse quill-off-stops", hand("table", true), hand("saddle", true), hand("knee", true),
                        "travel.quill lock.quill play.quill head-swivels",
                        "level mill-nose-runout nose-round mill-bar-runout axial-float tram table-parallel nose-camming table-flat "
                                + "table-parallel-y t-slot xy-square knee-square-x knee-square-y quill-square mill-cut "
                                + "block-flat block-square "
                                + "block-step milled-roughness climb-cut",
                        END)),
                Arguments.of(Family.HORIZONTAL_MILL, 90, String.join(" ", DESK, STANDING, "table-top mill-ways mill-screws "
                        + "spindle-taper overarm-ways arbor-collars change-wheels dividing-wheels", ELECTRICS,
                        "emergency-stop direction drawbar-seated", STARTED, LUBED,
                        "feed.table.minus feed.table.plus trip.table.minus trip.table.plus hidden-stops.table trip-repeat.table",
                        hand("table", true), hand("saddle", true), hand("knee", true),
                        "overarm-moves arbor-supports level mill-nose-runout nose-round mill-bar-runout axial-float arbor-runout "
                                + "table-parallel nose-camming table-flat table-parallel-y t-slot xy-square knee-square-x knee-square-y "
                                + "spindle-table spindle-cross slot-square arbor-support-line overarm-spindle mill-cut "
                                + "block-flat block-square "
                                + "block-step milled-roughness climb-cut",
                        END)),
                Arguments.of(Family.UNIVERSAL_MILL, 111, String.join(" ", DESK, STANDING, "table-top mill-ways mill-screws "
                        + "spindle-taper overarm-ways arbor-collars dividing-wheels", ELECTRICS,
                        "emergency-stop direction drawbar-seated", STARTED, LUBED, milled("table"), milled("saddle"), milled("knee"),
                        hand("table", true), hand("saddle", true), hand("knee", true),
                        "head-swivels mill-table-swivels overarm-moves arbor-supports",
                        "level mill-nose-runout nose-round mill-bar-runout axial-float arbor-runout tram table-parallel nose-camming "
                                + "table-flat table-parallel-y t-slot xy-square knee-square-x knee-square-y spindle-table spindle-cross "
                                + "slot-square arbor-support-line overarm-spindle swivel-zero mill-cut block-flat block-square block-step "
                                + "milled-roughness climb-cut",
                        END)),
                Arguments.of(Family.RADIAL_DRILL, 78, String.join(" ", DESK, STANDING, "column-surface arm-ways elevating-nut "
                        + "base-slots box-table drill-taper", ELECTRICS, "emergency-stop direction", STARTED, LUBED,
                        "feed.spindle.minus feed.spindle.plus knock-off.spindle trip-repeat.spindle rapid.arm.minus rapid.arm.plus "
                                + "fine-feed feed-clutch travel.spindle play.spindle",
                        hand("head", false),
                        "travel.arm play.arm clamp-arm clamp-head clamp-column clamps-together clamped-elevation column-swings "
                                + "depth-stop quill-spring level drill-runout spindle-square clamp-shift spindle-square-in "
                                + "spindle-square-out "
                                + "head-level base-flat drill-out drill-quill-square thrust-dip drill-cut hole-place drilled-roughness "
                                + "drilled-size",
                        END)),
                Arguments.of(Family.PEDESTAL_DRILL, 62, String.join(" ", DESK, STANDING, "column-surface drill-table belts drill-taper",
                        ELECTRICS, "emergency-stop direction", STARTED, "pedal", LUBED,
                        hand("spindle", false), hand("table", true),
                        "table-raise table-tilts depth-stop quill-spring level drill-runout spindle-square base-flat drill-out "
                                + "drill-quill-square thrust-dip drill-cut hole-place drilled-roughness drilled-size",
                        END)),
                Arguments.of(Family.CYLINDRICAL_GRINDER, 81,
                        String.join(" ", DESK, STANDING, "grinder-ways wheel-mark wheel-sound wheel-guard hydraulic-oil", ELECTRICS,
                                "emergency-stop direction wheel-first-start bled",
                                STARTED, LUBED,
                                "feed.table.minus feed.table.plus rapid.wheel-slide.minus rapid.wheel-slide.plus table-reversal "
                                        + "infeed-left infeed-right infeed-both infeed-none dead-stop work-stops-on-retreat work-speeds",
                                hand("table", false), hand("wheel-slide", false),
                                "grinder-table-swivels grinder-tailstock grinder-steady dresser level wheel-spindle "
                                        + "work-spindle axial-float "
                                        + "table-straight centres-line-v centres-line-h barrel-to-travel "
                                        + "wheel-spindle-travel infeed-square "
                                        + "infeed-repeat grind-parallel ground-taper infeed-sum ground-round ground-roughness "
                                        + "ground-finish",
                                END)),
                Arguments.of(Family.ROTARY_TABLE_GRINDER, 72,
                        String.join(" ", DESK, STANDING, "grinder-ways wheel-mark wheel-sound wheel-guard hydraulic-oil chuck-face",
                                ELECTRICS,
                                "emergency-stop direction wheel-first-start bled magnetic-chuck", STARTED, LUBED,
                                "rapid.wheel-head.minus rapid.wheel-head.plus feed.saddle.minus feed.saddle.plus",
                                "down-feed-inner down-feed-outer down-feed-both spark-out parks speeds-to-centre",
                                hand("wheel-head", false),
                                "travel.saddle play.saddle dresser",
                                "level wheel-spindle work-spindle axial-float rotary-true rotary-flat column-to-table down-feed-steps "
                                        + "grind-flat infeed-sum ground-spread ground-roughness ground-finish",
                                END)),
                Arguments.of(Family.CENTRELESS_GRINDER, 67,
                        String.join(" ", DESK, STANDING, "grinder-ways wheel-mark wheel-sound wheel-guard hydraulic-oil work-rest-blade",
                                ELECTRICS,
                                "emergency-stop direction wheel-first-start bled", STARTED, LUBED,
                                "regulating-wheel feed.infeed-slide.minus feed.infeed-slide.plus centreless-infeed through-feed",
                                hand("infeed-slide", false), "work-rest-height through-feed-angle dresser level wheel-spindle axial-float "
                                        + "regulating-spindle regulating-float spindles-parallel-v spindles-parallel-h "
                                        + "slot-parallel infeed-repeat "
                                        + "grind-parallel centreless-spread centreless-round centreless-taper ground-finish",
                                END)),
                Arguments.of(Family.MACHINING_CENTRE, 82, String.join(" ", DESK, STANDING, "table-top mill-ways spindle-taper", ELECTRICS,
                        "emergency-stop direction control-boots reference-run servo-lubrication", STARTED, LUBED,
                        "feed.x.minus feed.x.plus rapid.x.minus rapid.x.plus feed.y.minus feed.y.plus rapid.y.minus rapid.y.plus "
                                + "feed.z.minus feed.z.plus rapid.z.minus rapid.z.plus tool-drawbar",
                        "travel.x play.x travel.y play.y travel.z play.z level mill-nose-runout nose-round mill-bar-runout axial-float "
                                + "tram table-parallel axes-xy-square yz-square zx-square axis-straight.x axis-test.x axis-straight.y "
                                + "axis-test.y axis-straight.z axis-test.z readout.x readout.y readout.z mill-cut "
                                + "circle-test milled-square "
                                + "milled-circle circle",
                        END)));
    }

    @ParameterizedTest
    @MethodSource("families")
    void everyFamilyIsGoneThroughInTheOrderPeopleWork(Family family, int count, String list) {
        assertThat(ids(usual(family))).containsExactlyElementsOf(Arrays.asList(list.split(" "))).hasSize(count);
    }

    /** A new family is asked for its order here, and for the cut it is tried with. */
    @Test
    void noFamilyIsWithoutAnOrderOfItsOwn() {
        assertThat(families().map(a -> a.get()[0])).containsExactlyInAnyOrder((Object[]) Family.values());
        Map<Family, Job.Kind> tried = Map.of(Family.LATHE, Job.Kind.TURNING, Family.KNEE_MILL, Job.Kind.FACE_MILLING,
                Family.HORIZONTAL_MILL, Job.Kind.FACE_MILLING, Family.UNIVERSAL_MILL, Job.Kind.FACE_MILLING, Family.MACHINING_CENTRE,
                Job.Kind.FACE_MILLING, Family.RADIAL_DRILL, Job.Kind.DRILLING, Family.PEDESTAL_DRILL, Job.Kind.DRILLING);
        Set<Family> grind = Set.of(Family.CYLINDRICAL_GRINDER, Family.ROTARY_TABLE_GRINDER, Family.CENTRELESS_GRINDER);
        for (Family family : Family.values()) {
            assertThat(family.traits().testCut()).as(family + " is tried").isEqualTo(Optional.ofNullable(tried.get(family)));
            assertThat(tried.containsKey(family) || grind.contains(family)).as(family + " is tried, or grinds").isTrue();
        }
    }

    @ParameterizedTest
    @EnumSource(Family.class)
    void everyFeatureOfAFamilyMakesAStepOrChangesOne(Family family) {
        Set<Feature> all = new HashSet<>(family.traits().features());
        all.remove(Feature.POWER_DRAWBAR);
        List<Step> with = Catalogue.of(machine(family, fitOut(family.traits().usual().axes(), all)), Rules.shipped());
        for (Feature feature : all) {
            Set<Feature> less = new HashSet<>(all);
            less.remove(feature);
            all.stream().filter(f -> f.needs().filter(feature::equals).isPresent()).forEach(less::remove);
            assertThat(Catalogue.of(machine(family, fitOut(family.traits().usual().axes(), less)), Rules.shipped()))
                    .as(family + " without " + feature)
                    .satisfiesAnyOf(steps -> assertThat(steps).hasSizeLessThan(with.size()),
                            steps -> assertThat(feature).isEqualTo(Feature.DWELL));
        }
    }

    @Test
    void aMachineWithoutPowerGetsNoFeedOrRapid() {
        List<Axis> byHand = List.of(new Axis("table", "left", "right", Set.of(Ability.HAND_WHEEL), "", Axis.AxisRates.UNKNOWN));
        assertThat(ids(machine(Family.HORIZONTAL_MILL, fitOut(byHand, Set.of()))))
                .noneMatch(id -> id.startsWith("feed") || id.startsWith("rapid") || id.startsWith("trip"))
                .contains("travel.table", "backlash.table");
        assertThat(ids(machine(Family.LATHE, fitOut(List.of(), Set.of())))).noneMatch(id -> id.startsWith("travel"));
    }

    @Test
    void fortyAxesAndContradictionsAreRefused() {
        List<Axis> forty = java.util.stream.IntStream.range(0, 40)
                .mapToObj(i -> new Axis("axis " + i, "left", "right", Set.of(), "", Axis.AxisRates.UNKNOWN)).toList();
        assertThat(refusal(() -> fitOut(forty, Set.of()))).isEqualTo("axes.many");
        assertThat(refusal(() -> fitOut(List.of(forty.get(0), forty.get(0)), Set.of()))).isEqualTo("axes.repeated");
        assertThat(refusal(() -> fitOut(List.of(), Set.of(Feature.THREAD_DIAL)))).isEqualTo("feature.needs");
        assertThat(refusal(() -> fitOut(List.of(), Set.of(Feature.DRAWBAR, Feature.POWER_DRAWBAR)))).isEqualTo("feature.excludes");
        assertThat(refusal(() -> machine(Family.LATHE, fitOut(List.of(), Set.of(Feature.ARM_CLAMP))))).isEqualTo("feature.family");
    }

    private static String refusal(Runnable call) {
        try {
            call.run();
            return "taken";
        } catch (Refused refused) {
            return refused.reason().code();
        }
    }

    @Test
    void aFeedPlateIsCoveredByAsManyFeedsAsItsLongestLever() {
        MachineDescription plain = usual(Family.RADIAL_DRILL);
        MachineDescription machine = new MachineDescription(plain.identity(), List.of(), plain.train(), plain.plate(), Optional.empty(),
                Optional.of(new FeedPlate(Machines.plate(List.of(Machines.plateLever("range", "I II"),
                        Machines.plateLever("knob", "1 2 3")),
                        "0.1 0.14 0.2 0.28 0.4 0.56"), LengthUnit.MM, Axis.Per.REV)),
                plain.fitOut());
        List<String> feeds = ids(machine).stream().filter(id -> id.startsWith("feed-plate")).toList();
        // The first three use I, II and 1, 2, 3; slow to fast.
        assertThat(feeds).containsExactly("feed-plate.I.1", "feed-plate.I.3", "feed-plate.II.2", "feed-plate.I.2", "feed-plate.II.1",
                "feed-plate.II.3");
    }

    /** What else turns, and what a former owner did, are steps of their own; both survive their payload. */
    @Test
    void otherSpeedsAndWhatWasRedoneMakeSteps() {
        FitOut usual = Family.CYLINDRICAL_GRINDER.traits().usual();
        MachineDescription plain = machine(Family.CYLINDRICAL_GRINDER,
                new FitOut(usual.axes(), usual.features(), usual.supply(), usual.chart(), "work head 45 90\njog 20 ± 25 %"));
        MachineDescription machine = new MachineDescription(plain.identity(),
                List.of(new Claim(Claim.Attribute.REDONE, "modern panel", Claim.Source.SELLER, ""),
                        new Claim(Claim.Attribute.REDONE, "Modern panel", Claim.Source.FORMER_OPERATOR, "")),
                plain.train(), plain.plate(),
                Optional.empty(), Optional.empty(), plain.fitOut());
        assertThat(ids(machine)).contains("other-speed.work-head-45", "other-speed.work-head-90", "other-speed.jog-20")
                .containsOnlyOnce("redone.modern-panel");
        assertThat(ids(machine).indexOf("redone.modern-panel")).isLessThan(ids(machine).indexOf("supply"));
        assertThat(Catalogue.of(machine, Rules.shipped())).filteredOn(s -> s.id().written().equals("other-speed.jog-20")).singleElement()
                .satisfies(s -> assertThat(s.recording())
                        .isEqualTo(new SpeedRead(Optional.of(new BigDecimal("20")), Optional.of(new BigDecimal("0.25")))));
        assertThat(MachineDescription.from(new Payload(machine.toPayload()))).isEqualTo(machine);
        assertThat(refusal(() -> machine(Family.LATHE, new FitOut(List.of(), Set.of(), SupplyPlate.UNREAD, Optional.empty(), "jog"))))
                .isEqualTo("other-speeds.line");
    }

    /**
     * 8 9 10 11 and their doubles by two levers: the first four use every position; the last may be inferred once its positions are
     * proven.
     */
    @Test
    void aThreadPlateIsGoneThroughLikeAFeedPlate() {
        MachineDescription plain = usual(Family.LATHE);
        SpeedPlate plate = Machines.plate(List.of(Machines.plateLever("range", "I II"), Machines.plateLever("knob", "1 2 3 4")),
                "8 9 10 11 16 18 20 22");
        MachineDescription machine = new MachineDescription(plain.identity(),
                List.of(new Claim(Claim.Attribute.THREAD_COUNT, "8", Claim.Source.SELLER, "")), plain.train(), plain.plate(),
                Optional.empty(), Optional.empty(), Optional.of(new ThreadPlate(plate, ThreadPlate.Counted.PER_INCH)), plain.fitOut());
        assertThat(MachineDescription.from(new Payload(machine.toPayload()))).isEqualTo(machine);
        List<String> threads = ids(machine).stream().filter(id -> id.startsWith("thread-plate")).toList();
        assertThat(threads).containsExactly("thread-plate.I.1", "thread-plate.I.3", "thread-plate.II.2", "thread-plate.II.4",
                "thread-plate.I.2", "thread-plate.I.4", "thread-plate.II.1", "thread-plate.II.3");
        assertThat(new ThreadPlate(plate, ThreadPlate.Counted.PER_INCH).pitch(List.of("I", "1"))).get()
                .satisfies(p -> assertThat(p).isEqualByComparingTo("3.175"));
        SurveyBook book = new SurveyBook(machine, Scope.WHOLE, 60);
        String[] lengths = {"127.00 mm", "101.60 mm", "56.44 mm", "46.18 mm"};
        for (int i = 0; i < 3; i++) {
            book.step(threads.get(i), false, "pitch", List.of("8 tpi", "10 tpi", "18 tpi").get(i), "length", lengths[i], "turns", "40");
        }
        assertThat(book.ledger().latest().values())
                .allSatisfy(r -> assertThat(r.outcome()).as(r.step().id() + " " + r.judgement().because()).isEqualTo(Outcome.PROVEN));
        assertThat(book.ledger().isSpared(book.ledger().step(threads.get(7)).orElseThrow())).as("II 3").isTrue();
        assertThat(ClaimVerdict.of(book.survey())).singleElement()
                .satisfies(v -> assertThat(v.standing()).isEqualTo(ClaimVerdict.Standing.UNTESTED));
        book.step(threads.get(3), false, "pitch", "22 tpi", "length", lengths[3], "turns", "40");
        assertThat(ClaimVerdict.of(book.survey())).singleElement()
                .satisfies(v -> assertThat(v.standing()).isEqualTo(ClaimVerdict.Standing.UPHELD));
        book.step(threads.get(3), false, "pitch", "22 tpi", "length", "50.80 mm", "turns", "40");
        assertThat(ClaimVerdict.of(book.survey())).as("20 threads where 22 were promised").singleElement()
                .satisfies(v -> assertThat(v.standing()).isEqualTo(ClaimVerdict.Standing.SHORT));
    }

    @Test
    void fitOutSurvivesItsPayload() {
        for (Family family : Family.values()) {
            MachineDescription machine = usual(family);
            assertThat(MachineDescription.from(new Payload(machine.toPayload()))).isEqualTo(machine);
        }
    }

    @Test
    void aMachineDescribedBeforeThereWereFeaturesHasTheUsualOnes() {
        Map<String, Object> old = new HashMap<>(usual(Family.RADIAL_DRILL).toPayload());
        old.remove("fitOut");
        assertThat(MachineDescription.from(new Payload(old)).fitOut()).isEqualTo(Family.RADIAL_DRILL.traits().usual());
    }

    /** A bed mill has no knee: its head goes up and down, on a screw. A drill's head goes along its arm by a rack. */
    @Test
    void aBedMillHasNoKnee() {
        List<Axis> axes = List.of(new Axis("table", "left", "right", Set.of(Ability.HAND_WHEEL), "", Axis.AxisRates.UNKNOWN),
                new Axis("head", "up", "down", Set.of(Ability.HAND_WHEEL), "", Axis.AxisRates.UNKNOWN));
        List<Step> bedMill = Catalogue.of(machine(Family.KNEE_MILL, fitOut(axes, Set.of())),
                Rules.shipped());
        assertThat(bedMill).extracting(s -> s.system().name()).doesNotContain("knee");
        assertThat(bedMill).filteredOn(s -> s.code().equals("knee-square-x")).extracting(s -> s.system().name()).containsExactly("head");
        assertThat(bedMill).filteredOn(s -> s.id().written().equals("backlash.head")).extracting(s -> s.system().name())
                .containsExactly("screw");
        List<Step> drill = Catalogue.of(usual(Family.RADIAL_DRILL), Rules.shipped());
        assertThat(drill).filteredOn(s -> s.id().written().equals("backlash.head")).extracting(s -> s.system().name())
                .allMatch("rack"::equals);
        assertThat(Catalogue.of(usual(Family.KNEE_MILL), Rules.shipped())).filteredOn(s -> s.code().startsWith("knee-square"))
                .extracting(s -> s.system().name()).containsExactly("knee", "knee");
    }
}
