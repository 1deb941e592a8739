package tallledger.core.rules;

import java.math.BigDecimal;
import java.time.Duration;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.Grade;
import tallledger.core.gauge.GradedLimit;

/**
 * The judgement numbers as they stood at one version of the house's book: what is not changed there is as it ships.
 *
 * @param changed figures of the rules somebody changed
 * @param steps   what steps take, s, by their code, where somebody changed it
 * @param judgedAs grade that is wanted: what is outside it is a finding
 */
public record Rules(Map<Rule, List<BigDecimal>> changed, Map<String, Integer> steps, Grade judgedAs) {

    private static final Rules SHIPPED = new Rules(Map.of(), Map.of(), Grade.WORKABLE);

    public Rules {
        changed = Map.copyOf(changed);
        steps = Map.copyOf(steps);
    }

    /** As they ship: the beginning of a house's book, and of tests. Whoever judges for a survey is given that survey's. */
    public static Rules shipped() {
        return SHIPPED;
    }

    /** @throws tallledger.core.reason.Refused naming the figure that makes no sense */
    public Rules with(Rule rule, List<BigDecimal> figures) {
        rule.check(figures);
        Map<Rule, List<BigDecimal>> now = new EnumMap<>(Rule.class);
        now.putAll(changed);
        now.put(rule, List.copyOf(figures));
        return new Rules(now, steps, judgedAs);
    }

    public Rules withStep(String code, int seconds) {
        Map<String, Integer> now = new HashMap<>(steps);
        now.put(code, seconds);
        return new Rules(changed, now, judgedAs);
    }

    /** The same, for a survey that judges its machine as rebuilt, sound or workable. */
    public Rules judgedAs(Grade grade) {
        return new Rules(changed, steps, grade);
    }

    public List<BigDecimal> figures(Rule rule) {
        return changed.getOrDefault(rule, rule.shipped());
    }

    /** Whether its figures are other than those it ships with. */
    public boolean isChanged(Rule rule) {
        List<BigDecimal> now = figures(rule);
        for (int i = 0; i < now.size(); i++) {
            if (now.get(i).compareTo(rule.shipped().get(i)) != 0) {
                return true;
            }
        }
        return false;
    }

    /** Its only figure, in its unit. */
    public BigDecimal number(Rule rule) {
        return figures(rule).get(0);
    }

    /** The same for reckoning in binary. */
    public double value(Rule rule) {
        return number(rule).doubleValue();
    }

    /** A rule in per cent as a share of 1. */
    public BigDecimal share(Rule rule) {
        return share(rule, 0);
    }

    /** One end of a range in per cent, as a share of 1. */
    public BigDecimal share(Rule rule, int figure) {
        return figures(rule).get(figure).movePointLeft(2);
    }

    public int whole(Rule rule) {
        return number(rule).intValue();
    }

    public Duration time(Rule rule) {
        return rule.unit() == Unit.MINUTES ? Duration.ofSeconds(number(rule).multiply(BigDecimal.valueOf(60)).longValue())
                : Duration.ofMillis(number(rule).movePointRight(3).longValue());
    }

    public GradedLimit graded(Rule rule) {
        List<BigDecimal> f = figures(rule);
        return new GradedLimit(f.get(0), f.get(1), f.get(2), rule.unit().written(), judgedAs);
    }

    public Gauge gauge(Rule rule) {
        List<BigDecimal> f = figures(rule);
        return new Gauge(rule.name().toLowerCase(Locale.ROOT), f.get(0), f.get(1).movePointLeft(2));
    }

    /** p·c of a part, in the user's money. */
    public double worth(Rule rule) {
        List<BigDecimal> f = figures(rule);
        return f.get(0).multiply(f.get(1)).doubleValue();
    }

    /** What a step takes, s. */
    public int seconds(String code, int usual) {
        return steps.getOrDefault(code, usual);
    }
}
