package tallledger.core.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import tallledger.core.Machines;
import tallledger.core.SurveyBook;
import tallledger.core.blame.Check;
import tallledger.core.coverage.Outcome;
import tallledger.core.coverage.Symptom;
import tallledger.core.evidence.DriveCheck;
import tallledger.core.evidence.Severity;
import tallledger.core.family.Step;
import tallledger.core.house.House;
import tallledger.core.kit.KitItem;
import tallledger.core.ledger.Authorship;
import tallledger.core.measuring.Inspection;
import tallledger.core.plan.LookingWorth;
import tallledger.core.price.Background;
import tallledger.core.price.Repair;
import tallledger.core.price.Spread;
import tallledger.core.price.Stakes;
import tallledger.core.reason.Reason;
import tallledger.core.survey.Regrade;
import tallledger.core.survey.Scope;
import tallledger.core.survey.StepResult;
import tallledger.core.survey.Survey;
import tallledger.core.survey.SurveyEntries;
import tallledger.core.unit.LengthUnit;

/** What was found and what was not looked at, in money: against the rule written out a second time. */
class MoneyTest {

    private static final House HOUSE = House.shipped(List.of(check("GROWLS", 0, 60, 400), check("GROWLS", 100, 600, 1600),
            check("bed", 50, 200, 800), check("bed", 300, 900, 3000), check("spindle", 100, 500, 1500),
            check("carriage", 20, 80, 200), check("lamp", 1, 5, 15)));
    private final SurveyBook book = new SurveyBook(Machines.twelve(), Scope.WHOLE, 20);

    private static Check check(String about, int low, int likely, int high) {
        return Check.of(about, "", "look", BigDecimal.valueOf(low), BigDecimal.valueOf(likely), BigDecimal.valueOf(high));
    }

    private Survey survey() {
        return Survey.fold(book.machine(), HOUSE, book.entries());
    }

    private Money money() {
        return Money.of(survey(), Money.WhatIf.NOTHING);
    }

    private Authorship by() {
        return Authorship.of(book.now(), SurveyBook.ME);
    }

    private void prices(String asking, Background from) {
        book.write(SurveyEntries.priced(by(), Stakes.typed(asking, "", "£", from.name())));
    }

    /** λ = (4 + k)/(4 + E); 5 bad where 2 were to be expected is 1.5. */
    @Test
    void theTestedTellsAboutTheUntested() {
        List<Step> looks = survey().steps().steps().stream()
                .filter(s -> s.recording() instanceof Inspection && s.ifBad() == Severity.SOON).limit(20).toList();
        assertThat(looks).hasSizeGreaterThanOrEqualTo(12);
        for (int i = 0; i < looks.size(); i++) {
            book.step(looks.get(i).id().written(), i < 5);
        }
        double expected = looks.size() * 0.1;
        assertThat(money().tells()).isEqualTo(new LookingWorth.Tells(5, money().tells().expected(), money().tells().lambda()));
        assertThat(money().tells().expected()).isEqualTo(expected, within(1e-9));
        assertThat(money().tells().lambda()).isEqualTo(9 / (4 + expected), within(1e-12));
        assertThat((4 + 5) / (4 + 2.0)).isEqualTo(1.5);
        prices("4000", Background.AUCTION_UNSEEN);
        assertThat(money().tells().expected()).as("twice as much is to be expected of one from an auction")
                .isEqualTo(2 * expected, within(1e-9));
    }

    /** One that is too close to call is neither good nor bad: it counts in k as little as in what was to be expected. */
    @Test
    void whatIsUndecidedTellsNothing() {
        book.step("coolant", false);
        LookingWorth.Tells before = money().tells();
        Step runout = survey().steps().step("nose-runout").orElseThrow();
        book.step("nose-runout", false, "value", runout.recording().limit(survey().rules()).orElseThrow().limit().toPlainString() + " mm");
        assertThat(survey().steps().latest().get(runout.id()).outcome()).isEqualTo(Outcome.UNDECIDED);
        assertThat(money().tells()).isEqualTo(before);
    }

    @Test
    void withoutAPriceThereIsNoOffer() {
        assertThat(money().offer()).isEmpty();
        assertThat(money().unknown()).isPositive();
        prices("4000", Background.IN_DAILY_USE);
        assertThat(money().offer().orElseThrow().start()).isEqualTo(4000);
    }

