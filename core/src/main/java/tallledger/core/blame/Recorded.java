package tallledger.core.blame;

import java.util.List;
import java.util.Optional;

/**
 * What a sound recording of one run tells of the shafts of its route (W 3.8).
 *
 * @param shafts those of which it tells anything
 */
public record Recorded(List<OfShaft> shafts) {

    public Recorded {
        shafts = shafts.stream().filter(s -> s.knock.isPresent() || s.sidebands.isPresent()).toList();
    }

    /**
     * One shaft.
     *
     * @param elements  on it, as bits
     * @param knock     whether it knocks once a turn of it; empty where that cannot be told
     * @param sidebands whether they stand at its speed beside a mesh of it; empty where that cannot be told
     */
    public record OfShaft(long elements, Optional<Boolean> knock, Optional<Boolean> sidebands) {

        boolean hearsAnything() {
            return knock.orElse(false) || sidebands.orElse(false);
        }

        double likelihood(boolean faulty, Chances chances) {
            return knock.map(heard -> chances.knock().of(heard, faulty)).orElse(1.0)
                    * sidebands.map(heard -> chances.sidebands().of(heard, faulty)).orElse(1.0);
        }
    }

    /** Chances that a sign of a fault is there. @param faulty where there is a fault @param sound where there is none */
    record Sign(double faulty, double sound) {

        double of(boolean heard, boolean isFaulty) {
            double there = isFaulty ? faulty : sound;
            return heard ? there : 1 - there;
        }
    }

    boolean tells() {
        return !shafts.isEmpty();
    }

    boolean hearsAnything() {
        return shafts.stream().anyMatch(OfShaft::hearsAnything);
    }

    /** L under a set of faulty elements. */
    double likelihood(long set, Chances chances) {
        double all = 1;
        for (OfShaft shaft : shafts) {
            all *= shaft.likelihood((set & shaft.elements) != 0, chances);
        }
        return all;
    }

    /** The greatest |ln(L faulty / L none)| of any one element of a route. @param mask elements of the route */
    double weight(long mask, Chances chances) {
        double most = 0;
        double none = likelihood(0, chances);
        for (long rest = mask; rest != 0; rest &= rest - 1) {
            most = Math.max(most, Math.abs(Math.log(likelihood(Long.lowestOneBit(rest), chances) / none)));
        }
        return most;
    }
}
