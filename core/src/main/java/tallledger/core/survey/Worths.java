package tallledger.core.survey;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import tallledger.core.blame.Check;
import tallledger.core.coverage.ElementWorth;
import tallledger.core.coverage.Elements.Element;
import tallledger.core.coverage.Outcome;
import tallledger.core.evidence.Severity;
import tallledger.core.family.Step;
import tallledger.core.price.Background;
import tallledger.core.price.Cost;
import tallledger.core.price.Stakes;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;

/**
 * What looking is worth, in the user's money (W 4.2): p·c. p by how bad it is when it is bad, times where the machine comes from, times
 * λ = (4 + k)/(4 + E), k bad among the steps tested and E what the chances had let expect, no more than 0.9; c the mean of the dearest
 * repair in the table of checks for the step's system. An element of the drive has a p and a c of its own, which take λ and no background.
 */
public final class Worths {

    /** λ. @param bad k @param expected E */
    public record Tells(int bad, double expected, double lambda) {
    }

    private final Survey survey;
    private final Rules rules;
    private final Background from;
    private final double most;
    private final Tells tells;
    private final Map<String, List<Cost>> costs = new HashMap<>();

    private Worths(Survey survey, Set<String> good, Set<String> bad) {
        this.survey = survey;
        this.rules = survey.rules();
        this.from = survey.stakes().map(Stakes::background).orElse(Background.IN_DAILY_USE);
        this.most = rules.value(Rule.CHANCE_MOST);
        survey.house().checks().forEach(c -> costs.computeIfAbsent(c.about(), x -> new ArrayList<>()).add(cost(c)));
        this.tells = tells(good, bad);
    }

    public static Worths of(Survey survey) {
        return new Worths(survey, Set.of(), Set.of());
    }

    /**
     * As it would be if steps were looked at.
     *
     * @param good steps that would turn out good
     * @param bad  and those that would turn out bad
     */
    public static Worths of(Survey survey, Set<String> good, Set<String> bad) {
        return new Worths(survey, good, bad);
    }

    private static Cost cost(Check check) {
        return Cost.of(check.low(), check.likely(), check.high());
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

    /** c of a step; empty where the table of checks has nothing for its system. */
    public Optional<Cost> dearest(Step step) {
        return Cost.dearest(costs(step.system().name()));
    }

    /** What the table of checks has for a symptom or a system. */
    public List<Cost> costs(String about) {
        return costs.getOrDefault(about, List.of());
    }

    /** p·c of a step; nought where the table has nothing for its system. */
    public double of(Step step) {
        return chance(step) * dearest(step).map(Cost::mean).orElse(0.0);
    }

    /** p of an element now. */
    public double chance(Element element) {
        return Math.min(rules.figures(rule(element)).get(0).doubleValue() * tells.lambda, most);
    }

    /** c of an element. */
    public double cost(Element element) {
        return rules.figures(rule(element)).get(1).doubleValue();
    }

    public double of(Element element) {
        return chance(element) * cost(element);
    }

    private Rule rule(Element element) {
        return ElementWorth.rule(survey.machine().train().stages().get(element.stage()).kind());
    }
}
