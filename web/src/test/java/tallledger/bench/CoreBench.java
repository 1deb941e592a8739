package tallledger.bench;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.hipparchus.transform.DftNormalization;
import org.hipparchus.transform.FastFourierTransformer;
import org.hipparchus.transform.TransformType;
import tallledger.core.blame.Blame;
import tallledger.core.blame.Trial;
import tallledger.core.coverage.Elements;
import tallledger.core.coverage.EverySpeed;
import tallledger.core.coverage.Outcome;
import tallledger.core.coverage.RunPlan;
import tallledger.core.coverage.RunPlanner;
import tallledger.core.coverage.School;
import tallledger.core.coverage.Symptom;
import tallledger.core.cycle.CycleLog;
import tallledger.core.cycle.CycleResult;
import tallledger.core.cycle.CycleScript;
import tallledger.core.cycle.CycleScripts;
import tallledger.core.drive.DriveTrain;
import tallledger.core.drive.Position;
import tallledger.core.drive.Route;
import tallledger.core.drive.Shifting;
import tallledger.core.drive.SpeedTable;
import tallledger.core.drive.Stage;
import tallledger.core.drive.StageKind;
import tallledger.core.drive.Transmission;
import tallledger.core.drive.Turning;
import tallledger.core.evidence.Values;
import tallledger.core.family.Catalogue;
import tallledger.core.family.Family;
import tallledger.core.finish.Trace;
import tallledger.core.geometry.CircleTest;
import tallledger.core.geometry.FlatFace;
import tallledger.core.geometry.Round;
import tallledger.core.machine.Identity;
import tallledger.core.machine.MachineDescription;
import tallledger.core.measuring.SurfaceFinish;
import tallledger.core.motion.ChangeWheels;
import tallledger.core.motion.GearChart;
import tallledger.core.motion.WheelSet;
import tallledger.core.plate.Arrangements;
import tallledger.core.plate.PlateCell;
import tallledger.core.plate.PlateCheck;
import tallledger.core.plate.SpeedPlate;
import tallledger.core.reading.TypedNumber;
import tallledger.core.rules.Rules;
import tallledger.core.sound.SoundAnalysis;
import tallledger.core.sound.WavFile;
import tallledger.core.unit.LengthUnit;
import tallledger.practice.HiddenFaultTrials;
import tallledger.practice.KestrelVale;
import tallledger.practice.SimulatedMachine;
import tallledger.practice.SimulatedSound;

/** Times of the analyses (warmed up, repeated, median), how near plans come to their bounds, and how well hidden faults are found. */
public final class CoreBench {

    private static final int REPEATS = 15;
    private static final int BOXES = 300;

    /** A gearbox to measure: the positions of its levers, slow lever first. */
    private record Box(String name, int... positions) {
    }

    private static final List<Box> GEARBOXES = List.of(new Box("12 (3×4)", 3, 4), new Box("24 (2×3×4)", 2, 3, 4),
            new Box("36 (3×3×4)", 3, 3, 4), new Box("96 (4×4×6)", 4, 4, 6));

    private CoreBench() {
    }

    public static void main(String[] args) {
        System.out.printf("%-12s %8s | %9s %6s %6s %7s | %9s %7s | %9s | %9s%n", "speeds", "plate ms", "gears ms", "runs", "bound",
                "t/bound", "every ms", "t/bound", "replan ms", "blame ms");
        GEARBOXES.forEach(CoreBench::row);
        for (Box box : GEARBOXES) {
            MachineDescription machine = machine(box);
            RunPlanner planner = new RunPlanner(machine.speeds(), Elements.of(machine.train()), Rules.shipped());
            System.out.printf("%-12s ten minutes' choice: %.1f ms%n", box.name, median(() -> planner.plan(School.MY_MINUTES, 600)));
        }
        System.out.println();
        arrangements();
        wholeMachine();
        measuring();
        sound();
        faults();
    }

