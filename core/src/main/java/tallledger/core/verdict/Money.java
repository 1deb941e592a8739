package tallledger.core.verdict;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import tallledger.core.coverage.ElementWorth;
import tallledger.core.coverage.Elements;
import tallledger.core.evidence.Severity;
import tallledger.core.family.Step;
import tallledger.core.price.Cost;
import tallledger.core.price.CostSum;
import tallledger.core.price.Offer;
import tallledger.core.price.Stakes;
import tallledger.core.reading.TypedNumber;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.survey.Made;
import tallledger.core.survey.Regrade;
import tallledger.core.survey.Run;
import tallledger.core.survey.StepResult;
import tallledger.core.survey.Survey;
import tallledger.core.survey.Worths;

/**
 * What the faults and the untested cost (W 4.2). Put-right: open findings at their cost, a person's own before the table of checks.
 * Unknown: Σ p·c over what was not tested, every p times λ = (4 + k)/(4 + E), k bad among the steps tested and E what the chances had let
 * expect; p capped at 0.9. What is so by design, a note, or only a plate's misprint is not priced; kit is a line of its own.
 *
 * @param priced   findings with what each costs, worst first
 * @param putRight their sum
 * @param kit      what is owed and priced
 * @param unpricedKit how many owed pieces nobody priced
 * @param untested what was not tested, worth most first
 * @param tells    λ and what it was reckoned from
 * @param known    share of all worth, without λ, that was tested
 */