    /** A person's cost before the drive's; by design and a note cost nothing. */
    @Test
    void aFindingCostsWhatAPersonSaysElseTheTable() {
        int growl = book.run(List.of("B", "2"), "180", false, Symptom.GROWLS).sequence();
        assertThat(money().priced()).singleElement().satisfies(p -> {
            assertThat(p.by()).isEqualTo(Money.By.DRIVE);
            assertThat(p.cost()).isEmpty();
        });
        book.write(SurveyEntries.regraded(by(), Regrade.parse(growl, Severity.SOON, "a bearing", Regrade.Whose.FAULT, "100/200/600", "",
                ""), Severity.SOON));
        assertThat(money().putRight().mean()).isEqualTo(250, within(1e-9));
        assertThat(Money.of(survey(), new Money.WhatIf(Set.of(growl), Set.of(), Set.of())).putRight().mean()).isZero();
        book.write(SurveyEntries.regraded(by(), Regrade.parse(growl, Severity.SOON, "made so", Regrade.Whose.BY_DESIGN, "100/200/600", "",
                ""), Severity.SOON));
        assertThat(money().priced()).extracting(Money.PricedFinding::by).containsExactly(Money.By.BY_DESIGN);
        assertThat(money().putRight().mean()).isZero();
    }

    /** Whatever was recorded: the unknown, put-right, k, E, λ and the offer as another reading of the entries makes them. */
    @Test
    void moneyIsTheRuleWrittenOut() {
        Random random = new Random(12);
        for (int trial = 0; trial < 200; trial++) {
            SurveyBook other = new SurveyBook(Machines.twelve(), Scope.WHOLE, 20);
            Background from = Background.values()[random.nextInt(4)];
            double asking = 3000 + random.nextInt(60_000);
            other.write(SurveyEntries.priced(Authorship.of(other.now(), SurveyBook.ME),
                    Stakes.typed(String.valueOf(asking), "", "£", from.name(),
                            "1500 kg", "", "", LengthUnit.MM)));
            for (Step step : other.ledger().steps()) {
                if (step.recording() instanceof Inspection && random.nextInt(3) == 0) {
                    other.step(step.id().written(), random.nextInt(5) == 0);
                }
            }
            Survey survey = Survey.fold(other.machine(), HOUSE, other.entries());
            double[] p = {0.02, 0.05, 0.10, 0.20, 0};
            double[] times = {0.3, 1, 1.5, 2};
            double expected = 0;
            int bad = 0;
            List<List<double[]>> found = new ArrayList<>();
            for (StepResult r : survey.steps().latest().values()) {
                if (r.outcome() != Outcome.UNDECIDED) {
                    expected += p[r.step().ifBad().ordinal()] * times[from.ordinal()];
                    bad += r.outcome() == Outcome.FAILED ? 1 : 0;
                }
                if (r.outcome() == Outcome.FAILED && r.step().ifBad() != Severity.NOTE) {
                    found.add(ways(r.step(), asking - 225));
                }
            }
            double lambda = (4 + bad) / (4 + expected);
            Map<Double, Double> paid = new HashMap<>();
            found.forEach(ways -> ways.forEach(w -> paid.merge(w[0], 1 - w[2], (a, b) -> a * b)));
            double putRight = paid.entrySet().stream().mapToDouble(e -> means(asking - 225).get(e.getKey()) * (1 - e.getValue())).sum();
            Map<Double, Double> spared = new HashMap<>();
            for (Step step : survey.steps().inScope()) {
                boolean open = !survey.steps().latest().containsKey(step.id()) && !survey.steps().isSpared(step);
                for (double[] w : ways(step, asking - 225)) {
                    if (open) {
                        spared.merge(w[0], 1 - Math.min(0.9, p[step.ifBad().ordinal()] * times[from.ordinal()] * lambda) * w[2],
                                (a, b) -> a * b);
                    }
                }
            }
            double unknown = spared.entrySet().stream().mapToDouble(e -> means(asking - 225).get(e.getKey())
                    * paid.getOrDefault(e.getKey(), 1.0) * (1 - e.getValue())).sum();
            Money money = Money.of(survey, Money.WhatIf.NOTHING);
            assertThat(money.tells().lambda()).isEqualTo(lambda, within(1e-12));
            assertThat(money.putRight().mean()).isEqualTo(putRight, within(1e-9));
            assertThat(money.unknown()).isEqualTo(unknown, within(1e-9));
            assertThat(money.untested()).isSortedAccordingTo((a, b) -> Double.compare(b.worth(), a.worth()));
            double offer = putRight + unknown > asking - 225 ? 225 : Math.max(225, Math.min(asking, asking - putRight - 0.5 * unknown));
            assertThat(money.offer().orElseThrow().offer()).isEqualTo(offer, within(1e-9));
        }
    }

