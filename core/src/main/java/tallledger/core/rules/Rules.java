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
import tallledger.core.reason.Reason;
import tallledger.core.unit.LengthUnit;
import tallledger.core.unit.Unit;

/**
 * The judgement numbers as they stood at one version of the house's book: what is not changed there is as it ships.
 *
 * @param changed figures of the rules somebody changed
 * @param steps   what steps take, s, by their code, where somebody changed it
 * @param judgedAs grade that is wanted: what is outside it is a finding
 * @param unit     of the machine that is judged: an inch machine has inch limits
 * @param own      limits of the machine's own chart, in place of the house's: as they are, mm
 */
public record Rules(Map<Rule, List<BigDecimal>> changed, Map<String, Integer> steps, Grade judgedAs, LengthUnit unit,
        Map<Rule, GradedLimit> own) {

    private static final Rules SHIPPED = new Rules(Map.of(), Map.of(), Grade.WORKABLE, LengthUnit.MM, Map.of());

    public Rules {
        changed = Map.copyOf(changed);
        steps = Map.copyOf(steps);
        own = Map.copyOf(own);
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
        return new Rules(now, steps, judgedAs, unit, own);
    }

    public Rules withStep(String code, int seconds) {
        Map<String, Integer> now = new HashMap<>(steps);
        now.put(code, seconds);
        return new Rules(changed, now, judgedAs, unit, own);
    }

    /** The same, for a survey that judges its machine as rebuilt, sound or workable. */
    public Rules judgedAs(Grade grade) {
        return new Rules(changed, steps, grade, unit, own);
    }

    /** The same, for a machine whose lengths are read in this unit. */
    public Rules in(LengthUnit machine) {
        return new Rules(changed, steps, judgedAs, machine, own);
    }

    /** The same where the machine's own chart permits so much, mm: it stands for the rebuilt grade, and no other is stricter. */
    public Rules permitting(Rule rule, BigDecimal permissible) {
        GradedLimit house = graded(rule);
        Map<Rule, GradedLimit> now = new EnumMap<>(Rule.class);
        now.putAll(own);
        now.put(rule, new GradedLimit(permissible, house.sound().max(permissible), house.workable().max(permissible), house.unit(),
                judgedAs, Reason.of(RulesReason.LIMIT_OWN_CHART)));
        return new Rules(changed, steps, judgedAs, unit, now);
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

    /** A roughness, µm; on an inch machine the trade's number in µin nearest to the house's figure, unless somebody changed it. */
    public BigDecimal roughness(Rule rule) {
        return unit == LengthUnit.MM || isChanged(rule) ? number(rule) : InchLimits.roughness(number(rule));
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

    /** A limit in its canonical unit, for {@link #length} of what it is stated for. */
    public GradedLimit graded(Rule rule) {
        if (own.containsKey(rule)) {
            GradedLimit chart = own.get(rule);
            return new GradedLimit(chart.rebuilt(), chart.sound(), chart.workable(), chart.unit(), judgedAs, chart.source());
        }
        List<BigDecimal> f = figures(rule).stream().map(figure -> unit == LengthUnit.MM ? figure
                : InchLimits.limit(figure, rule, isChanged(rule))).toList();
        return new GradedLimit(f.get(0), f.get(1), f.get(2), rule.unit(), judgedAs, Reason.named("rule." + rule + ".source"));
    }

    /** The round length of this machine's unit that stands for so many mm, in mm: 12 in, which are 304.8, for 300. */
    public BigDecimal length(BigDecimal mm) {
        return unit == LengthUnit.MM ? mm : InchLimits.length(mm);
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
