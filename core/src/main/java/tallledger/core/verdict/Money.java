package tallledger.core.verdict;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import tallledger.core.coverage.ElementWorth;
import tallledger.core.coverage.Elements;
import tallledger.core.evidence.Severity;
import tallledger.core.family.Step;
import tallledger.core.plan.LookingWorth;
import tallledger.core.price.Cost;
import tallledger.core.price.Mixture;
import tallledger.core.price.Offer;
import tallledger.core.price.Repair;
import tallledger.core.price.RepairBill;
import tallledger.core.price.Stakes;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.survey.Regrade;
import tallledger.core.survey.Run;
import tallledger.core.survey.StepResult;
import tallledger.core.survey.Survey;
import tallledger.core.survey.TaskResult;

/**
 * What the faults and the untested cost (W 4.2). A repair is paid once, however many findings or untested steps ask for it.
 *
 * <p>Put-right: each open finding asks for the repair a person chose or priced, else for those of its step, its symptom or its system with
 * their shares; the drive asks by its posterior once a run failed ({@link RepairBill}). Unknown: an untested step s is bad with p_s and
 * leads
 * to repair r with share w_sr: Σ_r mean_r·(1 − q_r)·(1 − Π_s (1 − p_s·w_sr)), q_r the chance that put-right pays r already; every p times
 * λ = (4 + k)/(4 + E). What is so by design, a note, or only a plate's misprint is not priced; kit is a line of its own.
 *
 * @param priced   findings with what each costs, worst first
 * @param putRight what they come to
 * @param unknown  what the untested may cost
 * @param kit      what is not there, as somebody priced it, else as the house begins with
 * @param unpricedKit how many owed pieces nobody priced
 * @param untested what was not tested, worth most first
 * @param tells    λ and what it was reckoned from
 * @param known    share of all worth, without λ, that was tested
 */