    /** Rows of the table above by what stands in them, as key, mean and share; an axis' apart from another's. */
    private static List<double[]> ways(Step step, double most) {
        int axis = step.axis().map(a -> a.written().hashCode() % 997).orElse(0);
        return switch (step.system().name()) {
            case "bed" -> List.of(new double[] {1 + axis * 10, mean(50, 200, 800, most), 2 / 3.0}, new double[] {2 + axis * 10,
                    mean(300, 900, 3000, most), 1 / 3.0});
            case "spindle" -> List.of(new double[] {3 + axis * 10, mean(100, 500, 1500, most), 1});
            case "carriage" -> List.of(new double[] {4 + axis * 10, mean(20, 80, 200, most), 1});
            case "lamp" -> List.of(new double[] {5 + axis * 10, mean(1, 5, 15, most), 1});
            default -> List.of();
        };
    }

    private static Map<Double, Double> means(double most) {
        Map<Double, Double> means = new HashMap<>();
        for (Step step : new SurveyBook(Machines.twelve(), Scope.WHOLE, 20).ledger().steps()) {
            ways(step, most).forEach(w -> means.put(w[0], w[1]));
        }
        return means;
    }

    private static double mean(double low, double likely, double high, double most) {
        return (Math.min(low, most) + 4 * Math.min(likely, most) + Math.min(high, most)) / 6;
    }

    /** While nothing failed an element is in the unknown by its posterior; from the first growl on the drive is in put-right alone. */
    @Test
    void theDriveIsInOneOfTheTwo() {
        Money blank = driveMoney();
        assertThat(blank.untested().stream().filter(u -> u.step().isEmpty()).mapToDouble(Money.Untested::chance)).allMatch(
                c -> Math.abs(c - 0.03) < 1e-3);
        book.run(List.of("B", "2"), "180", false);
        Money passed = driveMoney();
        assertThat(passed.unknown()).isLessThan(blank.unknown());
        assertThat(passed.untested().stream().filter(u -> u.element().equals("gear 2")).findFirst().orElseThrow().chance())
                .as("0.03·0.1/(0.97 + 0.03·0.1), about").isEqualTo(0.0031, within(0.0003));
        book.run(List.of("C", "3"), "710", false, Symptom.GROWLS);
        Money growled = driveMoney();
        assertThat(growled.untested().stream().filter(u -> u.step().isEmpty())).isEmpty();
        double first = growled.putRight().mean();
        assertThat(first).isPositive();
        book.run(List.of("C", "3"), "710", false, Symptom.GROWLS);
        assertThat(driveMoney().putRight().mean()).as("two growls of one gear are one repair").isLessThan(1.5 * first);
    }

    private Money driveMoney() {
        House house = House.shipped(List.of(), List.of(repair(Repair.ELEMENT, "GEAR", "pair", 540), repair(Repair.ELEMENT, "MOTOR", "motor",
                350), repair("GROWLS", "GEAR", "bearing", 200), repair("GROWLS", "GEAR", "pair", 540)));
        return Money.of(Survey.fold(book.machine(), house, book.entries()), Money.WhatIf.NOTHING);
    }

    private static Repair repair(String about, String element, String what, int cost) {
        BigDecimal c = BigDecimal.valueOf(cost);
        return new Repair(about, element, what, Spread.NONE, new Spread(c, c, c));
    }

