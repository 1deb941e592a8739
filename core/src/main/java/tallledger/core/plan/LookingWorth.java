package tallledger.core.plan;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import tallledger.core.blame.Blame;
import tallledger.core.blame.Trial;
import tallledger.core.coverage.ElementWorth;
import tallledger.core.coverage.Elements;
import tallledger.core.coverage.Elements.Element;
import tallledger.core.coverage.Outcome;
import tallledger.core.coverage.Symptom;
import tallledger.core.evidence.Severity;
import tallledger.core.family.Step;
import tallledger.core.family.StepId;
import tallledger.core.kit.KitItem;
import tallledger.core.measuring.WatchedCycle;
import tallledger.core.price.Background;
import tallledger.core.price.Cost;
import tallledger.core.price.Mixture;
import tallledger.core.price.Rates;
import tallledger.core.price.Repair;
import tallledger.core.price.RepairBill;
import tallledger.core.price.Stakes;
import tallledger.core.reading.Mass;
import tallledger.core.reading.TypedNumber;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.survey.StepResult;
import tallledger.core.survey.Survey;

/**
 * What looking is worth, in the user's money (W 4.2). A step is bad with p by how bad it then is, times where the machine comes from, times
 * λ = (4 + k)/(4 + E), k bad among the steps tested and E what the chances had let expect, no more than 0.9; it then leads to the repairs
 * of
 * its own rows, else of its system's, with shares w. Looking at it is worth p·Σ w_r·mean_r·(1 − q_r), q_r the chance that what was found
 * bad pays r already. An element of the drive has its posterior with priors times λ and no background, while nothing has failed.
 */
public final class LookingWorth {

    /** λ. @param bad k @param expected E */
    public record Tells(int bad, double expected, double lambda) {
    }

    private final Survey survey;
    private final Rules rules;
    private final Background from;
    private final double most;
    private final Tells tells;
    private final Rates rates;
    private final double scrap;
    private final Map<String, List<Repair>> repairs = new HashMap<>();
    private final Map<String, Double> paid = new HashMap<>();
    private final Map<StepId, List<WorthAsking>> asks = new HashMap<>();
    private final Elements elements;
    private final Map<Element, Double> marginals = new HashMap<>();

    private LookingWorth(Survey survey, Set<String> good, Set<String> bad) {
        this.survey = survey;
        this.rules = survey.rules();
        this.from = survey.stakes().map(Stakes::background).orElse(Background.IN_DAILY_USE);
        this.most = rules.value(Rule.CHANCE_MOST);
        this.elements = Elements.of(survey.machine().train());
        OptionalDouble mass = mass(survey);
        Optional<Stakes> stakes = survey.stakes();
        this.scrap = stakes.flatMap(s -> s.extra().scrap()).map(s -> s.value().doubleValue())
                .orElse(mass.orElse(0) * rules.value(Rule.SCRAP_A_KILO));
        double worthMost = stakes.flatMap(Stakes::start).map(s -> Math.max(0, s.value().doubleValue() - scrap)).orElse(Double.MAX_VALUE);
        this.rates = Rates.of(stakes.flatMap(s -> s.extra().anHour()).map(TypedNumber::value).orElse(rules.number(Rule.LABOUR_RATE))
                .doubleValue(), mass, worthMost);
        survey.house().repairs().forEach(r -> repairs.computeIfAbsent(r.about(), x -> new ArrayList<>()).add(r));
        this.tells = tells(good, bad);
        survey.steps().latest().values().stream().filter(r -> r.isBad() && r.severity() != Severity.NOTE)
                .filter(r -> !good.contains(r.step().id().written())).forEach(r -> pay(mixture(r)));
        bad.forEach(id -> survey.steps().step(id).ifPresent(s -> pay(mixture(s))));
        if (!driveFailed()) {
            chances(tells.lambda).forEach(marginals::put);
        }
    }

    public static LookingWorth of(Survey survey) {
        return new LookingWorth(survey, Set.of(), Set.of());
    }

    /**
     * As it would be if steps were looked at.
     *
     * @param good steps that would turn out good
     * @param bad  and those that would turn out bad
     */
    public static LookingWorth of(Survey survey, Set<String> good, Set<String> bad) {
        return new LookingWorth(survey, good, bad);
    }

    /** kg: as typed with the prices, else as put down for the lift; of a range its middle. */
    private static OptionalDouble mass(Survey survey) {
        Optional<Mass> typed = survey.stakes().map(s -> s.extra().mass()).filter(m -> m.high().signum() > 0);
        return typed.or(() -> survey.steps().lift().map(l -> l.what().machine()).filter(m -> m.high().signum() > 0))
                .map(m -> OptionalDouble.of((m.low().doubleValue() + m.high().doubleValue()) / 2)).orElse(OptionalDouble.empty());
    }

    private void pay(Mixture mixture) {
        mixture.shares().forEach(s -> paid.merge(s.key(), s.share(), (a, b) -> 1 - (1 - a) * (1 - b)));
    }

