package tallledger.practice;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.random.RandomGenerator;
import tallledger.core.blame.Blame;
import tallledger.core.coverage.Elements;
import tallledger.core.coverage.HouseTimes;
import tallledger.core.coverage.School;
import tallledger.core.coverage.Symptom;
import tallledger.core.drive.Route;
import tallledger.core.gauge.Grade;
import tallledger.core.house.House;
import tallledger.core.ledger.Authorship;
import tallledger.core.ledger.Draft;
import tallledger.core.ledger.Entry;
import tallledger.core.machine.MachineDescription;
import tallledger.core.plan.SurveyPlan;
import tallledger.core.reading.Method;
import tallledger.core.reading.SpeedReading;
import tallledger.core.rules.Rule;
import tallledger.core.survey.Basis;
import tallledger.core.survey.RunRecord;
import tallledger.core.survey.Scope;
import tallledger.core.survey.SpindleSurvey;
import tallledger.core.survey.Survey;
import tallledger.core.survey.SurveyEntries;
import tallledger.core.unit.LengthUnit;

/**
 * Hunts a hidden fault as the application does: its own plan, its own next run, its own end of the hunt; the cold
 * spindle is obeyed because the plan obeys it, and moves are counted.
 *
 * @param blamed  what stood out at the end; empty where nothing did
 * @param hunt    how the hunt ended; empty where nothing was ever heard
 * @param runs    runs it took
 * @param seconds runs and moves, by the house's times
 */
public record HiddenFaultTrials(Optional<Elements.Element> blamed, Optional<Blame.Hunt> hunt, int runs, double seconds) {

    private static final Instant MORNING = Instant.parse("2026-05-09T08:00:00Z");
    private static final String SURVEYOR = "trial";
    /** A survey that plans more runs than this is a fault of ours. */
    private static final int ENDLESS = 200;

    /** What the trials are made with; their figures are compared from one release to the next. */
    private static final House HOUSE = House.shipped(List.of());

    /** @param fault the faulty element; empty for a sound box. It shows, and noises are imagined, with the house's own chances */
    public static HiddenFaultTrials hunt(MachineDescription machine, School school, Optional<Elements.Element> fault,
            RandomGenerator random) {
        return hunt(machine, school, fault, random, Optional.empty());
    }

    /** @param recorder records every run as well; empty where only the ear judges */
    public static HiddenFaultTrials hunt(MachineDescription machine, School school, Optional<Elements.Element> fault,
            RandomGenerator random, Optional<TrialRecorder> recorder) {
        List<Entry> entries = new ArrayList<>();
        add(entries, SurveyEntries.opened(Authorship.of(MORNING, SURVEYOR), 1, "", HOUSE, "buyer", Scope.SPINDLE_DRIVE, Grade.WORKABLE));
        add(entries, SurveyEntries.planChosen(Authorship.of(MORNING, SURVEYOR), school, ""));
        double seconds = 0;
        Survey whole = Survey.fold(machine, HOUSE, entries);
        for (int runs = 0; runs < ENDLESS; runs++) {
            whole = whole.grown(entries);
            SpindleSurvey survey = whole.drive();
            SurveyPlan plan = SurveyPlan.of(whole, MORNING);
            Optional<Blame.Hunt> hunt = plan.blame().map(Blame::hunt);
            boolean over = hunt.filter(h -> h != Blame.Hunt.GOES_ON).isPresent();
            if (over || plan.next().isEmpty()) {
                return new HiddenFaultTrials(plan.blame().filter(Blame::isClear).map(b -> b.suspects().get(0).element()), hunt, runs,
                        seconds);
            }
            Route route = plan.next().get();
            seconds += seconds(survey, route);
            add(entries, SurveyEntries.run(Authorship.of(MORNING, SURVEYOR), Basis.of(LengthUnit.MM, 1, HOUSE.version()), survey,
                    record(survey, route, heard(route, fault, random))));
            if (recorder.isPresent()) {
                whole = whole.grown(entries);
                add(entries, recorder.get().recorded(whole, route, fault, random, Authorship.of(MORNING, SURVEYOR)));
            }
        }
        throw new IllegalStateException("a hunt without an end in " + machine.identity().name());
    }

    private static void add(List<Entry> entries, Draft draft) {
        entries.add(Entry.following(entries.isEmpty() ? Optional.empty() : Optional.of(entries.get(entries.size() - 1)), draft));
    }

    private static double seconds(SpindleSurvey survey, Route route) {
        double moving = survey.standing().map(s -> HouseTimes.of(survey.rules()).move(survey.machine().train(), s, route)).orElse(0.0);
        OptionalDouble rpm = survey.table().nominal(route).map(n -> OptionalDouble.of(n.doubleValue())).orElse(OptionalDouble.empty());
        return moving + HouseTimes.of(survey.rules()).run(rpm.orElse(Double.MAX_VALUE), survey.machine().train().isSweep(route));
    }

    private static RunRecord record(SpindleSurvey survey, Route route, Set<Symptom> heard) {
        Optional<SpeedReading> reading = survey.table().nominal(route)
                .map(n -> n.setScale(n.compareTo(BigDecimal.valueOf(1000)) < 0 ? 1 : 0, RoundingMode.HALF_UP))
                .map(n -> SpeedReading.shown(Method.CONTACT_TACHOMETER, n.toPlainString(), ""));
        return new RunRecord(survey.machine().train().settings(route), reading, heard, Optional.empty(), false, false, false, "");
    }

    private static Set<Symptom> heard(Route route, Optional<Elements.Element> fault, RandomGenerator random) {
        boolean on = fault.filter(f -> route.at(f.stage()) == f.position()).isPresent();
        boolean shows = on && random.nextDouble() < HOUSE.rules().value(Rule.SHOWS) || random.nextDouble() < HOUSE.rules()
                .value(Rule.IMAGINED_NOISE);
        return shows ? EnumSet.of(Symptom.GROWLS) : Set.of();
    }
}