    /** A minute at 48 kHz, looked at as it comes in, beside one pass of the library's transform over the same samples. */
    private static void sound() {
        SimulatedMachine mill = KestrelVale.castervaleH1();
        Route route = mill.description().train().routes().get(0);
        double rpm = mill.trueSpeed(route);
        WavFile wav = WavFile.parse(new SimulatedSound(48_000, 60, 0.004).of(mill, route, rpm, 3));
        List<Turning> turning = Turning.of(mill.description().train(), route, rpm, Optional.of(50.0));
        double[][] part = new double[2][8192];
        System.out.printf("sound of a minute: %.1f ms; one pass of transforms of 8 192 points by the library %.1f ms%n",
                median(() -> SoundAnalysis.of(wav, turning, List.of(), 0.02, Optional.empty())), median(() -> {
                    for (int from = 0; from + 8192 <= wav.samples().length; from += 8192) {
                        for (int i = 0; i < 8192; i++) {
                            part[0][i] = wav.samples()[from + i];
                            part[1][i] = 0;
                        }
                        FastFourierTransformer.transformInPlace(part, DftNormalization.STANDARD, TransformType.FORWARD);
                    }
                }));
    }

    /**
     * What a long recording takes: 360 points round, a circle of 10 000, a trace of 50 000 beside one pass of the library's transform over
     * as many, a grid.
     */
    private static void measuring() {
        Random random = new Random(5);
        List<BigDecimal> turn = IntStream.range(0, 360)
                .mapToObj(k -> BigDecimal.valueOf(Math.round(1e4 * (0.05 + 0.01 * Math.cos(Math.toRadians(k))
                        + 0.001 * random.nextGaussian()))).movePointLeft(4))
                .toList();
        System.out.printf("round of 360: %.1f ms%n", median(() -> new Round(turn).lobe(2)));
        List<CircleTest.CirclePoint> circle = IntStream.range(0, 5000)
                .mapToObj(
                        k -> new CircleTest.CirclePoint(k * 360 / 5000.0, 3 * Math.sin(Math.toRadians(k * 0.144)) + random.nextGaussian()))
                .toList();
        System.out.printf("circle of 10 000: %.1f ms%n", median(() -> new CircleTest(100, circle, circle).explained()));
        Trace trace = new Trace(0.0005, IntStream.range(0, 50_000).mapToObj(i -> 2 * Math.sin(i / 40.0) + random.nextGaussian()).toList());
        Map<String, String> typed = Map.of("spacing", "0.0005 mm", "trace",
                trace.heights().stream().map(h -> String.format(java.util.Locale.ROOT, "%.3f", h)).collect(Collectors.joining(" ")));
        SurfaceFinish milled = new SurfaceFinish(SurfaceFinish.Process.MILLED);
        System.out.printf("the same as typed, read and judged: %.1f ms%n",
                median(() -> milled.weigh(new Values(typed, LengthUnit.MM), Rules.shipped())));
        double[][] both = new double[2][65_536];
        System.out.printf("trace of 50 000: filtered at one cut-off %.1f ms, cut-off chosen and spacings found %.1f ms; one transform "
                + "of 65 536 points by the library %.1f ms%n",
                median(() -> trace.at(0.8)), median(() -> trace.chosen(true, java.util.OptionalDouble.empty()).roughness().spacings()
                        .strongest()),
                median(() -> {
                    IntStream.range(0, 50_000).forEach(i -> {
                        both[0][i] = i % 17;
                        both[1][i] = 0;
                    });
                    FastFourierTransformer.transformInPlace(both, DftNormalization.STANDARD, TransformType.FORWARD);
                }));
        List<List<Double>> rows = IntStream.range(0, 20)
                .mapToObj(r -> IntStream.range(0, 30).mapToObj(c -> 0.01 * random.nextGaussian()).toList()).toList();
        System.out.printf("grid of 30 x 20: %.1f ms%n%n", median(() -> FlatFace.grid(50, 50, rows).zone()));
    }

    /** From bare speeds to the levers behind them: even ladders, one misread, and lists that fit nothing, where two are left out. */
    private static void arrangements() {
        for (int z : List.of(12, 24, 36)) {
            List<TypedNumber> ladder = ladder(z, z == 12 ? 1.4125 : z == 24 ? 1.2589 : 1.122);
            List<TypedNumber> misread = new java.util.ArrayList<>(ladder);
            misread.set(z / 2, TypedNumber.parse(ladder.get(z / 2).value().multiply(new BigDecimal("1.15")).toPlainString()));
            List<TypedNumber> nothing = IntStream.range(0, z).mapToObj(i -> TypedNumber.parse(String.valueOf(13 + i * i + i * 7 % 11)))
                    .toList();
            System.out.printf("arrangements of %d speeds: even ladder %.1f ms (%d), one misread %.1f ms, that fit nothing %.0f ms%n", z,
                    median(() -> Arrangements.of(ladder, List.of())),
                    Arrangements.of(ladder, List.of()).found().size(), median(() -> Arrangements.of(misread, List.of())),
                    median(() -> Arrangements.of(nothing, List.of())));
        }
        System.out.println();
    }

