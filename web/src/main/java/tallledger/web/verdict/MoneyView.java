package tallledger.web.verdict;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.DoubleFunction;
import tallledger.core.evidence.Severity;
import tallledger.core.price.Mixture;
import tallledger.core.price.Stakes;
import tallledger.core.reason.Reason;
import tallledger.core.verdict.Finding;
import tallledger.core.verdict.Money;
import tallledger.core.verdict.VerdictGlance;
import tallledger.web.forms.FormInput;
import tallledger.web.library.StoredSurvey;
import tallledger.web.pictures.MoneyWalk;
import tallledger.web.pictures.PlotView;
import tallledger.web.words.Words;

/**
 * What the visit was for: what may be done with the machine, and what to offer.
 *
 * @param glance  what may be done, by rule, and the worst of what was found
 * @param sums    amounts in words
 * @param walk    from the start to the offer, drawn; empty where nobody knows a price
 * @param minutes what more minutes would take off the unknown, drawn
 * @param prices  findings with what each costs
 * @param open    what was not tested and is worth something, worth most first
 * @param next    the three steps worth most a minute
 * @param more    how many untested things are not listed, and what they come to
 * @param unknown how many untested steps the table of checks has no cost for
 * @param raises  what would raise the offer most
 * @param whatIf  whether something is only supposed
 */