    /** k and E over the steps tested; undecided ones count in neither. */
    private Tells tells(Set<String> good, Set<String> bad) {
        int k = bad.size();
        double expected = good.stream().mapToDouble(this::before).sum() + bad.stream().mapToDouble(this::before).sum();
        for (StepResult r : survey.steps().latest().values()) {
            String id = r.step().id().written();
            if (r.outcome() != Outcome.UNDECIDED && !good.contains(id) && !bad.contains(id)) {
                k += r.isBad() ? 1 : 0;
                expected += before(r.step());
            }
        }
        double shape = rules.value(Rule.TELLS_SHAPE);
        return new Tells(k, expected, (shape + k) / (shape + expected));
    }

    private double before(String id) {
        return survey.steps().step(id).map(this::before).orElse(0.0);
    }

    public Tells tells() {
        return tells;
    }

    public Rates rates() {
        return rates;
    }

    /** What the machine fetches as scrap and parts. */
    public double scrap() {
        return scrap;
    }

    /** p of a step before anything was tested. */
    public double before(Step step) {
        return before(step.ifBad(), from, rules);
    }

    /** The same, of any. */
    public static double before(Severity ifBad, Background from, Rules rules) {
        return Math.min(rules.figures(Rule.CHANCE_BAD).get(ifBad.ordinal()).doubleValue() * rules.figures(Rule.BACKGROUND)
                .get(from.ordinal()).doubleValue(), rules.value(Rule.CHANCE_MOST));
    }

    /** p of a step now. */
    public double chance(Step step) {
        return Math.min(before(step) * tells.lambda, most);
    }

    /** The repairs a step leads to when it is bad: its own rows, else its system's, an axis' apart from another's. */
    public Mixture mixture(Step step) {
        List<Repair> rows = Stream.of(step.id().written(), step.code(), step.system().name()).map(this::rows).filter(r -> !r.isEmpty())
                .findFirst().orElse(List.of());
        return mixture(rows, place(step));
    }

    /** The same of one that was found bad, by its symptom where it shows one before its system's (W 4.2). */
    public Mixture mixture(StepResult found) {
        Step step = found.step();
        boolean own = Stream.of(step.id().written(), step.code()).anyMatch(about -> !rows(about).isEmpty());
        boolean late = found.as(WatchedCycle.Watched.class).filter(w -> w.runsDownLong(rules)).isPresent();
        return late && !own && !rows(Repair.STOPS_LATE).isEmpty()
                ? mixture(rows(Repair.STOPS_LATE), place(step))
                : mixture(step);
    }

    private static String place(Step step) {
        return step.axis().map(a -> a.written()).orElse("");
    }

    /** The repair somebody chose for what was found at a step; empty where the table no longer has it. */
    public Optional<Mixture> chosen(Step step, String what) {
        // Its own row before another step's of the same name.
        List<String> own = List.of(step.id().written(), step.code(), step.system().name());
        return survey.house().repairs().stream().filter(r -> r.what().equals(what))
                .min(Comparator.comparingInt(r -> own.contains(r.about()) ? own.indexOf(r.about()) : own.size()))
                .map(r -> mixture(List.of(r), place(step)));
    }

    /** What the table has for a symptom or a system, whatever part it is of. */
    public List<Repair> rows(String about) {
        return repairs.getOrDefault(about, List.of());
    }

    /** What such rows come to at a place. */
    public Mixture mixture(List<Repair> rows, String place) {
        return Mixture.cheapestFirst(rows.stream().map(r -> new Mixture.Share(r.key() + (place.isEmpty() ? "" : " @ " + place), r.what(),
                r.cost(rates), 0)).toList());
    }

    /**
     * What a piece of kit that nobody priced is put at to begin with: the house's row whose words stand in its name, the most words first,
     * times the machine's size. Empty where the house has none; papers have none.
     */
    public Optional<BigDecimal> starting(KitItem item) {
        String name = item.name().toLowerCase(Locale.ROOT);
        return rows(Repair.KIT).stream().filter(r -> stands(r.what().toLowerCase(Locale.ROOT), name))
                .max(Comparator.comparingInt(r -> r.what().length()))
                .map(r -> r.parts().likely().multiply(BigDecimal.valueOf(rates.size())).setScale(0, RoundingMode.HALF_UP));
    }

    /** Whether the words begin where a word of the name does: there is no vice in a service manual. */
    private static boolean stands(String words, String name) {
        return Pattern.compile("(?<!\\p{L})" + Pattern.quote(words)).matcher(name).find();
    }

    /** What is not there and costs something: as somebody priced it, else as the house begins with. */
    public double kit() {
        return survey.steps().kit().notThere().stream().flatMap(i -> i.cost().or(() -> starting(i)).stream())
                .mapToDouble(BigDecimal::doubleValue).sum();
    }

    /** Pieces missing that neither somebody nor the house has a price for. */
    public int unpricedKit() {
        return (int) survey.steps().kit().owed().stream().filter(i -> i.cost().isEmpty() && starting(i).isEmpty()).count();
    }

    /** Mean of what a step leads to when it is bad; empty where the table has nothing for it. */
    public Optional<Cost> dearest(Step step) {
        Mixture m = mixture(step);
        return m.isEmpty() ? Optional.empty() : Optional.of(new Cost(m.mean(), m.mean(), m.mean()));
    }

