package tallledger.practice;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import tallledger.core.drive.DriveTrain;
import tallledger.core.drive.Exclusion;
import tallledger.core.drive.GearPair;
import tallledger.core.drive.LeverPattern;
import tallledger.core.drive.MotorRating;
import tallledger.core.drive.Position;
import tallledger.core.drive.Shifting;
import tallledger.core.drive.Span;
import tallledger.core.drive.Stage;
import tallledger.core.drive.StageKind;
import tallledger.core.drive.Transmission;
import tallledger.core.family.Family;
import tallledger.core.family.Feature;
import tallledger.core.family.FitOut;
import tallledger.core.family.OwnChart;
import tallledger.core.family.StepId;
import tallledger.core.machine.Claim;
import tallledger.core.machine.Claim.Attribute;
import tallledger.core.machine.Claim.Source;
import tallledger.core.machine.ClaimText;
import tallledger.core.machine.Identity;
import tallledger.core.machine.MachineDescription;
import tallledger.core.motion.Axis;
import tallledger.core.motion.AxisId;
import tallledger.core.motion.FeedPlate;
import tallledger.core.plate.Lever;
import tallledger.core.plate.PlateCell;
import tallledger.core.plate.SpeedList;
import tallledger.core.plate.SpeedPlate;
import tallledger.core.reading.Power;
import tallledger.core.supply.SupplyPlate;
import tallledger.core.unit.LengthUnit;

/** Builds an invented machine stage by stage, and the truth behind it. */
final class Sketch {

    /** Scatter of a hand-held tachometer on a belt-driven spindle, as a share. */
    private static final double SCATTER = 0.004;

    private Identity identity;
    private final List<Stage> stages = new ArrayList<>();
    private final List<Exclusion> exclusions = new ArrayList<>();
    private final List<Claim> claims = new ArrayList<>();
    private final Map<List<String>, Double> truth = new HashMap<>();
    private final List<HiddenFault> faults = new ArrayList<>();
    private Optional<MotorRating> motor = Optional.empty();
    private Optional<FeedPlate> feeds = Optional.empty();
    private FitOut fitOut;
    private final Map<String, Map<String, String>> wrong = new HashMap<>();
    private double unloaded = 1;
    private String cells = "";

    private Sketch(Identity identity) {
        this.identity = identity;
        this.fitOut = identity.family().traits().usual();
    }

    /** By another name than maker and model. */
    Sketch called(String name) {
        identity = new Identity(name, identity.maker(), identity.model(), identity.family(), identity.serial(), identity.year(),
                identity.seenAt(), identity.offeredBy(), identity.unit());
        return this;
    }

    static Sketch of(String maker, String model, Family family, String year, String seenAt, String offeredBy, LengthUnit unit) {
        return new Sketch(new Identity(maker + " " + model, maker, model, family, "", year, seenAt, offeredBy, unit));
    }

    /** One fixed motor speed. */
    Sketch motor(String rpm) {
        return windings(Shifting.SHIFTS_TURNING, "on " + rpm);
    }

    /** Windings as "label rpm". */
    Sketch windings(Shifting shifting, String... windings) {
        List<Position> positions = Arrays.stream(windings).map(w -> w.split(" "))
                .map(w -> new Position(w[0], new Transmission.MotorSpeed(new BigDecimal(w[1])))).toList();
        stages.add(new Stage(positions.size() > 1 ? "motor switch" : "motor", StageKind.MOTOR, shifting, positions));
        return this;
    }

    Sketch power(String kilowatts, MotorRating.Law law) {
        motor = Optional.of(new MotorRating(Power.parse(kilowatts), law, new BigDecimal("0.8")));
        return this;
    }

    /** A lever of unknown ratios; "N" is neutral. */
    Sketch lever(String name, StageKind kind, Shifting shifting, LeverPattern pattern, String labels) {
        List<Position> positions = Arrays.stream(labels.split(" ")).map(label -> new Position(label,
                label.equals("N") ? new Transmission.Neutral() : new Transmission.Unknown())).toList();
        stages.add(new Stage(name, kind, shifting, positions, pattern));
        return this;
    }

    Sketch lever(String name, String labels) {
        return lever(name, StageKind.GEAR, Shifting.STOP_TO_SHIFT, LeverPattern.ROW, labels);
    }

    /** A lever whose wheels somebody has counted, as "label driver:driven". */
    Sketch geared(String name, String... pairs) {
        List<Position> positions = Arrays.stream(pairs).map(p -> p.split("[ :]"))
                .map(p -> new Position(p[0], new Transmission.Gears(List.of(new GearPair(Integer.parseInt(p[1]), Integer.parseInt(p[2]))))))
                .toList();
        stages.add(new Stage(name, StageKind.GEAR, Shifting.STOP_TO_SHIFT, positions));
        return this;
    }

