package tallledger.practice;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import tallledger.core.coverage.Symptom;
import tallledger.core.drive.DriveTrain;
import tallledger.core.drive.Route;
import tallledger.core.drive.Shaft;
import tallledger.core.drive.StageKind;
import tallledger.core.drive.Transmission;
import tallledger.core.drive.Turning;

/**
 * What a microphone half a metre from the headstock would write of a simulated machine: its shafts and meshes, twice the supply, the room;
 * a fault shakes its mesh so that sidebands stand beside it, and one that knocks strikes once a turn of its shaft as well; a part that runs
 * rough sounds as a bad bearing does, a belt that rattles slaps once a turn of its own. The same seed gives the same samples.
 *
 * @param hertz   samples a second
 * @param seconds how long
 * @param room    root mean square of the room's noise, part of full scale
 */
public record SimulatedSound(int hertz, double seconds, double room) {

    private static final double SUPPLY = 50;
    private static final double SHAFT = 0.012;
    private static final double MESH = 0.03;
    private static final double HUM = 0.008;
    private static final double STRIKE = 0.35;
    private static final double RINGS = 1_150;
    private static final double RINGS_FOR = 0.006;
    /** How much a bad wheel's mesh swells once a turn: sidebands 6 dB under it. */
    private static final double SWELLS = 1.0;
    /** Rollers that pass a spot of the outer ring in one turn of the shaft: 0.4 of nine. */
    private static final double ROLLERS = 3.58;
    private static final double LATE = 0.01;
    private static final double SLAP = 0.5;
    /** Turns of a belt for one of its driven pulley, where nobody gave the grooves. */
    private static final double USUAL_BELT = 0.37;
    private static final double THUDS = 140;
    private static final double THUDS_FOR = 0.02;
    private static final double APART = 1.5;
    private static final int HEAD = 44;
    private static final double A_MINUTE = 60;

    /** Small, and long enough for the slowest shaft of a lathe. */
    public static SimulatedSound usual() {
        return new SimulatedSound(16_000, 12, 0.004);
    }

    /** The room with the machine off. */
    public byte[] ofRoom(long seed) {
        double[] samples = new double[count()];
        addRoom(samples, seed);
        return wav(samples);
    }

    /** @param rpm at which its spindle truly turns, min⁻¹ */
    public byte[] of(SimulatedMachine machine, Route route, double rpm, long seed) {
        return of(machine, route, rpm, new Shows(true, true), seed);
    }

    /** What of a fault is in the sound this time. */
    record Shows(boolean strikes, boolean swells) {
    }

    byte[] of(SimulatedMachine machine, Route route, double rpm, Shows shows, long seed) {
        double[] samples = new double[count()];
        addRoom(samples, seed);
        DriveTrain train = machine.description().train();
        List<HiddenFault> faults = machine.faults().stream().filter(f -> stage(train, route, f).isPresent()).toList();
        for (Turning t : Turning.of(train, route, rpm, Optional.of(SUPPLY))) {
            switch (t.kind()) {
                case SPINDLE, MOTOR, SHAFT_INTO -> add(samples, SHAFT, t.hertz(), 0, 0);
                case MESH -> {
                    Optional<HiddenFault> bad = faults.stream().filter(f -> f.stage().equals(t.stage()) && shows.swells
                            && f.symptom() != Symptom.RUNS_ROUGH).findFirst();
                    add(samples, MESH, t.hertz(), bad.isPresent() ? SWELLS : 0,
                            bad.map(f -> turns(train, route, f) * rpm / A_MINUTE).orElse(0.0));
                }
                case SUPPLY_TWICE -> add(samples, HUM, t.hertz(), 0, 0);
            }
        }
        faults.stream().filter(f -> f.symptom() == Symptom.KNOCKS_ONCE_A_TURN && shows.strikes)
                .forEach(f -> strike(samples, turns(train, route, f) * rpm / A_MINUTE));
        faults.stream().filter(f -> f.symptom() == Symptom.RUNS_ROUGH && shows.strikes)
                .forEach(f -> impacts(samples, ROLLERS * turns(train, route, f) * rpm / A_MINUTE, STRIKE, RINGS, RINGS_FOR, seed));
        faults.stream().filter(f -> f.symptom() == Symptom.RATTLES && shows.strikes)
                .forEach(f -> beltTurns(train, route, f).ifPresent(times -> impacts(samples, times * rpm / A_MINUTE, SLAP, THUDS, THUDS_FOR,
                        seed)));
        return wav(samples);
    }