    /** p·Σ w·mean·(1 − q) of a step; nought where the table has nothing for its system. */
    public double of(Step step) {
        return chance(step) * mixture(step).shares().stream().mapToDouble(s -> s.share() * s.cost().mean()
                * (1 - paid.getOrDefault(s.key(), 0.0))).sum();
    }

    /**
     * What a step may ask for.
     *
     * @param repair its key
     * @param chance p·w, that the step is bad and leads to it
     * @param worth  mean·(1 − q), what it costs by so much as was found does not pay it already
     */
    record WorthAsking(String repair, double chance, double worth) {
    }

    /** The repairs that a step may ask for and that cost something still. */
    List<WorthAsking> asks(Step step) {
        return asks
                .computeIfAbsent(step.id(),
                        id -> mixture(step).shares().stream().map(s -> new WorthAsking(s.key(), chance(step) * s.share(),
                                s.cost().mean() * (1 - paid.getOrDefault(s.key(), 0.0)))).filter(a -> a.worth > 0 && a.chance > 0)
                                .toList());
    }

    /** Σ mean·(1 − q)·(1 − Π (1 − p·w)): what looking at all of them takes off the unknown, a repair paid once. */
    public double together(List<Step> steps) {
        Map<String, Double> spared = new LinkedHashMap<>();
        Map<String, Double> worth = new HashMap<>();
        steps.forEach(step -> asks(step).forEach(a -> {
            spared.merge(a.repair, 1 - a.chance, (x, y) -> x * y);
            worth.put(a.repair, a.worth);
        }));
        return spared.entrySet().stream().mapToDouble(e -> worth.get(e.getKey()) * (1 - e.getValue())).sum();
    }

    /** Whether a run failed by what was heard or felt: from then on the drive is what its posterior says. */
    public boolean driveFailed() {
        return SurveyPlan.trials(survey.drive()).stream().anyMatch(Trial::failed);
    }

    /** p of an element now, of a drive nothing of which failed. */
    public double chance(Element element) {
        return marginals.getOrDefault(element, 0.0);
    }

    private Map<Element, Double> chances(double times) {
        Map<Element, Double> chances = new LinkedHashMap<>();
        for (Blame.FaultSet set : Blame.sets(elements, SurveyPlan.trials(survey.drive()), rules, times)) {
            set.elements().forEach(e -> chances.merge(e, set.probability(), Double::sum));
        }
        return chances;
    }

    /** The repairs an element leads to: by what was heard on its failing runs, else those of its kind. */
    public Mixture mixture(Element element) {
        String kind = survey.machine().train().stages().get(element.stage()).kind().name();
        Set<Symptom> heard = new TreeSet<>(SurveyPlan.trials(survey.drive()).stream().filter(Trial::failed)
                .filter(t -> elements.in(elements.mask(t.route())).contains(element)).flatMap(t -> t.symptoms().stream())
                .collect(Collectors.toSet()));
        List<Repair> rows = heard.stream().flatMap(s -> rows(s.name()).stream())
                .filter(r -> r.element().isEmpty() || r.element().equals(kind)).distinct().toList();
        List<Repair> taken = rows.isEmpty() ? rows(Repair.ELEMENT).stream().filter(r -> r.element().equals(kind)).toList() : rows;
        return mixture(taken, element.stageName() + " " + element.label());
    }

    /** c of an element. */
    public double cost(Element element) {
        Mixture m = mixture(element);
        return m.isEmpty() ? rules.figures(rule(element)).get(1).doubleValue() : m.mean();
    }

    public double of(Element element) {
        return chance(element) * cost(element);
    }

    /** What the drive asks for by its posterior, over the sets of faulty elements; empty while nothing failed. */
    public Optional<RepairBill.Asker> drive() {
        if (!driveFailed()) {
            return Optional.empty();
        }
        Map<Element, Mixture> of = new HashMap<>();
        Map<String, Double> alone = new LinkedHashMap<>();
        Map<String, Double> both = new HashMap<>();
        Map<String, Cost> costs = new LinkedHashMap<>();
        for (Blame.FaultSet set : Blame.sets(elements, SurveyPlan.trials(survey.drive()), rules, 1)) {
            List<Mixture> mixtures = set.elements().stream().map(e -> of.computeIfAbsent(e, this::mixture)).toList();
            mixtures.forEach(m -> m.shares().forEach(s -> {
                alone.merge(s.key(), s.share() * set.probability(), Double::sum);
                costs.putIfAbsent(s.key(), s.cost());
            }));
            if (mixtures.size() == 2) {
                mixtures.get(0).shares().forEach(s -> mixtures.get(1).shares().forEach(t -> both.merge(RepairBill.pair(s.key(), t.key()),
                        s.share() * t.share() * set.probability(), Double::sum)));
            }
        }
        return Optional.of(new RepairBill.Asker(alone, both, costs));
    }

    private Rule rule(Element element) {
        return ElementWorth.rule(survey.machine().train().stages().get(element.stage()).kind());
    }
}