    /** A step pulley as "label driver driven", mm. */
    Sketch belt(String... grooves) {
        List<Position> positions = Arrays.stream(grooves).map(g -> g.split(" "))
                .map(g -> new Position(g[0], new Transmission.Grooves(new BigDecimal(g[1]), new BigDecimal(g[2])))).toList();
        stages.add(new Stage("belt", StageKind.BELT, Shifting.STOP_TO_SHIFT, positions));
        return this;
    }

    /** A stage of known ratios as "label ratio". */
    Sketch ratios(String name, StageKind kind, String... ratios) {
        List<Position> positions = Arrays.stream(ratios).map(r -> r.split(" "))
                .map(r -> new Position(r[0], new Transmission.Ratio(new BigDecimal(r[1])))).toList();
        stages.add(new Stage(name, kind, Shifting.STOP_TO_SHIFT, positions));
        return this;
    }

    Sketch sliding(String name, StageKind kind, Span factor) {
        stages.add(Stage.sliding(name, kind, Optional.ofNullable(factor)));
        return this;
    }

    Sketch reverses() {
        stages.add(Stage.direction(Shifting.STOP_TO_SHIFT));
        return this;
    }

    Sketch interlock(String stage, String label, String otherStage, String otherLabel) {
        exclusions.add(new Exclusion(Map.of(stage, label, otherStage, otherLabel)));
        return this;
    }

    Sketch plate(String shown) {
        cells = shown;
        return this;
    }

    /** Two levers and their plate, typed as it stands with its labels: the lever down its rows, and the one across. */
    Sketch plateAsItStands(String down, String across, LeverPattern acrossStands, String text) {
        SpeedList.Rows rows = (SpeedList.Rows) SpeedList.read(text);
        lever(down, String.join(" ", rows.rowLabels()));
        lever(across, StageKind.GEAR, Shifting.STOP_TO_SHIFT, acrossStands, String.join(" ", rows.columnLabels()));
        return plate(rows.cells().stream().flatMap(List::stream).map(PlateCell::typed).collect(Collectors.joining(" ")));
    }

    /** A feed plate of two levers, mm/rev. */
    Sketch feeds(String lever, String positions, String other, String otherPositions, String shown) {
        List<Lever> levers = List.of(new Lever(lever, List.of(positions.split(" "))), new Lever(other, List.of(otherPositions.split(" "))));
        Map<List<String>, PlateCell> values = new HashMap<>();
        List<List<String>> keys = SpeedPlate.keysOf(levers);
        String[] feed = shown.split(" ");
        for (int i = 0; i < keys.size(); i++) {
            values.put(keys.get(i), PlateCell.parse(feed[i]));
        }
        feeds = Optional.of(new FeedPlate(new SpeedPlate(levers, values, Optional.empty()), LengthUnit.MM, Axis.Per.REV));
        return this;
    }

    /** Features it has besides the usual ones; a leading minus takes one away. */
    Sketch has(String features) {
        Set<Feature> set = new HashSet<>(fitOut.features());
        for (String name : features.split(" ")) {
            if (name.startsWith("-")) {
                set.remove(Feature.valueOf(name.substring(1)));
            } else {
                set.add(Feature.valueOf(name));
            }
        }
        fitOut = new FitOut(fitOut.axes(), set, fitOut.supply(), fitOut.chart(), fitOut.otherSpeeds(), fitOut.ownChart());
        return this;
    }

    /** Travel and feeds of one of its usual axes, as its plate says. */
    Sketch axis(String name, String travel, Axis.Per per, String slowest, String fastest, String rapid) {
        List<Axis> axes = fitOut.axes().stream().map(a -> a.name().equals(name)
                ? new Axis(a.id(), a.role(), a.name(), a.minus(), a.plus(), a.abilities(), travel,
                        new Axis.AxisRates(per, slowest, fastest, rapid))
                : a).toList();
        fitOut = new FitOut(axes, fitOut.features(), fitOut.supply(), fitOut.chart(), fitOut.otherSpeeds(), fitOut.ownChart());
        return this;
    }

