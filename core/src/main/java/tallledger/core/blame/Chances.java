package tallledger.core.blame;

import java.util.Set;
import tallledger.core.coverage.Symptom;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;

/**
 * The chances blame reckons with.
 *
 * @param prior      p_e, that an element is faulty before anything is run
 * @param shows      s, that a faulty element shows on one run
 * @param noise      f of a noise: that it is imagined or comes from outside
 * @param heat       f of hot, rough or a dead spot
 * @param unmistaken f of what cannot be imagined: no drive, will not engage, jumps out, slips, hunts
 */
record Chances(double prior, double shows, double noise, double heat, double unmistaken) {

    static Chances of(Rules rules) {
        return new Chances(rules.value(Rule.FAULTY), rules.value(Rule.SHOWS), rules.value(Rule.IMAGINED_NOISE),
                rules.value(Rule.IMAGINED_HEAT), rules.value(Rule.IMAGINED_FAILURE));
    }

    /** Nothing is certain: at nought and one Bayes' rule divides by nought. */
    Chances {
        prior = Math.min(MOST, Math.max(LEAST, prior));
        shows = Math.min(MOST, Math.max(LEAST, shows));
        noise = Math.min(MOST, Math.max(LEAST, noise));
        heat = Math.min(MOST, Math.max(LEAST, heat));
        unmistaken = Math.min(MOST, Math.max(LEAST, unmistaken));
    }

    private static final double LEAST = 1e-6;
    private static final double MOST = 0.999;

    /** The same with every prior so many times. */
    Chances scaled(double times) {
        return new Chances(prior * times, shows, noise, heat, unmistaken);
    }

    /** f of what was heard: the greatest of its symptoms'. */
    double falseAlarm(Set<Symptom> symptoms) {
        return symptoms.stream().mapToDouble(this::falseAlarm).max().orElse(unmistaken);
    }

    private double falseAlarm(Symptom symptom) {
        return switch (symptom) {
            case KNOCKS_ONCE_A_TURN, GROWLS, WHINES, SQUEALS -> noise;
            case HOT, RUNS_ROUGH, DEAD_SPOT -> heat;
            case WILL_NOT_ENGAGE, JUMPS_OUT, SLIPS, NO_DRIVE, HUNTS -> unmistaken;
        };
    }
}
