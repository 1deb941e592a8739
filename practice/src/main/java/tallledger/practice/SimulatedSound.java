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
import tallledger.core.drive.Turning;

/**
 * What a microphone half a metre from the headstock would write of a simulated machine: its shafts and meshes, twice the supply, the room;
 * a fault strikes once a turn of its shaft, or shakes its mesh so that sidebands stand beside it. The same seed gives the same samples.
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
    private static final int HEAD = 44;

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
        double[] samples = new double[count()];
        addRoom(samples, seed);
        DriveTrain train = machine.description().train();
        List<Turning> turning = Turning.of(train, route, rpm, Optional.of(SUPPLY));
        for (int i = 0; i < turning.size(); i++) {
            Turning t = turning.get(i);
            Optional<HiddenFault> fault = machine.faults().stream().filter(f -> f.stage().equals(t.stage())
                    && IntStream.range(0, train.stages().size()).anyMatch(s -> train.stages().get(s).name().equals(f.stage())
                            && train.position(route, s).label().equals(f.position())))
                    .findFirst();
            boolean strikes = fault.filter(f -> f.symptom() == Symptom.KNOCKS_ONCE_A_TURN).isPresent();
            switch (t.kind()) {
                case SPINDLE, MOTOR -> add(samples, SHAFT, t.hertz(), 0, 0);
                case SHAFT_INTO -> {
                    add(samples, SHAFT, t.hertz(), 0, 0);
                    if (strikes) {
                        strike(samples, t.hertz());
                    }
                }
                case MESH -> add(samples, MESH, t.hertz(), fault.isPresent() && !strikes ? SWELLS : 0,
                        i + 1 < turning.size() ? turning.get(i + 1).hertz() : 0);
                case SUPPLY_TWICE -> add(samples, HUM, t.hertz(), 0, 0);
            }
        }
        return wav(samples);
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