    private static List<TypedNumber> ladder(int z, double step) {
        return IntStream.range(0, z)
                .mapToObj(i -> TypedNumber.parse(new BigDecimal(20 * Math.pow(step, i)).round(new java.math.MathContext(3))
                        .toPlainString()))
                .toList();
    }

    /** What the whole machine adds: its catalogue, the minutes' choice, change wheels, and a cycle of many events. */
    private static void wholeMachine() {
        MachineDescription mill = KestrelVale.castervaleU2().description();
        MachineDescription lathe = KestrelVale.aldwark410().description();
        GearChart chart = lathe.fitOut().chart().orElseThrow().parse(LengthUnit.MM);
        WheelSet wheels = WheelSet.parse("20 24 28 30 32 36 40 48 60");
        WheelSet twenty = WheelSet.parse("20 24 25 28 30 32 35 36 40 44 45 48 50 52 55 56 60 63 64 65");
        CycleScript script = CycleScripts.of("spark-out", Map.of(CycleScripts.Setting.PASSES, BigDecimal.valueOf(50)), Rules.shipped());
        CycleLog log = new CycleLog(IntStream.range(0, 100)
                .mapToObj(i -> new CycleLog.Tap(i == 0 ? "at-zero" : "pass", BigDecimal.valueOf(i))).toList());
        System.out.printf("steps of a universal mill (%d): %.1f ms%n", Catalogue.of(mill, Rules.shipped()).size(),
                median(() -> Catalogue.of(mill, Rules.shipped())));
        System.out.printf("change wheels, 9 on hand, 3 of 11 lost: %.1f ms; 20 on hand: %.1f ms%n",
                median(() -> ChangeWheels.of(chart, wheels)), median(() -> ChangeWheels.of(chart, twenty)));
        System.out.printf("a log of 100 events lined up: %.1f ms%n%n", median(() -> CycleResult.of(script, log, Rules.shipped())));
    }

    private static void row(Box box) {
        MachineDescription machine = machine(box);
        SpeedTable table = machine.speeds();
        Elements elements = Elements.of(machine.train());
        RunPlanner planner = new RunPlanner(table, elements, Rules.shipped());
        SpeedPlate misread = misread(machine.plate());
        List<Route> routes = EverySpeed.routes(table);
        Map<Route, Outcome> some = Map.of(routes.get(0), Outcome.PROVEN, routes.get(1), Outcome.FAILED, routes.get(2), Outcome.PROVEN);
        List<Trial> trials = List.of(new Trial(routes.get(0), Set.of()), new Trial(routes.get(1), Set.of(Symptom.GROWLS)),
                new Trial(routes.get(2), Set.of()));
        List<Route> untried = routes.subList(3, routes.size());
        RunPlan gears = planner.plan(School.EVERY_GEAR, 0);
        RunPlan every = planner.plan(School.EVERY_SPEED, 0);
        System.out.printf("%-12s %8.2f | %9.1f %6d %6d %7.4f | %9.1f %7.4f | %9.1f | %9.2f%s%n", box.name,
                median(() -> PlateCheck.of(misread, OptionalInt.empty())), median(() -> planner.plan(School.EVERY_GEAR, 0)),
                gears.runs().size(),
                gears.lowerBound(), gears.timeRatio(), median(() -> planner.plan(School.EVERY_SPEED, 0)), every.timeRatio(),
                median(() -> planner.plan(School.EVERY_GEAR, 0, 0, some, List.of(), Optional.of(routes.get(2)),
                        OptionalDouble.of(table.speeds().get(2).expected().orElseThrow()))),
                median(() -> Blame.of(elements, trials, untried, r -> 0, Rules.shipped())), gears.provenFewest() ? "  fewest proven"
                        : "  fewest not proven");
    }