public record MoneyView(VerdictGlance glance, Sums sums, Optional<PlotView> walk, Optional<PlotView> minutes, List<Price> prices,
        List<Open> open,
        List<Open> next, More more, long unknown, List<RaiseLine> raises, boolean whatIf) {

    /** In words, with the currency. @param safe whether anything can be offered @param aloud the money in one sentence */
    public record Sums(String putRight, String eightieth, String together, String kit, String unknown, String start, boolean fromAsking,
            String opening, String offer, String ceiling, boolean safe, int unpricedKit, String tells, String says, String aloud) {
    }

    /** @param entry it rests on; nought where none @param cost in words; empty where there is none */
    public record Price(Reason what, Severity severity, int entry, List<Integer> entries, String cost, Money.By by, boolean repaired) {
    }

    /** @param key of its step; empty for an element @param say what is supposed of it: good, bad or nothing */
    public record Open(String key, String name, String chance, String cost, String worth, String minutes, String say) {
    }

    /** @param count not listed @param worth of them */
    public record More(int count, String worth) {
    }

    /** @param key of the step to look at; empty where something is to be put right @param by what the offer rises by */
    public record RaiseLine(String key, Reason what, String by) {
    }

    private static final int LISTED = 12;
    private static final int NEXT = 3;
    /** Under half a unit of money nothing is offered. */
    private static final double LEAST = 0.5;

    /** What is supposed, as the address says it; steps that are not there are nothing. */
    static Money.WhatIf whatIf(StoredSurvey survey, FormInput asked) {
        Set<Integer> repaired = new HashSet<>();
        asked.all("repaired").stream().filter(e -> e.matches("\\d{1,6}")).forEach(e -> repaired.add(Integer.parseInt(e)));
        return new Money.WhatIf(repaired, steps(survey, asked, "good"), steps(survey, asked, "bad"));
    }

    private static Set<String> steps(StoredSurvey survey, FormInput asked, String as) {
        Set<String> steps = new HashSet<>();
        asked.names().stream().filter(name -> name.startsWith("if-") && asked.get(name).equals(as)).map(name -> name.substring(3))
                .filter(id -> survey.steps().step(id).isPresent()).forEach(steps::add);
        return steps;
    }

    static MoneyView of(StoredSurvey survey, Money.WhatIf what, Words words) {
        Money money = Money.of(survey.core(), what);
        String currency = money.stakes().map(Stakes::currency).orElse("");
        List<Open> open = money.untested().stream().filter(u -> u.worth() > 0).limit(LISTED).map(u -> open(u, currency, words))
                .toList();
        List<Open> supposed = survey.steps().inScope().stream()
                .filter(s -> what.good().contains(s.id().written()) || what.bad().contains(s.id().written()))
                .map(s -> new Open(s.id().written(), words.say(s.name()), "", "", "", "", what.good().contains(s.id().written()) ? "good"
                        : "bad"))
                .toList();
        List<Open> listed = new java.util.ArrayList<>(supposed);
        listed.addAll(open);
        double rest = money.untested().stream().filter(u -> u.worth() > 0).skip(LISTED).mapToDouble(Money.Untested::worth).sum();
        int count = (int) Math.max(0, money.untested().stream().filter(u -> u.worth() > 0).count() - LISTED);
        long unknown = money.untested().stream().filter(u -> u.step().isPresent() && u.cost() == 0).count();
        List<Price> prices = money.priced().stream()
                .map(p -> new Price(p.finding().what(), p.finding().severity(), p.finding().entries().stream().findFirst().orElse(0),
                        p.finding().entries(),
                        p.cost().map(c -> mixture(c, currency, words)).orElse(""), p.by(), p.by() == Money.By.SELLER_REPAIRS))
                .toList();
        return new MoneyView(VerdictGlance.of(survey.core(), money), sums(money, currency, words),
                money.offer().map(o -> MoneyWalk.of(money, currency, words)),
                money.next(1).isEmpty() ? Optional.empty()
                        : Optional.of(MoneyWalk.overMinutes(money, currency, words)),
                prices, List.copyOf(listed),
                money.advised(NEXT, survey.rules()).stream().map(u -> open(u, currency, words)).toList(),
                new More(count, words.money(rest, currency)),
                unknown, what.isNothing() ? raises(survey, money, currency, words) : List.of(), !what.isNothing());
    }

    /** "about 380 £: gib adjusted (67 %), gib fitted anew (33 %)"; one repair with its three figures. */
    private static String mixture(Mixture m, String currency, Words words) {
        if (m.shares().size() == 1) {
            Mixture.Share s = m.shares().get(0);
            String figures = words.money(s.cost().low(), "") + " / " + words.money(s.cost().likely(), "") + " / " + words.money(s.cost()
                    .high(),
                    currency);
            return s.what().isEmpty() ? figures : words.say("money.one", s.what(), figures);
        }
        return words.say("money.mixture", words.money(m.mean(), currency), m.shares().stream().map(s -> (Object) words.say("money.share",
                s.what(), Math.round(100 * s.share()))).toList());
    }

    /** What goes with the three figures: that they stand on scrap value, or that it is worth more than is asked. */
    private static String says(Money m, String currency, Words words) {
        return m.offer().map(o -> o.onFloor() && o.floor() < LEAST ? words.say("money.nothing-safe")
                : o.onFloor() ? words.say("money.floor", words.money(o.floor(), currency))
                        : o.isMoreThanAsked() ? words.say("money.more-than-asked", words.money(o.worth(), currency)) : "")
                .orElse("");
    }

    private static List<RaiseLine> raises(StoredSurvey survey, Money money, String currency, Words words) {
        return money.raises(survey.core(), NEXT).stream()
                .map(r -> new RaiseLine(r.step().map(s -> s.id().written()).orElse(""),
                        r.finding().map(Finding::brief).orElseGet(() -> r.step().orElseThrow().name()),
                        words.money(r.by(), currency)))
                .toList();
    }

    private static Open open(Money.Untested u, String currency, Words words) {
        return new Open(u.step().map(s -> s.id().written()).orElse(""), u.step().map(s -> words.say(s.name())).orElse(u.element()),
                BigDecimal.valueOf(100 * u.chance()).setScale(0, RoundingMode.HALF_UP) + "\u00a0%", words.money(u.cost(), currency),
                words.money(u.worth(), currency),
                u.seconds() == 0 ? ""
                        : BigDecimal.valueOf(u.seconds() / 60.0).setScale(1, RoundingMode.HALF_UP).stripTrailingZeros()
                                .toPlainString(),
                "");
    }

    private static Sums sums(Money m, String currency, Words words) {
        DoubleFunction<String> say = amount -> words.money(amount, currency);
        DoubleFunction<String> offered = amount -> words.offer(amount, currency);
        Optional<Stakes> stakes = m.stakes();
        return new Sums(say.apply(m.putRight().mean()), say.apply(m.putRight().eightieth()), say.apply(m.putRight().correlated()),
                say.apply(m.kit()), say.apply(m.unknown()), m.offer().map(o -> say.apply(o.start())).orElse(""),
                stakes.filter(s -> s.sound().isEmpty()).isPresent(), m.offer().map(o -> offered.apply(o.opening())).orElse(""),
                m.offer().map(o -> offered.apply(o.offer())).orElse(""), m.offer().map(o -> offered.apply(o.ceiling())).orElse(""),
                m.offer().filter(o -> o.offer() >= LEAST).isPresent(), m.unpricedKit(), tells(m, words), says(m, currency, words),
                aloud(m, currency, words));
    }

    /** What the steps tested say of those that were not; nothing where none was. */
    private static String tells(Money m, Words words) {
        long raised = Math.round(100 * (m.tells().lambda() - 1));
        return m.tells().expected() == 0 ? ""
                : words.say("money.tells", m.tells().bad(),
                        BigDecimal.valueOf(m.tells().expected()).setScale(1, RoundingMode.HALF_UP).toPlainString(), Long.signum(raised),
                        Math.abs(raised));
    }

    /** The money in one sentence that can be said to the other side. */
    private static String aloud(Money m, String currency, Words words) {
        String repairs = words.money(m.putRight().mean(), currency);
        String unknown = words.money(m.unknown(), currency);
        String kit = m.kit() < LEAST ? "" : words.money(m.kit(), currency);
        String says = says(m, currency, words);
        return m.offer().isEmpty() ? words.say("money.aloud-no-price", repairs, unknown)
                : m.offer().get().onFloor() ? says
                        : words.say(m.stakes().orElseThrow().sound().isEmpty() ? "money.aloud-asked" : "money.aloud-sound",
                                words.money(m.offer().get().start(), currency), repairs, kit.isEmpty() ? 0 : 1, kit, unknown,
                                words.offer(m.offer().get().offer(), currency));
    }
}
