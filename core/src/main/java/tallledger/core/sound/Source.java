package tallledger.core.sound;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import tallledger.core.drive.Turning;
import tallledger.core.reason.Reason;

/**
 * Something of the drive that a peak may belong to: a shaft, mesh, motor or supply, so many times its frequency; or a sideband of a mesh,
 * so many turns of one of its shafts beside it (W 3.8).
 *
 * @param of     what comes round
 * @param times  harmonic, from 1
 * @param beside shaft of a sideband; empty otherwise
 * @param turns  how many of its turns beside, −3 to 3 without nought; nought where it is no sideband
 * @param hertz  where it lies
 */
public record Source(Turning of, int times, Optional<Turning> beside, int turns, double hertz) {

    /** Harmonics that are looked for: of shafts, of meshes, of the supply (house). */
    private static final int SHAFT = 10;
    private static final int MESH = 4;
    private static final int SUPPLY = 6;
    private static final int MESH_WITH_SIDES = 2;
    private static final int SIDES = 3;
    /** Closer than so many bins the orders of a slow shaft cover everything and say nothing. */
    static final int FEWEST_BINS = 4;
    /** Of its frequency a peak may be off what it is taken for. */
    private static final double OFF = 0.01;

    /** All that is looked for. @param binHertz width of a bin, Hz */
    static List<Source> all(List<Turning> turning, double binHertz) {
        List<Source> all = new ArrayList<>();
        for (int i = 0; i < turning.size(); i++) {
            Turning t = turning.get(i);
            int most = switch (t.kind()) {
                case SPINDLE, SHAFT_INTO, MOTOR -> t.hertz() >= FEWEST_BINS * binHertz ? SHAFT : 0;
                case MESH -> MESH;
                case SUPPLY_TWICE -> SUPPLY;
            };
            for (int n = 1; n <= most; n++) {
                all.add(new Source(t, n, Optional.empty(), 0, n * t.hertz()));
            }
            if (t.kind() == Turning.Kind.MESH) {
                sides(t, shaftsOf(turning, i), binHertz, all);
            }
        }
        return List.copyOf(all);
    }

    /** The two shafts of a mesh stand before and behind it in the drive's order. */
    static List<Turning> shaftsOf(List<Turning> turning, int mesh) {
        List<Turning> shafts = new ArrayList<>();
        for (int i = mesh - 1; i >= 0 && shafts.isEmpty(); i--) {
            if (isShaft(turning.get(i))) {
                shafts.add(turning.get(i));
            }
        }
        turning.subList(mesh + 1, turning.size()).stream().filter(Source::isShaft).findFirst().ifPresent(shafts::add);
        return shafts;
    }

    static boolean isShaft(Turning t) {
        return t.kind() == Turning.Kind.SPINDLE || t.kind() == Turning.Kind.SHAFT_INTO || t.kind() == Turning.Kind.MOTOR;
    }

    private static void sides(Turning mesh, List<Turning> shafts, double binHertz, List<Source> all) {
        for (Turning shaft : shafts) {
            for (int n = 1; n <= MESH_WITH_SIDES && shaft.hertz() >= FEWEST_BINS * binHertz; n++) {
                for (int k = -SIDES; k <= SIDES; k++) {
                    double at = n * mesh.hertz() + k * shaft.hertz();
                    if (k != 0 && at > 0) {
                        all.add(new Source(mesh, n, Optional.of(shaft), k, at));
                    }
                }
            }
        }
    }

    /** Of a shaft, mesh, motor or supply. */
    static Reason says(Turning what) {
        return Reason.each(SoundReason.TURNS, what.kind(), what.stage(), what.pair());
    }

    /** What it is, in words. */
    public Reason says() {
        return beside.map(shaft -> Reason.of(SoundReason.BESIDE, turns, says(shaft), says(of), times))
                .orElseGet(() -> times == 1 ? says(of) : Reason.of(SoundReason.TIMES, says(of), times));
    }

    /** All that a peak may belong to, within a bin or 1 %, nearest first. */
    static List<Source> near(List<Source> all, double hertz, double binHertz) {
        double within = Math.max(binHertz, OFF * hertz);
        return all.stream().filter(s -> Math.abs(s.hertz - hertz) <= within)
                .sorted(Comparator.comparingDouble((Source s) -> Math.abs(s.hertz - hertz)).thenComparingInt(s -> Math.abs(s.turns))
                        .thenComparingInt(Source::times))
                .toList();
    }
}
