package tallledger.core.blame;

import java.util.EnumMap;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import tallledger.core.blame.Recorded.Sign;
import tallledger.core.coverage.ElementWorth;
import tallledger.core.coverage.Symptom;
import tallledger.core.drive.StageKind;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;

/**
 * The chances blame reckons with.
 *
 * @param priors     p_e, that an element is faulty before anything is run, by its kind ({@link ElementWorth#prior})
 * @param shows      s, that a faulty element shows on one run
 * @param noise      f of a noise: that it is imagined or comes from outside
 * @param heat       f of hot, rough or a dead spot
 * @param knock      that a recording knocks once a turn of a shaft
 * @param sidebands  that it has sidebands at a shaft's speed beside a mesh
 * @param unmistaken f of what cannot be imagined: no drive, will not engage, jumps out, slips, hunts
 */
record Chances(Map<StageKind, Double> priors, double shows, double noise, double heat, double unmistaken,
        Sign knock, Sign sidebands) {

    static Chances of(Rules rules) {
        Map<StageKind, Double> priors = new EnumMap<>(StageKind.class);
        Stream.of(StageKind.values()).forEach(kind -> priors.put(kind, ElementWorth.prior(kind, rules)));
        return new Chances(priors, rules.value(Rule.SHOWS), rules.value(Rule.IMAGINED_NOISE),
                rules.value(Rule.IMAGINED_HEAT), rules.value(Rule.IMAGINED_FAILURE),
                new Sign(rules.value(Rule.KNOCK_FAULTY), rules.value(Rule.KNOCK_SOUND)),
                new Sign(rules.value(Rule.SIDEBANDS_FAULTY), rules.value(Rule.SIDEBANDS_SOUND)));
    }

    /** Nothing is certain: at nought and one Bayes' rule divides by nought. */
    Chances {
        Map<StageKind, Double> bounded = new EnumMap<>(StageKind.class);
        priors.forEach((kind, p) -> bounded.put(kind, Math.min(MOST, Math.max(LEAST, p))));
        priors = Map.copyOf(bounded);
        shows = Math.min(MOST, Math.max(LEAST, shows));
        noise = Math.min(MOST, Math.max(LEAST, noise));
        heat = Math.min(MOST, Math.max(LEAST, heat));
        unmistaken = Math.min(MOST, Math.max(LEAST, unmistaken));
        knock = new Sign(Math.min(MOST, Math.max(LEAST, knock.faulty())), Math.min(MOST, Math.max(LEAST, knock.sound())));
        sidebands = new Sign(Math.min(MOST, Math.max(LEAST, sidebands.faulty())), Math.min(MOST, Math.max(LEAST, sidebands.sound())));
    }

    private static final double LEAST = 1e-6;
    private static final double MOST = 0.999;

    /** The same with every prior so many times. */
    Chances scaled(double times) {
        Map<StageKind, Double> scaled = new EnumMap<>(StageKind.class);
        priors.forEach((kind, p) -> scaled.put(kind, p * times));
        return new Chances(scaled, shows, noise, heat, unmistaken, knock, sidebands);
    }

    /** p/(1 − p) of an element of a kind. */
    double odds(StageKind kind) {
        return priors.get(kind) / (1 - priors.get(kind));
    }

    /** |ln(L faulty / L none)| of one faulty element on the route, by ear. */
    double earTells(Set<Symptom> symptoms) {
        double f = falseAlarm(symptoms);
        return symptoms.isEmpty() ? -Math.log(1 - shows) : Math.log((1 - (1 - f) * (1 - shows)) / f);
    }

    /** f of what a run that failed showed; of one that only a recording speaks of, that of a noise. */
    double falseAlarm(Trial trial) {
        return trial.symptoms().isEmpty() ? noise : falseAlarm(trial.symptoms());
    }

    /** f of what was heard: the greatest of its symptoms'. */
    private double falseAlarm(Set<Symptom> symptoms) {
        return symptoms.stream().mapToDouble(this::falseAlarm).max().orElse(unmistaken);
    }

    private double falseAlarm(Symptom symptom) {
        return switch (symptom) {
            case KNOCKS_ONCE_A_TURN, GROWLS, WHINES, SQUEALS, RATTLES -> noise;
            case HOT, RUNS_ROUGH, DEAD_SPOT -> heat;
            case WILL_NOT_ENGAGE, JUMPS_OUT, SLIPS, NO_DRIVE, HUNTS -> unmistaken;
        };
    }
}