    /** A readout somebody put onto one of its usual axes. */
    Sketch readout(String name) {
        List<Axis> axes = fitOut.axes().stream().map(a -> a.name().equals(name)
                ? new Axis(a.id(), a.role(), a.name(), a.minus(), a.plus(), with(a.abilities(), Axis.Ability.READOUT), a.travel(),
                        a.rates())
                : a).toList();
        fitOut = new FitOut(axes, fitOut.features(), fitOut.supply(), fitOut.chart(), fitOut.otherSpeeds(), fitOut.ownChart());
        return this;
    }

    private static Set<Axis.Ability> with(Set<Axis.Ability> some, Axis.Ability one) {
        Set<Axis.Ability> all = new HashSet<>(some);
        all.add(one);
        return all;
    }

    Sketch supply(String volts, String hertz, String kilowatts, String amperes, boolean heavyStart) {
        fitOut = new FitOut(fitOut.axes(), fitOut.features(), SupplyPlate.parse(volts, hertz, 3, kilowatts, amperes, heavyStart),
                fitOut.chart(), fitOut.otherSpeeds(), fitOut.ownChart());
        return this;
    }

    Sketch chart(String leadScrew, String factors, String promised, String reach, String buyable) {
        fitOut = new FitOut(fitOut.axes(), fitOut.features(), fitOut.supply(),
                Optional.of(new FitOut.Chart(leadScrew, factors, promised, reach, buyable)), fitOut.otherSpeeds(), fitOut.ownChart());
        return this;
    }

    /**
     * What a step shows on this machine where it is not as it should be.
     *
     * @param id     of the step
     * @param values as a surveyor would type them, "field=text" parted by bars; the field "remark" is what they would say of it
     */
    Sketch wrong(String id, String values) {
        Map<String, String> typed = new HashMap<>();
        for (String value : values.split("\\|")) {
            typed.put(value.substring(0, value.indexOf('=')), value.substring(value.indexOf('=') + 1).replace("/", "\n"));
        }
        wrong.put(id, typed);
        return this;
    }

    /** What somebody says, as they say it, split as the form splits it. */
    Sketch said(Source source, String text) {
        claims.addAll(ClaimText.split(text, source, identity.family(), identity.unit(), fitOut.axes()));
        return this;
    }

    /** What else turns at a speed, as the form takes it. */
    Sketch turns(String otherSpeeds) {
        fitOut = new FitOut(fitOut.axes(), fitOut.features(), fitOut.supply(), fitOut.chart(), otherSpeeds, fitOut.ownChart());
        return this;
    }

    /** Its own test chart: "step permissible measured", parted by bars. */
    Sketch ownChart(String lines) {
        Map<StepId, OwnChart.PrintedFigure> own = new HashMap<>();
        for (String line : lines.split("\\|")) {
            String[] part = line.strip().split(" ");
            own.put(StepId.read(part[0]), new OwnChart.PrintedFigure(part[1], part[2]));
        }
        fitOut = fitOut.with(new OwnChart(own));
        return this;
    }

    Sketch claim(Attribute attribute, String value, Source source, String wording) {
        claims.add(new Claim(attribute, value, source, wording));
        return this;
    }

    /** A claim tied to one of its axes. */
    Sketch claim(Attribute attribute, String value, Source source, String wording, String axis) {
        claims.add(new Claim(attribute, value, source, wording, AxisId.read(axis)));
        return this;
    }

    Sketch fault(String stage, String position, tallledger.core.coverage.Symptom symptom, double shows) {
        faults.add(new HiddenFault(stage, position, symptom, shows));
        return this;
    }

    /** The true speed of a cell where the plate does not say it. */
    Sketch truth(double rpm, String... key) {
        truth.put(List.of(key), rpm);
        return this;
    }

    /** An induction motor turns this much above its full-load plate speed when unloaded. */
    Sketch unloaded(double factor) {
        unloaded = factor;
        return this;
    }

    SimulatedMachine build() {
        DriveTrain train = new DriveTrain(stages, exclusions);
        List<List<String>> keys = SpeedPlate.keysOf(MachineDescription.leversOf(train));
        Map<List<String>, PlateCell> plate = new HashMap<>();
        String[] shown = cells.isEmpty() ? new String[0] : cells.split(" ");
        for (int i = 0; i < keys.size(); i++) {
            plate.put(keys.get(i), PlateCell.parse(shown.length == 0 ? PlateCell.UNREADABLE_SIGN : shown[i]));
        }
        MachineDescription description = new MachineDescription(identity, claims, train,
                new SpeedPlate(MachineDescription.leversOf(train), plate, Optional.empty()), motor, feeds,
                fitOut.checkedFor(identity.family(), identity.unit()));
        return new SimulatedMachine(description, truth, unloaded, SCATTER, faults, wrong);
    }
}