    /** Two steps of one system ask for one repair; a repair that put-right pays is no unknown any more. */
    @Test
    void whatIsPaidAlreadyIsNotUnknown() {
        double before = money().unknown();
        Step bed = survey().steps().inScope().stream().filter(s -> s.system().name().equals("bed")
                && s.recording() instanceof Inspection)
                .findFirst().orElseThrow();
        book.step(bed.id().written(), true);
        Money found = money();
        assertThat(found.putRight().mean()).isEqualTo(2 / 3.0 * 1650 / 6 + 1 / 3.0 * 1150, within(1e-9));
        assertThat(found.unknown()).isLessThan(before);
    }

    /** The repair somebody chose stands for the mixture, and another finding that leads to it does not pay it twice. */
    @Test
    void aRepairIsChosen() {
        Step bed = survey().steps().inScope().stream().filter(s -> s.system().name().equals("bed")
                && s.recording() instanceof Inspection)
                .findFirst().orElseThrow();
        int entry = book.step(bed.id().written(), true).sequence();
        House house = House.shipped(List.of(), List.of(repair("bed", "", "shim", 100), repair("bed", "", "regrind", 3000)));
        assertThat(Money.of(Survey.fold(book.machine(), house, book.entries()), Money.WhatIf.NOTHING).putRight().mean())
                .isEqualTo(2 / 3.0 * 100 + 1000, within(1e-9));
        book.write(SurveyEntries.regraded(by(), Regrade.parse(entry, Severity.SOON, "it rocks", Regrade.Whose.FAULT, "", "", "", "shim"),
                bed.ifBad()));
        Money chosen = Money.of(Survey.fold(book.machine(), house, book.entries()), Money.WhatIf.NOTHING);
        assertThat(chosen.putRight().mean()).isEqualTo(100, within(1e-9));
        assertThat(chosen.priced()).extracting(Money.PricedFinding::by).containsExactly(Money.By.CHOSEN);
    }

    /** A missing piece nobody priced is put at what the house begins with, for a machine of this size; papers are not. */
    @Test
    void missingKitHasAStartingPrice() {
        House house = House.shipped(List.of(), List.of(repair("KIT", "", "chuck", 100), repair("KIT", "", "four-jaw chuck", 250),
                repair("KIT", "", "vice", 220)));
        book.write(SurveyEntries.kit(by(), KitItem.parse("Four-jaw chuck", KitItem.State.MISSING, "", "", "", "", "")));
        book.write(SurveyEntries.kit(by(), KitItem.parse("service manual", KitItem.State.MISSING, "", "", "", "", "")));
        book.write(SurveyEntries.kit(by(), KitItem.parse("three-jaw chuck", KitItem.State.AWAITED, "", "", "70", "", "")));
        Money money = Money.of(Survey.fold(book.machine(), house, book.entries()), Money.WhatIf.NOTHING);
        assertThat(money.kit()).isEqualTo(320);
        assertThat(money.unpricedKit()).isEqualTo(1);
        book.write(SurveyEntries.priced(by(), Stakes.typed("4000", "", "£", Background.IN_DAILY_USE.name(), "48 000 kg", "",
                "", LengthUnit.MM)));
        assertThat(Money.of(Survey.fold(book.machine(), house, book.entries()), Money.WhatIf.NOTHING).kit()).isEqualTo(625 + 70);
    }

    /** A stop that does its work and takes too long is the brake's; one that does not hold is the button's. */
    @Test
    void whatRunsDownTooLongIsItsBrake() {
        House house = House.shipped(List.of(), List.of(repair("stop", "", "button renewed", 40), repair("STOPS_LATE", "", "brake lined",
                300)));
        book.step("emergency-stop", false, "log", "runs 0\nstop-pressed 3\nstops 28\nstop-released 30\nstays-stopped 45\nstarted 50");
        Money late = Money.of(Survey.fold(book.machine(), house, book.entries()), Money.WhatIf.NOTHING);
        assertThat(late.putRight().mean()).isEqualTo(300, within(1e-9));
        assertThat(late.priced().get(0).finding().what().toString()).contains("cycle.runs-down");
        book.step("emergency-stop", true, "log", "runs 0\nstop-pressed 3\nstops 28\nstop-released 30\nstarts-by-itself 31");
        Money hazard = Money.of(Survey.fold(book.machine(), house, book.entries()), Money.WhatIf.NOTHING);
        assertThat(hazard.putRight().mean()).isEqualTo(40, within(1e-9));
        assertThat(hazard.priced().get(0).finding().what().toString()).doesNotContain("cycle.runs-down");
    }