public record Money(Optional<Stakes> stakes, List<PricedFinding> priced, RepairBill putRight, double unknown, double kit, int unpricedKit,
        List<Untested> untested,
        LookingWorth.Tells tells, double known, Optional<Offer> offer) {

    /**
     * A finding with its cost.
     *
     * @param cost empty where it is not priced by itself, or the table has nothing for it
     * @param by   who says so
     */
    public record PricedFinding(Finding finding, Optional<Mixture> cost, By by) {
    }

    /** Where a cost comes from, or why there is none. */
    public enum By {
        PERSON, TABLE, NOT_IN_TABLE, BY_DESIGN, OUTSIDE, NOTE, PLATE, KIT, SELLER_REPAIRS, DRIVE, CHOSEN
    }

    /**
     * A step or an element of the drive that was not tested.
     *
     * @param step    empty for an element
     * @param element its stage and position; empty for a step
     * @param chance  p with background, λ and cap
     * @param leadsTo repairs it asks for when it is bad
     * @param worth   what looking at it alone takes off the unknown
     * @param seconds it takes; nought for an element, which goes with a run
     */
    public record Untested(Optional<Step> step, String element, double chance, Mixture leadsTo, double worth, int seconds) {

        /** Mean of what it leads to when it is bad; nought where the table has nothing for it. */
        public double cost() {
            return leadsTo.mean();
        }

        /** Worth a minute of looking. */
        public double perMinute() {
            return seconds == 0 ? 0 : worth() * 60 / seconds;
        }
    }

    /**
     * What if, asked and never recorded.
     *
     * @param repaired entries of findings the seller puts right
     * @param good     steps that are looked at and turn out good
     * @param bad      and those that turn out bad
     */
    public record WhatIf(Set<Integer> repaired, Set<String> good, Set<String> bad) {
        public static final WhatIf NOTHING = new WhatIf(Set.of(), Set.of(), Set.of());

        public boolean isNothing() {
            return repaired.isEmpty() && good.isEmpty() && bad.isEmpty();
        }
    }

    public static Money of(Survey survey, WhatIf what) {
        return new Reckoning(survey, what).money();
    }

    /** The steps worth most a minute. */
    public List<Untested> next(int most) {
        return untested.stream().filter(u -> u.step.isPresent() && u.worth() > 0)
                .sorted(Comparator.comparingDouble(Untested::perMinute).reversed()).limit(most).toList();
    }

    /**
     * The same as advice: what can only turn out to cost a trifle of the price comes after all that may cost more (house rule). Nothing is
     * a trifle where no price was said.
     */
    public List<Untested> advised(int most, Rules rules) {
        return next(Integer.MAX_VALUE).stream().sorted(Comparator.comparing(u -> isTrifle(u, rules))).limit(most).toList();
    }

    private boolean isTrifle(Untested untested, Rules rules) {
        return untested.cost() < offer.map(Offer::start).orElse(0.0) * rules.share(Rule.TRIFLE).doubleValue();
    }

    /** What looking at a step is worth now, whether it was looked at or not; empty where the table of checks has nothing for its system. */
    public static Optional<Untested> worth(Survey survey, Step step) {
        LookingWorth worths = LookingWorth.of(survey);
        return worths.dearest(step).filter(c -> c.mean() > 0)
                .map(c -> new Untested(Optional.of(step), "", worths.chance(step), worths.mixture(step), worths.of(step), step.seconds()));
    }

    /**
     * What minutes take off the unknown: the steps worth most a minute alone first, each with what it takes off after those before it.
     *
     * @return minutes and what is left of the unknown, from now on
     */
    public List<double[]> overMinutes() {
        Map<String, Double> spared = new LinkedHashMap<>();
        Map<String, Double> means = new LinkedHashMap<>();
        untested.forEach(u -> u.leadsTo.shares().forEach(s -> {
            spared.merge(s.key(), 1 - u.chance * s.share(), (x, y) -> x * y);
            means.putIfAbsent(s.key(), s.cost().mean() * (1 - putRight.asked().getOrDefault(s.key(), 0.0)));
        }));
        List<double[]> curve = new ArrayList<>(List.of(new double[] {0, unknown}));
        for (Untested u : next(Integer.MAX_VALUE)) {
            double[] last = curve.get(curve.size() - 1);
            u.leadsTo.shares().forEach(s -> spared.compute(s.key(), (k, was) -> was / (1 - u.chance * s.share())));
            double left = spared.entrySet().stream().mapToDouble(r -> means.get(r.getKey()) * (1 - r.getValue())).sum();
            curve.add(new double[] {last[0] + u.seconds / 60.0, Math.max(0, left)});
        }
        return curve;
    }

    /**
     * Something a seller can do for the offer.
     *
     * @param finding put right by the seller; empty where it is a step
     * @param step    looked at and found good; empty where it is a finding
     * @param by      what the offer rises by
     */
    public record Raise(Optional<Finding> finding, Optional<Step> step, double by) {
    }

    /**
     * What would raise the offer most, each by itself: of the dearest findings and of the untested steps worth most. Nothing where there
     * is no offer.
     */
    public List<Raise> raises(Survey survey, int most) {
        if (offer.isEmpty()) {
            return List.of();
        }
        List<Raise> raises = new ArrayList<>();
        priced.stream().filter(p -> (p.cost.isPresent() || p.by == By.DRIVE) && !p.finding.entries().isEmpty())
                .sorted(Comparator.comparingDouble((PricedFinding p) -> p.cost.map(Mixture::mean).orElse(Double.MAX_VALUE)).reversed())
                .limit(most)
                .forEach(p -> raises.add(new Raise(Optional.of(p.finding), Optional.empty(),
                        raised(survey, new WhatIf(Set.of(p.finding.entries().get(0)), Set.of(), Set.of())))));
        untested.stream().filter(u -> u.step.isPresent() && u.worth() > 0)
                .sorted(Comparator.comparing(u -> isTrifle(u, survey.rules()))).limit(most)
                .forEach(u -> raises.add(new Raise(Optional.empty(), u.step,
                        raised(survey, new WhatIf(Set.of(), Set.of(u.step.get().id().written()), Set.of())))));
        return raises.stream().filter(r -> r.by > 0).sorted(Comparator.comparingDouble(Raise::by).reversed()).limit(most).toList();
    }

    private double raised(Survey survey, WhatIf what) {
        return of(survey, what).offer.orElseThrow().offer() - offer.orElseThrow().offer();
    }

    private static final class Reckoning {

        private final Survey survey;
        private final Rules rules;
        private final WhatIf what;
        private final Map<Integer, TaskResult> made;
        private final LookingWorth worths;

        private Reckoning(Survey survey, WhatIf what) {
            this.survey = survey;
            this.rules = survey.rules();
            this.what = what;
            this.made = survey.made().stream().collect(Collectors.toMap(TaskResult::entry, Function.identity(), (a, b) -> a));
            this.worths = LookingWorth.of(survey, what.good, what.bad);
        }

        private Money money() {
            List<PricedFinding> priced = Finding.of(survey).stream().map(this::price).toList();
            List<RepairBill.Asker> askers = new ArrayList<>(priced.stream().flatMap(p -> p.cost.stream()).map(RepairBill.Asker::of)
                    .toList());
            what.bad.forEach(id -> survey.steps().step(id).map(worths::mixture).filter(m -> !m.isEmpty()).map(RepairBill.Asker::of)
                    .ifPresent(askers::add));
            if (priced.stream().anyMatch(p -> p.by == By.DRIVE)) {
                worths.drive().ifPresent(askers::add);
            }
            RepairBill putRight = RepairBill.of(askers);
            Reckoned reckoned = untested(putRight);
            double kit = worths.kit();
            double[] shares = {rules.share(Rule.SHARE_OPENING).doubleValue(), rules.share(Rule.SHARE_OFFER).doubleValue(),
                    rules.share(Rule.SHARE_CEILING).doubleValue()};
            Optional<Offer> offer = survey.stakes().flatMap(s -> s.start().map(start -> Offer.of(start.value().doubleValue(),
                    s.asking().map(a -> a.value().doubleValue()).orElse(Double.MAX_VALUE), worths.scrap(), putRight,
                    kit, reckoned.unknown, shares)));
            return new Money(survey.stakes(), priced, putRight, reckoned.unknown, kit, worths.unpricedKit(),
                    reckoned.untested, worths.tells(), known(), offer);
        }

        private PricedFinding price(Finding f) {
            if (f.entries().stream().anyMatch(what.repaired::contains)) {
                return new PricedFinding(f, Optional.empty(), By.SELLER_REPAIRS);
            }
            if (f.whose() != Regrade.Whose.FAULT) {
                return new PricedFinding(f, Optional.empty(), f.whose() == Regrade.Whose.BY_DESIGN ? By.BY_DESIGN : By.OUTSIDE);
            }
            Optional<TaskResult> rests = f.entries().stream().map(made::get).filter(Objects::nonNull).findFirst();
            Optional<Mixture> chosen = f.judged().flatMap(j -> j.what().repair())
                    .flatMap(r -> rests.flatMap(m -> m instanceof StepResult s ? worths.chosen(s.step(), r) : Optional.empty()));
            if (chosen.isPresent()) {
                return new PricedFinding(f, chosen, By.CHOSEN);
            }
            Optional<Mixture> own = f.judged().map(j -> j.what().cost()).filter(c -> c.size() == 3)
                    .map(c -> Mixture.of("finding " + f.entries(), "", Cost.of(c.get(0), c.get(1), c.get(2)).upTo(worths.rates().most())));
            if (own.isPresent()) {
                return new PricedFinding(f, own, By.PERSON);
            }
            if (f.explained().isPresent()) {
                return new PricedFinding(f, Optional.empty(), By.PLATE);
            }
            if (f.severity() == Severity.NOTE) {
                return new PricedFinding(f, Optional.empty(), By.NOTE);
            }
            if (rests.isEmpty()) {
                return survey.drive().checks().values().stream().filter(c -> f.entries().contains(c.entry())).findFirst()
                        .map(c -> table(f, List.of("check-" + c.check().name(), "spindle controls")))
                        .orElseGet(() -> new PricedFinding(f, Optional.empty(), By.KIT));
            }
            if (rests.get() instanceof StepResult r) {
                Mixture m = worths.mixture(r);
                return new PricedFinding(f, Optional.of(m).filter(x -> !x.isEmpty()), m.isEmpty() ? By.NOT_IN_TABLE : By.TABLE);
            }
            // What was heard or felt is the drive's, by its posterior; a speed alone that is off is a matter of its setting.
            boolean heard = !((Run) rests.get()).record().symptoms().isEmpty();
            return heard ? new PricedFinding(f, Optional.empty(), By.DRIVE) : table(f, List.of(Repair.SPEED_OFF));
        }

        private PricedFinding table(Finding f, List<String> abouts) {
            List<Repair> rows = abouts.stream().map(worths::rows).filter(r -> !r.isEmpty()).findFirst().orElse(List.of());
            Mixture m = worths.mixture(rows, "");
            return new PricedFinding(f, Optional.of(m).filter(x -> !x.isEmpty()), m.isEmpty() ? By.NOT_IN_TABLE : By.TABLE);
        }

        private boolean isLooked(Step step) {
            return what.good.contains(step.id().written()) || what.bad.contains(step.id().written());
        }

        /** What was not tested, worth most first, and what it may cost together. */
        private record Reckoned(List<Untested> untested, double unknown) {
        }

        private Reckoned untested(RepairBill putRight) {
            List<Untested> untested = new ArrayList<>();
            Map<String, Double> spared = new LinkedHashMap<>();
            Map<String, Double> means = new LinkedHashMap<>();
            for (Step step : survey.steps().inScope()) {
                StepResult latest = survey.steps().latest().get(step.id());
                // What the seller puts right is to be tested again; λ stays, it was found bad.
                boolean again = latest != null && what.repaired.contains(latest.entry());
                if ((latest == null || again) && !isLooked(step) && !survey.steps().isSpared(step)) {
                    Mixture m = worths.mixture(step);
                    untested.add(new Untested(Optional.of(step), "", worths.chance(step), m, ask(m, worths.chance(step), putRight,
                            spared, means), step.seconds()));
                }
            }
            if (!worths.driveFailed()) {
                Elements elements = Elements.of(survey.machine().train());
                for (Elements.Element e : elements.in(elements.reachable())) {
                    Mixture m = worths.mixture(e);
                    double p = worths.chance(e);
                    untested.add(new Untested(Optional.empty(), e.stageName() + " " + e.label(), p, m, ask(m, p, putRight, spared,
                            means), 0));
                }
            }
            untested.sort(Comparator.comparingDouble(Untested::worth).reversed());
            double unknown = spared.entrySet().stream().mapToDouble(r -> means.get(r.getKey())
                    * (1 - putRight.asked().getOrDefault(r.getKey(), 0.0)) * (1 - r.getValue())).sum();
            return new Reckoned(untested, unknown);
        }

        /**
         * Adds one that may ask for its repairs.
         *
         * @param spared by repair the chance that none asks for it
         * @return what looking at this one alone takes off the unknown
         */
        private static double ask(Mixture m, double p, RepairBill putRight, Map<String, Double> spared, Map<String, Double> means) {
            double worth = 0;
            for (Mixture.Share s : m.shares()) {
                spared.merge(s.key(), 1 - p * s.share(), (a, b) -> a * b);
                means.putIfAbsent(s.key(), s.cost().mean());
                worth += p * s.share() * s.cost().mean() * (1 - putRight.asked().getOrDefault(s.key(), 0.0));
            }
            return worth;
        }

        /** Share of all p·c, as they were before anything was tested, that stands on a test. */
        private double known() {
            double all = 0;
            double tested = 0;
            for (Step step : survey.steps().inScope()) {
                double worth = worths.before(step) * worths.mixture(step).mean();
                all += worth;
                tested += survey.steps().latest().containsKey(step.id()) || survey.steps().isSpared(step) ? worth : 0;
            }
            Elements elements = Elements.of(survey.machine().train());
            long known = survey.drive().coverage().exercised() | survey.drive().coverage().failedOn();
            for (Elements.Element e : elements.in(elements.reachable())) {
                double worth = rules.figures(ElementWorth.rule(survey.machine().train().stages().get(e.stage()).kind())).get(0)
                        .doubleValue()
                        * worths.cost(e);
                all += worth;
                tested += elements.in(known).contains(e) ? worth : 0;
            }
            return all == 0 ? 1 : tested / all;
        }
    }
}
