package tallledger.core.sound;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import tallledger.core.drive.BeltTurn;
import tallledger.core.drive.Turning;
import tallledger.core.drive.UnknownMesh;
import tallledger.core.reason.Reason;
import tallledger.core.sound.Spectrum.Peak;

/**
 * What one recording comes to (W 3.8).
 *
 * @param seconds  how long it is
 * @param spectrum of it
 * @param pieces   how it goes while it lasts
 * @param peaks    what stands out, with what each may belong to, by frequency
 * @param shafts   those that could be looked at, whether something strikes once a turn of them or not
 * @param comb     speed of the spindle as it sounds; empty where too little stands out
 * @param crest    greatest over root mean square
 * @param overall  level of all of it, dB over a full-scale sine
 * @param clipped  share of its samples at the stops
 * @param sounds   what it is like
 * @param unfit    why it proves nothing; empty where it does
 * @param doubts   what else to know of it
 */
public record SoundAnalysis(double seconds, Spectrum spectrum, ShortTime pieces, List<NamedPeak> peaks, List<Knock> shafts,
        Optional<CombSpeed> comb,
        double crest, double overall, double clipped, SoundsLike sounds, List<Reason> unfit, List<Reason> doubts) {

    /** Over a thousandth of the samples at the stops, what it sounds like is the microphone's (W 3.8). */
    private static final double MOST_CLIPPED = 0.001;
    /** Quieter than this the microphone's own noise is heard, dB (house). */
    private static final double QUIETEST = -66;
    private static final double OVER_ROOM = 6;
    private static final double HALF = 0.5;
    private static final double RATTLES = 8;
    private static final int SUPPLY_HARMONICS = 6;
    private static final double SLIP = 0.05;
    private static final double SIDEBANDS_OVER = -10;
    private static final int LOWEST_OCTAVE = 32;
    private static final double A_MINUTE = 60;

    /** A peak with what of the drive it may belong to, nearest first; nothing where nobody knows. */
    public record NamedPeak(Peak peak, List<Source> sources) {
    }

    /** What a recording is like on the whole. */
    public enum SoundsLike {
        /** Something strikes once a turn. */
        KNOCK,
        /** More than half of its power stands in peaks. */
        TONES,
        /** Struck again and again with no order in it. */
        RATTLE,
        /** None of these. */
        RUSH
    }

    /**
     * @param turning what comes round in the drive at its speed; empty where the machine is off
     * @param plate   speeds of the plate, min⁻¹
     * @param within  share that a speed may be off the plate's
     * @param room    recording of the room with the machine off; empty where there is none
     */
    public static SoundAnalysis of(WavFile wav, List<Turning> turning, List<Double> plate, double within, Optional<SoundAnalysis> room) {
        Decimated decimated = Decimated.of(wav);
        Spectrum spectrum = Spectrum.of(decimated);
        List<Source> all = Source.all(turning, spectrum.binHertz());
        List<NamedPeak> peaks = spectrum.peaks().stream()
                .map(p -> new NamedPeak(p, Source.near(all, p.hertz(), spectrum.binHertz()))).toList();
        List<Knock> shafts = Knock.of(wav, decimated, spectrum, turning);
        double most = 0;
        double energy = 0;
        for (float x : wav.samples()) {
            most = Math.max(most, Math.abs(x));
            energy += (double) x * x;
        }
        double rms = Math.sqrt(energy / wav.samples().length);
        double crest = rms == 0 ? 0 : most / rms;
        // A full-scale sine has a root mean square of 1/√2.
        double overall = Spectrum.decibels(2 * rms * rms);
        List<Peak> turned =
                peaks.stream().filter(p -> !isSupply(p, turning, spectrum.binHertz()) && !isMotor(p, turning, spectrum.binHertz()))
                        .map(NamedPeak::peak).toList();
        boolean knocks = shafts.stream().anyMatch(Knock::isHeard);
        return new SoundAnalysis(wav.seconds(), spectrum, ShortTime.of(decimated), peaks, shafts,
                CombSpeed.of(turned, plate, within, spectrum.binHertz()), crest,
                overall, wav.stops(), like(knocks, peaks, overall, crest), unfit(wav.stops(), overall, room.map(SoundAnalysis::overall)),
                wav.doubts());
    }

    private static boolean isSupply(NamedPeak peak, List<Turning> turning, double binHertz) {
        return turning.stream().filter(t -> t.kind() == Turning.Kind.SUPPLY_TWICE).anyMatch(t -> {
            double times = Math.rint(peak.peak.hertz() / (t.hertz() / 2));
            return times >= 1 && times <= 2 * SUPPLY_HARMONICS && Math.abs(peak.peak.hertz() - times * t.hertz() / 2) <= binHertz;
        });
    }

    /** A motor turns up to a twentieth faster or slower than its plate says; its orders are none of the spindle's. */
    private static boolean isMotor(NamedPeak peak, List<Turning> turning, double binHertz) {
        return turning.stream().filter(t -> t.kind() == Turning.Kind.MOTOR)
                .anyMatch(t -> Math.abs(peak.peak.hertz() - t.hertz()) <= Math.max(binHertz, SLIP * t.hertz()));
    }

    private static SoundsLike like(boolean knocks, List<NamedPeak> peaks, double overall, double crest) {
        double inPeaks = peaks.stream().mapToDouble(p -> Math.pow(10, p.peak.level() / 10)).sum();
        if (knocks) {
            return SoundsLike.KNOCK;
        }
        if (inPeaks > HALF * Math.pow(10, overall / 10)) {
            return SoundsLike.TONES;
        }
        return crest >= RATTLES ? SoundsLike.RATTLE : SoundsLike.RUSH;
    }

    /** Shafts that something strikes once a turn of. */
    public List<Knock> knocks() {
        return shafts.stream().filter(Knock::isHeard).toList();
    }

    /** Why a recording proves nothing. @param room overall level of the room's own, dB; empty where it was not recorded */
    static List<Reason> unfit(double clipped, double overall, Optional<Double> room) {
        List<Reason> unfit = new ArrayList<>();
        if (overall <= Spectrum.NOTHING) {
            unfit.add(Reason.of(SoundReason.SILENT));
            return List.copyOf(unfit);
        }
        if (clipped > MOST_CLIPPED) {
            unfit.add(Reason.of(SoundReason.CLIPPED, tenths(100 * clipped), tenths(100 * MOST_CLIPPED)));
        }
        if (overall < QUIETEST) {
            unfit.add(Reason.of(SoundReason.QUIET, tenths(overall)));
        }
        room.filter(r -> overall - r < OVER_ROOM)
                .ifPresent(r -> unfit.add(Reason.of(SoundReason.OVER_ROOM, tenths(overall - r), tenths(OVER_ROOM))));
        return List.copyOf(unfit);
    }

    /** What it is like, what knocks, and how fast it sounds to turn beside what was read. @param read rpm and U; empty where nobody did */
    public List<Reason> says(Optional<MeasuredSpeed> read) {
        List<Reason> says = new ArrayList<>(List.of(Reason.each(SoundReason.LIKE, sounds, tenths(crest), tenths(overall))));
        knocks().forEach(k -> says.add(Reason.of(SoundReason.KNOCKS, Source.says(k.shaft()), tenths(k.shaft().hertz()),
                hundredths(k.all().likeness()), hundredths(Knock.LEAST))));
        if (knocks().isEmpty()) {
            says.add(Reason.of(SoundReason.KNOCKS_NOT));
        }
        comb.ifPresentOrElse(c -> {
            says.add(Reason.of(SoundReason.SPEED_HEARD, tenths(c.rpm()), tenths(2 * c.u()), c.orders().size()));
            read.ifPresent(r -> says.add(Reason.of(Math.abs(c.rpm() - r.rpm) <= Math.hypot(2 * c.u(), r.expanded)
                    ? SoundReason.SPEED_AGREES
                    : SoundReason.SPEED_DISAGREES, tenths(c.rpm()), tenths(r.rpm), tenths(r.expanded))));
        }, () -> says.add(Reason.of(SoundReason.SPEED_NOT)));
        return List.copyOf(says);
    }

    /** Which mesh of unknown teeth a peak is likely to be: a sideband at the turn of the shaft it drives stands on either side. */
    public Optional<Reason> mesh(Peak peak, List<UnknownMesh> meshes, double rpm) {
        return meshes.stream().filter(m -> m.isBetween(peak.hertz(), rpm)).filter(m -> {
            double turn = m.shaft() * rpm / A_MINUTE;
            OptionalDouble beside = turn >= Source.FEWEST_BINS * spectrum.binHertz() ? spectrum.beside(peak.hertz(), turn)
                    : OptionalDouble.empty();
            return beside.isPresent() && beside.getAsDouble() >= SIDEBANDS_OVER;
        }).findFirst().map(m -> Reason.of(SoundReason.MESH_LIKELY, m.stage()));
    }

    /** Where a mesh of unknown teeth lies. */
    public static Reason between(UnknownMesh mesh, double rpm) {
        return Reason.of(SoundReason.MESH_BETWEEN, mesh.stage(), tenths(mesh.lowest()), tenths(mesh.highest()),
                tenths(mesh.lowest() * rpm / A_MINUTE), tenths(mesh.highest() * rpm / A_MINUTE));
    }

    /** How often a belt comes round at most. */
    public static Reason belt(BeltTurn belt, double rpm) {
        return Reason.of(SoundReason.BELT, belt.stage(), tenths(belt.most() * rpm / A_MINUTE));
    }

    /** Level of each octave band that the recording reaches, by the middle of the band, Hz: dB over a full-scale sine. */
    public Map<Integer, BigDecimal> bands() {
        Map<Integer, BigDecimal> bands = new LinkedHashMap<>();
        double highest = spectrum.binHertz() * (spectrum.levels().length - 1);
        for (int middle = LOWEST_OCTAVE; middle * Math.sqrt(2) <= highest; middle *= 2) {
            bands.put(middle, tenths(spectrum.band(middle / Math.sqrt(2), middle * Math.sqrt(2))));
        }
        return Collections.unmodifiableMap(bands);
    }

    /** A speed as it was read, min⁻¹, with U (k = 2). */
    public record MeasuredSpeed(double rpm, double expanded) {
    }

    private static BigDecimal hundredths(double value) {
        return BigDecimal.valueOf(value).setScale(2, RoundingMode.HALF_UP);
    }

    private static BigDecimal tenths(double value) {
        return BigDecimal.valueOf(value).setScale(1, RoundingMode.HALF_UP);
    }
}
