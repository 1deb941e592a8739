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

        /** By the sign that tells more: a fault that growls need not knock. */
        double likelihood(boolean faulty, Chances chances) {
            double byKnock = knock.map(heard -> chances.knock().weight(heard)).orElse(0.0);
            double bySidebands = sidebands.map(heard -> chances.sidebands().weight(heard)).orElse(0.0);
            if (byKnock == 0 && bySidebands == 0) {
                return 1;
            }
            return byKnock >= bySidebands ? chances.knock().of(knock.orElseThrow(), faulty)
                    : chances.sidebands().of(sidebands.orElseThrow(), faulty);
        }
    }

    /** Chances that a sign of a fault is there. @param faulty where there is a fault @param sound where there is none */
    record Sign(double faulty, double sound) {

        double of(boolean heard, boolean isFaulty) {
            double there = isFaulty ? faulty : sound;
            return heard ? there : 1 - there;
        }

        /** |ln(L faulty / L none)|. */
        double weight(boolean heard) {
            return Math.abs(Math.log(of(heard, true) / of(heard, false)));
        }
    }

    boolean tells() {
        return !shafts.isEmpty();
    }

    boolean hearsAnything() {
        return shafts.stream().anyMatch(OfShaft::hearsAnything);
    }

    /** Whether a sign of a fault could be told on a shaft of each of some elements. */
    boolean couldHear(boolean knock, long elements) {
        long covered = 0;
        for (OfShaft shaft : shafts) {
            covered |= (knock ? shaft.knock : shaft.sidebands).isPresent() ? shaft.elements : 0;
        }
        return (elements & ~covered) == 0;
    }

    /** L under a set of faulty elements: a fault is on one of the shafts its part is on, each as likely. */
    double likelihood(long set, Chances chances) {
        return likelihood(set, 0, chances);
    }

    private double likelihood(long set, int bad, Chances chances) {
        if (set == 0) {
            double all = 1;
            for (int i = 0; i < shafts.size(); i++) {
                all *= shafts.get(i).likelihood((bad >> i & 1) == 1, chances);
            }
            return all;
        }
        long element = Long.lowestOneBit(set);
        double sum = 0;
        int its = 0;
        for (int i = 0; i < shafts.size(); i++) {
            if ((shafts.get(i).elements & element) != 0) {
                sum += likelihood(set & ~element, bad | 1 << i, chances);
                its++;
            }
        }
        return its == 0 ? likelihood(set & ~element, bad, chances) : sum / its;
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
