package tallledger.core.sound;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import tallledger.core.drive.DriveTrain;
import tallledger.core.drive.Route;
import tallledger.core.drive.Shaft;
import tallledger.core.drive.Turning;
import tallledger.core.ledger.Payload;
import tallledger.core.reason.Reason;

/**
 * What a recording showed, as its entry keeps it: figures only, so that whoever holds the ledger reckons with the same ones, with or
 * without the sound. What they mean is judged when they are read.
 *
 * @param rpm     of the spindle it was looked at for, min⁻¹
 * @param read    whether somebody read that speed; else it is the plate's
 * @param overall level of all of it, dB over a full-scale sine
 * @param clipped share of its samples at the stops
 * @param shafts  of the route, those that could be looked at
 * @param peaks   what stands out and may belong to a part of the drive
 * @param levels  of bands a thirty-sixth of an octave apart from 20 Hz, each the greatest within a bin or 1 %, dB
 */
public record SoundFindings(BigDecimal rpm, boolean read, BigDecimal overall, BigDecimal clipped, List<ShaftSound> shafts,
        List<DrivePeak> peaks, List<Integer> levels) {

    private static final double LOWEST_BAND = 20;
    private static final double BANDS_AN_OCTAVE = 36;
    private static final double WITHIN = 0.01;
    /** A speed this far from that it was looked at for has its orders elsewhere, as a share. */
    private static final double SAME_SPEED = 0.01;
    private static final int MINUTE = 60;
    private static final int MOST_PEAKS = 100;
    private static final int FIGURES = 4;
    /** A sideband within so many dB of its mesh is a sign of a fault (W 3.8). */
    private static final BigDecimal SIDEBANDS_WITHIN = BigDecimal.TEN;

    /**
     * A shaft.
     *
     * @param times     turns for one of the spindle
     * @param knock     how it comes round once a turn, see {@link Knock}: likeness and neighbours of all, the same of what strikes; empty
     *                  where it could not be looked at
     * @param sidebands level of the weaker of the two sidebands at its speed beside a mesh of it, dB over that mesh, the greatest of its
     *                  meshes; empty where no mesh of it stands out
     */
    public record ShaftSound(BigDecimal times, Optional<List<BigDecimal>> knock, Optional<BigDecimal> sidebands) {

        public Optional<Boolean> knocks() {
            return knock.map(k -> new Knock.OnceATurn(k.get(0).doubleValue(), k.get(1).doubleValue()).isClear()
                    && new Knock.OnceATurn(k.get(2).doubleValue(), k.get(FIGURES - 1).doubleValue()).isClear());
        }

        public Optional<Boolean> hasSidebands() {
            return sidebands.map(s -> s.add(SIDEBANDS_WITHIN).signum() >= 0);
        }
    }

    /** A peak with its level, dB. */
    public record DrivePeak(BigDecimal hertz, BigDecimal level) {
    }

    /** @param turning what comes round at that speed, as the analysis had it */
    public static SoundFindings of(SoundAnalysis sound, DriveTrain train, Route route, List<Turning> turning, double rpm, boolean read) {
        List<ShaftSound> shafts = new ArrayList<>();
        for (Shaft shaft : Shaft.of(train, route)) {
            Optional<List<BigDecimal>> knock = sound.shafts().stream().filter(k -> k.shaft().kind() != Turning.Kind.MOTOR)
                    .filter(k -> shaft.isAt(k.shaft().hertz() * MINUTE / rpm)).findFirst()
                    .map(k -> Stream.of(k.all(), k.struck()).flatMap(o -> Stream.of(o.likeness(), o.neighbours())).map(o -> places(o, 3))
                            .toList());
            shafts.add(new ShaftSound(places(shaft.times(), 5), knock, sidebands(sound.spectrum(), turning, shaft, rpm)));
        }
        List<DrivePeak> peaks = sound.peaks().stream()
                .filter(p -> p.sources().stream().findFirst().filter(s -> s.of().kind() != Turning.Kind.SUPPLY_TWICE).isPresent())
                .sorted((a, b) -> Double.compare(b.peak().level(), a.peak().level())).limit(MOST_PEAKS)
                .map(p -> new DrivePeak(places(p.peak().hertz(), 1), places(p.peak().level(), 1))).toList();
        return new SoundFindings(places(rpm, 2), read, places(sound.overall(), 1), places(sound.clipped(), 5), shafts, peaks,
                levels(sound.spectrum()));
    }

    /** Of the room, where nothing turns. */
    public static SoundFindings ofRoom(SoundAnalysis sound) {
        return new SoundFindings(BigDecimal.ZERO, false, places(sound.overall(), 1), places(sound.clipped(), 5), List.of(), List.of(),
                levels(sound.spectrum()));
    }

    private static BigDecimal places(double value, int places) {
        return BigDecimal.valueOf(value).setScale(places, RoundingMode.HALF_UP);
    }

    private static Optional<BigDecimal> sidebands(Spectrum spectrum, List<Turning> turning, Shaft shaft, double rpm) {
        OptionalDouble greatest = OptionalDouble.empty();
        double turns = shaft.times() * rpm / MINUTE;
        for (int i = 0; i < turning.size() && turns >= Source.FEWEST_BINS * spectrum.binHertz(); i++) {
            Turning mesh = turning.get(i);
            boolean its = mesh.kind() == Turning.Kind.MESH
                    && Source.shaftsOf(turning, i).stream().anyMatch(s -> shaft.isAt(s.hertz() * MINUTE / rpm));
            if (its) {
                OptionalDouble beside = spectrum.beside(mesh.hertz(), turns);
                if (beside.isPresent() && (greatest.isEmpty() || beside.getAsDouble() > greatest.getAsDouble())) {
                    greatest = beside;
                }
            }
        }
        return greatest.isPresent() ? Optional.of(places(greatest.getAsDouble(), 1)) : Optional.empty();
    }

    private static List<Integer> levels(Spectrum spectrum) {
        List<Integer> levels = new ArrayList<>();
        for (double at = LOWEST_BAND; at < (spectrum.levels().length - 1) * spectrum.binHertz(); at = band(levels.size())) {
            levels.add((int) Math.round(spectrum.greatest(at, Math.max(spectrum.binHertz(), WITHIN * at))));
        }
        return List.copyOf(levels);
    }

    private static double band(int number) {
        return LOWEST_BAND * Math.pow(2, number / BANDS_AN_OCTAVE);
    }

    /** Level at a frequency, dB; empty where it lies outside what was looked at. */
    public OptionalDouble level(double hertz) {
        int band = (int) Math.round(BANDS_AN_OCTAVE * Math.log(hertz / LOWEST_BAND) / Math.log(2));
        return band < 0 || band >= levels.size() ? OptionalDouble.empty() : OptionalDouble.of(levels.get(band));
    }

    /** Why it proves nothing. @param room overall level of the room, dB; empty where it was not recorded */
    public List<Reason> unfit(Optional<BigDecimal> room) {
        return SoundAnalysis.unfit(clipped.doubleValue(), overall.doubleValue(), room.map(BigDecimal::doubleValue));
    }

    /** Whether it was looked at for a speed. */
    public boolean isFor(double other) {
        return rpm.signum() > 0 && other > 0 && Math.abs(Math.log(other / rpm.doubleValue())) <= SAME_SPEED;
    }

    public static SoundFindings from(Payload p) {
        List<ShaftSound> shafts = p.parts("shafts").stream().map(s -> new ShaftSound(s.decimal("times"),
                s.has("knock") ? Optional.of(s.decimals("knock")) : Optional.empty(), s.optionalDecimal("sidebands"))).toList();
        if (shafts.stream().anyMatch(s -> s.knock.filter(k -> k.size() != FIGURES).isPresent())) {
            throw new IllegalArgumentException("payload has a knock without its four figures");
        }
        return new SoundFindings(p.decimal("rpm"), p.flag("read"), p.decimal("overall"), p.decimal("clipped"), shafts,
                p.parts("peaks").stream().map(k -> new DrivePeak(k.decimal("hertz"), k.decimal("level"))).toList(),
                p.text("levels").isEmpty() ? List.of() : Arrays.stream(p.text("levels").split(" ")).map(Integer::valueOf).toList());
    }

    public Map<String, Object> toPayload() {
        return Map.of("rpm", rpm.toPlainString(), "read", read, "overall", overall.toPlainString(), "clipped", clipped.toPlainString(),
                "shafts", shafts.stream().map(SoundFindings::payload).toList(),
                "peaks", peaks.stream().map(p -> Map.<String, Object>of("hertz", p.hertz.toPlainString(), "level",
                        p.level.toPlainString())).toList(),
                "levels", levels.stream().map(String::valueOf).collect(Collectors.joining(" ")));
    }

    private static Map<String, Object> payload(ShaftSound shaft) {
        Map<String, Object> fields = new HashMap<>(Map.of("times", shaft.times.toPlainString()));
        shaft.knock.ifPresent(k -> fields.put("knock", k.stream().map(BigDecimal::toPlainString).toList()));
        shaft.sidebands.ifPresent(s -> fields.put("sidebands", s.toPlainString()));
        return fields;
    }
}