    /** What looking at one step is worth, looked at or not; what the table has nothing for is worth nothing that is known. */
    @Test
    void whatLookingIsWorth() {
        Step bed = survey().steps().inScope().stream().filter(s -> s.system().name().equals("bed") && s.ifBad() == Severity.SOON)
                .findFirst().orElseThrow();
        Money.Untested worth = Money.worth(survey(), bed).orElseThrow();
        double mean = 2 / 3.0 * 1650 / 6 + 1 / 3.0 * 1150;
        assertThat(worth.worth()).isEqualTo(0.10 * mean, within(1e-9));
        assertThat(worth.perMinute()).isEqualTo(0.10 * mean * 60 / bed.seconds(), within(1e-9));
        assertThat(money().next(3)).hasSize(3).isSortedAccordingTo((a, b) -> Double.compare(b.perMinute(), a.perMinute()))
                .allMatch(u -> u.worth() > 0);
        Step nothing = survey().steps().inScope().stream().filter(s -> s.system().name().equals("tailstock")).findFirst().orElseThrow();
        assertThat(Money.worth(survey(), nothing)).as("no row of the table is about it").isEmpty();
    }

    @Test
    void onlyWhatSupposesSomethingIsAWhatIf() {
        assertThat(Money.WhatIf.NOTHING.isNothing()).isTrue();
        assertThat(new Money.WhatIf(Set.of(3), Set.of(), Set.of()).isNothing()).isFalse();
        assertThat(new Money.WhatIf(Set.of(), Set.of("lamp"), Set.of()).isNothing()).isFalse();
        assertThat(new Money.WhatIf(Set.of(), Set.of(), Set.of("lamp")).isNothing()).isFalse();
    }

    /** A check of the drive rests on no row of the table; a piece of kit that is owed is reckoned by itself. */
    @Test
    void whyAFindingHasNoPriceIsSaid() {
        book.write(SurveyEntries.check(by(), SurveyBook.BASIS, survey().rules(), DriveCheck.BRAKE, false, "", "drags"));
        assertThat(money().priced()).extracting(Money.PricedFinding::by).containsExactly(Money.By.NOT_IN_TABLE);
        book.write(SurveyEntries.kit(by(), KitItem.parse("chuck key", KitItem.State.MISSING, "the seller", "", "20", "", "")));
        assertThat(money().priced()).extracting(Money.PricedFinding::by).containsExactlyInAnyOrder(Money.By.NOT_IN_TABLE, Money.By.KIT);
        assertThat(money().kit()).isEqualTo(20);
    }

    /** Looked at it leaves the unknown; bad it goes to what must be put right and tells of the rest, good it tells too. */
    @Test
    void whatIfTheWaysAreLookedAt() {
        prices("4000", Background.IN_DAILY_USE);
        Money as = money();
        Money.Untested bed = as.untested().stream().filter(u -> u.step().filter(s -> s.system().name().equals("bed")).isPresent())
                .findFirst().orElseThrow();
        String id = bed.step().orElseThrow().id().written();
        Money good = Money.of(survey(), new Money.WhatIf(Set.of(), Set.of(id), Set.of()));
        Money bad = Money.of(survey(), new Money.WhatIf(Set.of(), Set.of(), Set.of(id)));
        assertThat(good.untested()).extracting(Money.Untested::step).doesNotContain(bed.step());
        assertThat(good.offer().orElseThrow().offer()).isGreaterThan(as.offer().orElseThrow().offer());
        assertThat(bad.putRight().mean()).isEqualTo(2 / 3.0 * 1650 / 6 + 1 / 3.0 * 1150, within(1e-9));
        assertThat(bad.tells().lambda()).isGreaterThan(1).isGreaterThan(good.tells().lambda());
        assertThat(good.tells().lambda()).isLessThan(1);
        assertThat(survey().entries()).as("nothing of it is recorded").hasSize(2);
    }