    /** The stage of a fault, where this route goes through it. */
    private static Optional<Integer> stage(DriveTrain train, Route route, HiddenFault fault) {
        return IntStream.range(0, train.stages().size()).boxed().filter(s -> train.stages().get(s).name().equals(fault.stage())
                && train.position(route, s).label().equals(fault.position())).findFirst();
    }

    /** How often the shaft comes round that a fault is on, for one turn of the spindle: the faster one of its pair, which drives. */
    private static double turns(DriveTrain train, Route route, HiddenFault fault) {
        int stage = stage(train, route, fault).orElseThrow();
        return Shaft.of(train, route).stream().filter(s -> s.stages().contains(stage)).mapToDouble(Shaft::times).max().orElse(1);
    }

    /**
     * How often a belt comes round for one turn of the spindle: π·d/L of its driven pulley's turns, L being that of pulleys one and a half
     * times the larger's diameter apart.
     */
    private static Optional<Double> beltTurns(DriveTrain train, Route route, HiddenFault fault) {
        int stage = stage(train, route, fault).orElseThrow();
        double shaft = Shaft.of(train, route).stream().filter(s -> s.stages().contains(stage)).mapToDouble(Shaft::times).min().orElse(1);
        if (!(train.position(route, stage).transmission() instanceof Transmission.Grooves grooves)) {
            return train.stages().get(stage).kind() == StageKind.BELT ? Optional.of(USUAL_BELT * shaft) : Optional.empty();
        }
        double driver = grooves.driver().doubleValue();
        double driven = grooves.driven().doubleValue();
        double length = 2 * APART * Math.max(driver, driven) + Math.PI * (driver + driven) / 2;
        return Optional.of(shaft * Math.PI * driven / length);
    }

    /** Strikes a little late or early each, and not all as hard, as a bearing's and a belt's are. */
    private void impacts(double[] samples, double each, double amplitude, double rings, double ringsFor, long seed) {
        Random random = new Random(seed + 1);
        for (double at = random.nextDouble() / each; at < seconds; at += (1 + LATE * random.nextGaussian()) / each) {
            double hard = amplitude * (0.5 + random.nextDouble());
            for (int i = (int) Math.ceil(at * hertz); i < Math.min(samples.length, (at + 8 * ringsFor) * hertz); i++) {
                double since = i / (double) hertz - at;
                samples[i] += hard * Math.exp(-since / ringsFor) * Math.sin(2 * Math.PI * rings * since);
            }
        }
    }

    private int count() {
        return (int) Math.round(hertz * seconds);
    }

    private void addRoom(double[] samples, long seed) {
        Random random = new Random(seed);
        for (int i = 0; i < samples.length; i++) {
            samples[i] += room * random.nextGaussian();
        }
    }

    /** A tone that swells by a share of itself once a turn. */
    private void add(double[] samples, double amplitude, double at, double swells, double turn) {
        for (int i = 0; i < samples.length; i++) {
            double t = i / (double) hertz;
            samples[i] += amplitude * (1 + swells * Math.cos(2 * Math.PI * turn * t)) * Math.sin(2 * Math.PI * at * t);
        }
    }

    private void strike(double[] samples, double turn) {
        for (int i = 0; i < samples.length; i++) {
            double t = i / (double) hertz;
            double since = t - Math.floor(t * turn) / turn;
            samples[i] += STRIKE * Math.exp(-since / RINGS_FOR) * Math.sin(2 * Math.PI * RINGS * since);
        }
    }

    private byte[] wav(double[] samples) {
        ByteBuffer file = ByteBuffer.allocate(HEAD + 2 * samples.length).order(ByteOrder.LITTLE_ENDIAN);
        file.put("RIFF".getBytes(StandardCharsets.US_ASCII)).putInt(HEAD - 8 + 2 * samples.length)
                .put("WAVEfmt ".getBytes(StandardCharsets.US_ASCII)).putInt(16).putShort((short) 1).putShort((short) 1).putInt(hertz)
                .putInt(2 * hertz).putShort((short) 2).putShort((short) 16).put("data".getBytes(StandardCharsets.US_ASCII))
                .putInt(2 * samples.length);
        for (double x : samples) {
            file.putShort((short) Math.max(Short.MIN_VALUE, Math.min(Short.MAX_VALUE, Math.round(x * Short.MAX_VALUE))));
        }
        return file.array();
    }
}