    private static double median(Runnable work) {
        for (int i = 0; i < REPEATS; i++) {
            work.run();
        }
        double[] millis = new double[REPEATS];
        for (int i = 0; i < REPEATS; i++) {
            long start = System.nanoTime();
            work.run();
            millis[i] = (System.nanoTime() - start) / 1e6;
        }
        Arrays.sort(millis);
        return millis[REPEATS / 2];
    }

    /** Boxes of each size with one hidden fault, and as many sound ones, hunted by the application's own plan. */
    private static void faults() {
        System.out.printf("%n%-12s %8s %8s %8s %8s %8s %8s %8s %10s%n", "hidden fault", "rightly", "wrongly", "likeliest", "open", "runs",
                "minutes", "log2", "accused");
        for (School school : List.of(School.EVERY_SPEED, School.EVERY_GEAR)) {
            System.out.println(school);
            GEARBOXES.subList(0, 3).forEach(box -> faults(box, school));
        }
    }

    private static void faults(Box box, School school) {
        Random random = new Random(20260509);
        MachineDescription machine = machine(box);
        Elements elements = Elements.of(machine.train());
        List<Elements.Element> choices = elements.all().stream().filter(elements::isChoice).toList();
        int[] ended = new int[4];
        int accused = 0;
        long runs = 0;
        double seconds = 0;
        for (int i = 0; i < BOXES; i++) {
            Elements.Element fault = choices.get(random.nextInt(choices.size()));
            HiddenFaultTrials found = HiddenFaultTrials.hunt(machine, school, Optional.of(fault), random);
            boolean likeliest = found.hunt().filter(h -> h == Blame.Hunt.LIKELIEST_NOT_PROVEN).isPresent();
            ended[found.blamed().isPresent() ? found.blamed().get().equals(fault) ? 0 : 1 : likeliest ? 2 : 3]++;
            runs += found.runs();
            seconds += found.seconds();
            accused += HiddenFaultTrials.hunt(machine, school, Optional.empty(), random).blamed().isPresent() ? 1 : 0;
        }
        System.out.printf("%-12s %7.1f%% %7.1f%% %7.1f%% %7.1f%% %8.2f %8.1f %8d %9.2f%%%n", box.name, 100.0 * ended[0] / BOXES,
                100.0 * ended[1] / BOXES,
                100.0 * ended[2] / BOXES, 100.0 * ended[3] / BOXES, (double) runs / BOXES, seconds / BOXES / 60,
                fewestThatTell(choices.size()), 100.0 * accused / BOXES);
    }

    /** No yes-or-no test singles out one of n parts in fewer than log2 n runs. */
    private static int fewestThatTell(int parts) {
        return (int) Math.ceil(Math.log(parts) / Math.log(2));
    }

    private static MachineDescription machine(Box box) {
        List<Stage> stages = new ArrayList<>();
        stages.add(new Stage("motor", StageKind.MOTOR, Shifting.SHIFTS_TURNING, List.of(new Position("on", new Transmission.Unknown()))));
        for (int l = 0; l < box.positions.length; l++) {
            String prefix = String.valueOf((char) ('a' + l));
            stages.add(new Stage(prefix, StageKind.GEAR, Shifting.STOP_TO_SHIFT, IntStream.rangeClosed(1, box.positions[l])
                    .mapToObj(p -> new Position(prefix + p, new Transmission.Unknown())).toList()));
        }
        DriveTrain train = new DriveTrain(stages, List.of());
        List<List<String>> keys = SpeedPlate.keysOf(MachineDescription.leversOf(train));
        double step = keys.size() > 40 ? 1.06 : keys.size() > 20 ? 1.122 : 1.413;
        Map<List<String>, PlateCell> cells = IntStream.range(0, keys.size()).boxed().collect(Collectors.toMap(keys::get,
                i -> PlateCell.parse(String.format(java.util.Locale.ROOT, "%.1f", 25 * Math.pow(step, i)))));
        return new MachineDescription(new Identity("Box", "", "", Family.LATHE, "", "", "", "", LengthUnit.MM), List.of(), train,
                new SpeedPlate(MachineDescription.leversOf(train), cells, Optional.empty()));
    }

    private static SpeedPlate misread(SpeedPlate plate) {
        List<List<String>> keys = List.copyOf(plate.cells().keySet());
        List<String> third = keys.get(keys.size() / 3);
        return plate.with(third, PlateCell.parse(String.valueOf(Math.round(plate.cell(third).value().orElseThrow().doubleValue() * 1.12))));
    }
}