public record Money(Optional<Stakes> stakes, List<Priced> priced, CostSum putRight, double kit, int unpricedKit, List<Untested> untested,
        Worths.Tells tells, double known, Optional<Offer> offer) {

    /**
     * A finding with its cost.
     *
     * @param cost empty where it is not priced, or the table has nothing for it
     * @param by   who says so
     */
    public record Priced(Finding finding, Optional<Cost> cost, By by) {
    }

    /** Where a cost comes from, or why there is none. */
    public enum By { PERSON, TABLE, NOT_IN_TABLE, BY_DESIGN, OUTSIDE, NOTE, PLATE, KIT, SELLER_REPAIRS }

    /**
     * A step or an element of the drive that was not tested.
     *
     * @param step    empty for an element
     * @param element its stage and position; empty for a step
     * @param chance  p with background, λ and cap
     * @param cost    c; nought where the table has nothing for its system
     * @param seconds it takes; nought for an element, which goes with a run
     */
    public record Untested(Optional<Step> step, String element, double chance, double cost, int seconds) {

        public double worth() {
            return chance * cost;
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

    public double unknown() {
        return untested.stream().mapToDouble(Untested::worth).sum();
    }

    /** The steps worth most a minute. */
    public List<Untested> next(int most) {
        return untested.stream().filter(u -> u.step.isPresent() && u.worth() > 0)
                .sorted(Comparator.comparingDouble(Untested::perMinute).reversed()).limit(most).toList();
    }

    /** What looking at a step is worth now, whether it was looked at or not; empty where the table of checks has nothing for its system. */
    public static Optional<Untested> worth(Survey survey, Step step) {
        Worths worths = Worths.of(survey);
        return worths.dearest(step).filter(c -> c.mean() > 0)
                .map(c -> new Untested(Optional.of(step), "", worths.chance(step), c.mean(), step.seconds()));
    }

    /**
     * What minutes take off the unknown: the steps worth most a minute first. Between its corners there may be a better choice by less
     * than one step's worth; at each corner there is none.
     *
     * @return minutes and what is left of the unknown, from now on
     */
    public List<double[]> overMinutes() {
        List<double[]> curve = new ArrayList<>(List.of(new double[] {0, unknown()}));
        for (Untested u : next(Integer.MAX_VALUE)) {
            double[] last = curve.get(curve.size() - 1);
            curve.add(new double[] {last[0] + u.seconds / 60.0, last[1] - u.worth()});
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
        priced.stream().filter(p -> p.cost.isPresent() && !p.finding.entries().isEmpty())
                .sorted(Comparator.comparingDouble((Priced p) -> p.cost.get().mean()).reversed()).limit(most)
                .forEach(p -> raises.add(new Raise(Optional.of(p.finding), Optional.empty(),
                        raised(survey, new WhatIf(Set.of(p.finding.entries().get(0)), Set.of(), Set.of())))));
        untested.stream().filter(u -> u.step.isPresent() && u.worth() > 0).limit(most)
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
        private final Map<Integer, Made> made;
        private final Worths worths;

        private Reckoning(Survey survey, WhatIf what) {
            this.survey = survey;
            this.rules = survey.rules();
            this.what = what;
            this.made = survey.made().stream().collect(Collectors.toMap(Made::entry, Function.identity(), (a, b) -> a));
            this.worths = Worths.of(survey, what.good, what.bad);
        }

        private Money money() {
            List<Priced> priced = priced();
            List<Cost> open = new ArrayList<>(priced.stream().flatMap(p -> p.cost.stream()).toList());
            what.bad.forEach(id -> survey.steps().step(id).flatMap(worths::dearest).ifPresent(open::add));
            CostSum putRight = CostSum.of(open);
            List<Untested> untested = untested();
            var kit = survey.steps().kit().sum();
            double unknown = untested.stream().mapToDouble(Untested::worth).sum();
            double[] shares = {rules.share(Rule.SHARE_OPENING).doubleValue(), rules.share(Rule.SHARE_OFFER).doubleValue(),
                    rules.share(Rule.SHARE_CEILING).doubleValue()};
            Optional<Offer> offer = survey.stakes().flatMap(Stakes::start).map(TypedNumber::value)
                    .map(start -> Offer.of(start.doubleValue(), putRight, kit.toReplace().doubleValue(), unknown, shares));
            return new Money(survey.stakes(), priced, putRight, kit.toReplace().doubleValue(), kit.unpriced(), untested, worths.tells(),
                    known(), offer);
        }

        private List<Priced> priced() {
            return Finding.of(survey).stream().map(this::price).toList();
        }

        private Priced price(Finding f) {
            if (f.entries().stream().anyMatch(what.repaired::contains)) {
                return new Priced(f, Optional.empty(), By.SELLER_REPAIRS);
            }
            if (f.whose() != Regrade.Whose.FAULT) {
                return new Priced(f, Optional.empty(), f.whose() == Regrade.Whose.BY_DESIGN ? By.BY_DESIGN : By.OUTSIDE);
            }
            Optional<Cost> own = f.judged().map(j -> j.what().cost()).filter(c -> c.size() == 3)
                    .map(c -> Cost.of(c.get(0), c.get(1), c.get(2)));
            if (own.isPresent()) {
                return new Priced(f, own, By.PERSON);
            }
            if (f.explained().isPresent()) {
                return new Priced(f, Optional.empty(), By.PLATE);
            }
            if (f.severity() == Severity.NOTE) {
                return new Priced(f, Optional.empty(), By.NOTE);
            }
            Optional<Made> rests = f.entries().stream().map(made::get).filter(java.util.Objects::nonNull).findFirst();
            if (rests.isEmpty()) {
                return new Priced(f, Optional.empty(),
                        survey.drive().checks().values().stream().anyMatch(c -> f.entries().contains(c.entry())) ? By.NOT_IN_TABLE
                        : By.KIT);
            }
            Optional<Cost> table = Cost.among(rests.get() instanceof StepResult r ? worths.costs(r.step().system().name())
                    : symptoms((Run) rests.get()));
            return new Priced(f, table, table.isPresent() ? By.TABLE : By.NOT_IN_TABLE);
        }

        private List<Cost> symptoms(Run run) {
            return run.record().symptoms().stream().flatMap(s -> worths.costs(s.name()).stream()).toList();
        }

        private boolean isLooked(Step step) {
            return what.good.contains(step.id().written()) || what.bad.contains(step.id().written());
        }

        private List<Untested> untested() {
            List<Untested> untested = new ArrayList<>();
            Set<Integer> repaired = new HashSet<>(what.repaired);
            for (Step step : survey.steps().inScope()) {
                StepResult latest = survey.steps().latest().get(step.id());
                // What the seller puts right is to be tested again; λ stays, it was found bad.
                boolean again = latest != null && repaired.contains(latest.entry());
                if ((latest == null || again) && !isLooked(step) && !survey.steps().isSpared(step)) {
                    untested.add(new Untested(Optional.of(step), "", worths.chance(step), worths.dearest(step).map(Cost::mean).orElse(0.0),
                                    step.seconds()));
                }
            }
            Elements elements = Elements.of(survey.machine().train());
            long open = elements.reachable() & ~survey.drive().coverage().exercised() & ~survey.drive().coverage().failedOn();
            for (Elements.Element e : elements.in(open)) {
                untested.add(new Untested(Optional.empty(), e.stageName() + " " + e.label(), worths.chance(e), worths.cost(e), 0));
            }
            untested.sort(Comparator.comparingDouble(Untested::worth).reversed());
            return untested;
        }

        /** Share of all p·c, as they were before anything was tested, that stands on a test. */
        private double known() {
            double all = 0;
            double tested = 0;
            for (Step step : survey.steps().inScope()) {
                double worth = worths.before(step) * worths.dearest(step).map(Cost::mean).orElse(0.0);
                all += worth;
                tested += survey.steps().latest().containsKey(step.id()) || survey.steps().isSpared(step) ? worth : 0;
            }
            Elements elements = Elements.of(survey.machine().train());
            long known = survey.drive().coverage().exercised() | survey.drive().coverage().failedOn();
            for (Elements.Element e : elements.in(elements.reachable())) {
                double worth = rules.worth(ElementWorth.rule(survey.machine().train().stages().get(e.stage()).kind()));
                all += worth;
                tested += elements.in(known).contains(e) ? worth : 0;
            }
            return all == 0 ? 1 : tested / all;
        }
    }
}