    /** Each raise is what the offer would be with that alone less what it is, the most first; without a price there is none. */
    @Test
    void whatRaisesTheOfferMost() {
        assertThat(money().raises(survey(), 3)).isEmpty();
        prices("9000", Background.IN_DAILY_USE);
        int growl = book.run(List.of("B", "2"), "180", false, Symptom.GROWLS).sequence();
        Money as = money();
        List<Money.Raise> raises = as.raises(survey(), 3);
        assertThat(raises).hasSize(3).isSortedAccordingTo((a, b) -> Double.compare(b.by(), a.by()));
        assertThat(raises).filteredOn(r -> r.finding().isPresent()).singleElement().satisfies(r -> assertThat(r.by()).isEqualTo(
                Money.of(survey(), new Money.WhatIf(Set.of(growl), Set.of(), Set.of())).offer().orElseThrow().offer() - as.offer()
                        .orElseThrow().offer(),
                within(1e-9)));
        assertThat(raises.get(0).by()).isPositive();
    }

    @Test
    void theGlanceSaysNoMoreThanWasLookedAt() {
        Survey blank = survey();
        assertThat(VerdictGlance.of(blank, money()).use()).extracting(r -> r.code()).containsExactly("glance.little");
        List<String> done = new ArrayList<>();
        for (Step step : blank.steps().steps()) {
            if (step.recording() instanceof Inspection) {
                book.step(step.id().written(), false);
                done.add(step.id().written());
            }
        }
        assertThat(done).isNotEmpty();
        VerdictGlance looked = VerdictGlance.of(survey(), money());
        assertThat(looked.use()).extracting(r -> r.code()).containsExactly(money().known() >= 0.5 ? "glance.nothing" : "glance.little");
        Step stops = blank.steps().steps().stream().filter(s -> s.recording() instanceof Inspection && s.ifBad() == Severity.STOP_USE)
                .findFirst().orElseThrow();
        book.step(stops.id().written(), true);
        assertThat(VerdictGlance.of(survey(), money()).use().get(0).code()).isEqualTo("glance.stop");
        assertThat(VerdictGlance.of(survey(), money()).worst().get(0).severity()).isEqualTo(Severity.STOP_USE);
    }

    /** How much was done of how much, and of that how much was not good; none at first. */
    @Test
    void theGlanceCountsWhatWasDone() {
        Reason none = VerdictGlance.of(survey(), money()).done();
        assertThat(none.code()).isEqualTo("glance.none-done");
        Object all = none.arguments().get(0);
        List<Step> seen = survey().steps().steps().stream().filter(s -> s.recording() instanceof Inspection).limit(3).toList();
        book.step(seen.get(0).id().written(), false);
        book.step(seen.get(1).id().written(), false);
        assertThat(VerdictGlance.of(survey(), money()).done().arguments().subList(0, 5)).containsExactly(2, all, 0, 0, 0);
        book.step(seen.get(2).id().written(), true);
        Reason done = VerdictGlance.of(survey(), money()).done();
        assertThat(done.code()).isEqualTo("glance.done");
        assertThat(done.arguments().subList(0, 5)).containsExactly(3, all, 1, 1, 0);
    }

    /** Three findings lead; that there are more is said with their number. */
    @Test
    void theGlanceSaysHowManyMoreThereAre() {
        List<Step> bad = survey().steps().steps().stream().filter(s -> s.recording() instanceof Inspection && s.ifBad() != Severity.NOTE)
                .limit(5).toList();
        for (int found = 1; found <= bad.size(); found++) {
            book.step(bad.get(found - 1).id().written(), true);
            VerdictGlance glance = VerdictGlance.of(survey(), money());
            assertThat(glance.worst()).hasSize(Math.min(3, found));
            assertThat(glance.more()).isEqualTo(Math.max(0, found - 3));
        }
    }

    /** At every corner of the curve stands what the unknown is when those steps have been looked at and were good, λ left as it is. */
    @Test
    void theCurveIsWhatIsLeft() {
        Money money = money();
        List<double[]> curve = money.overMinutes();
        assertThat(curve).hasSize(money.next(Integer.MAX_VALUE).size() + 1);
        assertThat(curve.get(0)[1]).isEqualTo(money.unknown(), within(1e-9));
        assertThat(curve.get(1)[1]).isEqualTo(money.unknown() - money.next(1).get(0).worth(), within(money.unknown() * 0.2));
        assertThat(curve.get(curve.size() - 1)[1]).as("nothing of the steps is left").isEqualTo(0, within(1e-6));
        assertThat(curve.stream().map(c -> -c[1]).toList()).isSorted();
    }
}
