package tallledger.core.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.util.ArrayList;
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
import tallledger.core.evidence.Recordings;
import tallledger.core.evidence.Severity;
import tallledger.core.family.Step;
import tallledger.core.house.House;
import tallledger.core.kit.KitItem;
import tallledger.core.ledger.By;
import tallledger.core.price.Background;
import tallledger.core.price.Cost;
import tallledger.core.price.Stakes;
import tallledger.core.survey.Regrade;
import tallledger.core.survey.Scope;
import tallledger.core.survey.StepResult;
import tallledger.core.survey.Survey;
import tallledger.core.survey.SurveyEntries;
import tallledger.core.survey.Worths;

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

    private By by() {
        return By.of(book.now(), SurveyBook.ME);
    }

    private void prices(String asking, Background from) {
        book.write(SurveyEntries.priced(by(), Stakes.typed(asking, "", "£", from.name())));
    }

    /** λ = (4 + k)/(4 + E); 5 bad where 2 were to be expected is 1.5. */
    @Test
    void theTestedTellsAboutTheUntested() {
        List<Step> looks = survey().steps().steps().stream()
                .filter(s -> s.recording() instanceof Recordings.Look && s.ifBad() == Severity.SOON).limit(20).toList();
        assertThat(looks).hasSizeGreaterThanOrEqualTo(12);
        for (int i = 0; i < looks.size(); i++) {
            book.step(looks.get(i).id().written(), i < 5);
        }
        double expected = looks.size() * 0.1;
        assertThat(money().tells()).isEqualTo(new Worths.Tells(5, money().tells().expected(), money().tells().lambda()));
        assertThat(money().tells().expected()).isEqualTo(expected, within(1e-9));
        assertThat(money().tells().lambda()).isEqualTo(9 / (4 + expected), within(1e-12));
        assertThat((4 + 5) / (4 + 2.0)).isEqualTo(1.5);
        prices("4000", Background.AUCTION_UNSEEN);
        assertThat(money().tells().expected()).as("twice as much is to be expected of one from an auction")
                .isEqualTo(2 * expected, within(1e-9));
    }

    @Test
    void withoutAPriceThereIsNoOffer() {
        assertThat(money().offer()).isEmpty();
        assertThat(money().unknown()).isPositive();
        prices("4000", Background.IN_DAILY_USE);
        assertThat(money().offer().orElseThrow().start()).isEqualTo(4000);
    }

    /** A person's cost before the table's; by design and a note cost nothing; the table's is from the least to the most. */
    @Test
    void aFindingCostsWhatAPersonSaysElseTheTable() {
        int growl = book.run(List.of("B", "2"), "180", false, Symptom.GROWLS).sequence();
        assertThat(money().priced()).singleElement().satisfies(p -> {
            assertThat(p.by()).isEqualTo(Money.By.TABLE);
            assertThat(p.cost()).contains(new Cost(0, 60, 1600));
        });
        book.write(SurveyEntries.regraded(by(), Regrade.parse(growl, Severity.SOON, "a bearing", Regrade.Whose.FAULT, "100/200/600", "",
                        ""), Severity.SOON));
        assertThat(money().putRight().mean()).isEqualTo(250, within(1e-9));
        assertThat(Money.of(survey(), new Money.WhatIf(Set.of(growl), Set.of(), Set.of())).putRight().mean()).isZero();
        book.write(SurveyEntries.regraded(by(), Regrade.parse(growl, Severity.SOON, "made so", Regrade.Whose.BY_DESIGN, "100/200/600", "",
                        ""), Severity.SOON));
        assertThat(money().priced()).extracting(Money.Priced::by).containsExactly(Money.By.BY_DESIGN);
        assertThat(money().putRight().mean()).isZero();
    }

    /** Whatever was recorded: Σ p·c, k, E and λ as another reading of the entries makes them. */
    @Test
    void theUnknownIsTheSumWrittenOut() {
        Random random = new Random(12);
        for (int trial = 0; trial < 40; trial++) {
            SurveyBook other = new SurveyBook(Machines.twelve(), Scope.WHOLE, 20);
            Background from = Background.values()[random.nextInt(4)];
            other.write(SurveyEntries.priced(By.of(other.now(), SurveyBook.ME), Stakes.typed("5000", "", "£", from.name())));
            for (Step step : other.ledger().steps()) {
                if (step.recording() instanceof Recordings.Look && random.nextInt(3) == 0) {
                    other.step(step.id().written(), random.nextInt(5) == 0);
                }
            }
            Survey survey = Survey.fold(other.machine(), HOUSE, other.entries());
            double[] p = {0.02, 0.05, 0.10, 0.20, 0};
            double[] times = {0.3, 1, 1.5, 2};
            Map<String, Double> dearest = Map.of("bed", (300 + 3600 + 3000) / 6.0, "spindle", (100 + 2000 + 1500) / 6.0, "carriage",
                    (20 + 320 + 200) / 6.0, "lamp", (1 + 20 + 15) / 6.0);
            double expected = 0;
            int bad = 0;
            for (StepResult r : survey.steps().latest().values()) {
                if (r.outcome() != Outcome.UNDECIDED) {
                    expected += p[r.step().ifBad().ordinal()] * times[from.ordinal()];
                    bad += r.outcome() == Outcome.FAILED ? 1 : 0;
                }
            }
            double lambda = (4 + bad) / (4 + expected);
            double unknown = 0;
            for (Step step : survey.steps().inScope()) {
                if (!survey.steps().latest().containsKey(step.id()) && !survey.steps().isSpared(step)) {
                    unknown += Math.min(0.9, p[step.ifBad().ordinal()] * times[from.ordinal()] * lambda)
                            * dearest.getOrDefault(step.system().name(), 0.0);
                }
            }
            Money money = Money.of(survey, Money.WhatIf.NOTHING);
            double elements = money.untested().stream().filter(u -> u.step().isEmpty()).mapToDouble(Money.Untested::worth).sum();
            // The twelve-speed box: a motor 0.03 · 350 and seven gears 0.03 · 600, none of them run.
            assertThat(elements).isEqualTo(Math.min(0.9, 0.03 * lambda) * (350 + 7 * 600), within(1e-9));
            assertThat(money.unknown() - elements).isEqualTo(unknown, within(1e-9));
            double all = 0.03 * (350 + 7 * 600);
            double tested = 0;
            for (Step step : survey.steps().inScope()) {
                double worth = Math.min(0.9, p[step.ifBad().ordinal()] * times[from.ordinal()]) * dearest.getOrDefault(step.system().name(),
                        0.0);
                all += worth;
                tested += survey.steps().latest().containsKey(step.id()) || survey.steps().isSpared(step) ? worth : 0;
            }
            assertThat(money.known()).isEqualTo(tested / all, within(1e-12));
            assertThat(money.untested()).isSortedAccordingTo((a, b) -> Double.compare(b.worth(), a.worth()));
            assertThat(money.offer().orElseThrow().offer()).isEqualTo(Math.max(0, 5000 - money.putRight().mean() - 0.5 * money.unknown()),
                    within(1e-9));
        }
    }

    /** What turned with a speed is known, good or bad, and no longer among the untested: motor and gears by what each is worth. */
    @Test
    void whatTurnedIsKnown() {
        double before = money().known();
        assertThat(before).isZero();
        double all = 0.03 * (350 + 7 * 600) / knownShareOfAll();
        book.run(List.of("B", "2"), "180", false);
        int good = Long.bitCount(survey().drive().coverage().exercised());
        assertThat(good).isGreaterThan(1);
        assertThat(money().known()).isEqualTo(0.03 * (350 + (good - 1) * 600) / all, within(1e-12));
        assertThat(money().untested().stream().filter(u -> u.step().isEmpty())).hasSize(8 - good);
        book.run(List.of("A", "1"), "10", false);
        long turned = survey().drive().coverage().exercised() | survey().drive().coverage().failedOn();
        assertThat(Long.bitCount(turned)).as("a gear failed on is known too").isGreaterThan(good);
        assertThat(money().known()).isEqualTo(0.03 * (350 + (Long.bitCount(turned) - 1) * 600) / all, within(1e-12));
        assertThat(money().untested().stream().filter(u -> u.step().isEmpty())).hasSize(8 - Long.bitCount(turned));
    }

    /** Share of all worth that the drive is, from the sums of the untested before anything is tested (λ is 1). */
    private double knownShareOfAll() {
        Money blank = money();
        return blank.untested().stream().filter(u -> u.step().isEmpty()).mapToDouble(Money.Untested::worth).sum() / blank.unknown();
    }

    /** What looking at one step is worth, looked at or not; what the table has nothing for is worth nothing that is known. */
    @Test
    void whatLookingIsWorth() {
        Step bed = survey().steps().inScope().stream().filter(s -> s.system().name().equals("bed") && s.ifBad() == Severity.SOON)
                .findFirst().orElseThrow();
        Money.Untested worth = Money.worth(survey(), bed).orElseThrow();
        assertThat(worth.worth()).isEqualTo(0.10 * 1150, within(1e-9));
        assertThat(worth.perMinute()).isEqualTo(0.10 * 1150 * 60 / bed.seconds(), within(1e-9));
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
        assertThat(money().priced()).extracting(Money.Priced::by).containsExactly(Money.By.NOT_IN_TABLE);
        book.write(SurveyEntries.kit(by(), KitItem.parse("chuck key", KitItem.State.MISSING, "the seller", "", "20", "", "")));
        assertThat(money().priced()).extracting(Money.Priced::by).containsExactlyInAnyOrder(Money.By.NOT_IN_TABLE, Money.By.KIT);
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
        assertThat(bad.putRight().mean()).isEqualTo(1150, within(1e-9));
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
                .orElseThrow().offer(), within(1e-9)));
        assertThat(raises.get(0).by()).isPositive();
    }

    @Test
    void theGlanceSaysNoMoreThanWasLookedAt() {
        Survey blank = survey();
        assertThat(Glance.of(blank, money()).use()).extracting(r -> r.code()).containsExactly("glance.little");
        List<String> done = new ArrayList<>();
        for (Step step : blank.steps().steps()) {
            if (step.recording() instanceof Recordings.Look) {
                book.step(step.id().written(), false);
                done.add(step.id().written());
            }
        }
        assertThat(done).isNotEmpty();
        Glance looked = Glance.of(survey(), money());
        assertThat(looked.use()).extracting(r -> r.code()).containsExactly(money().known() >= 0.5 ? "glance.nothing" : "glance.little");
        Step stops = blank.steps().steps().stream().filter(s -> s.recording() instanceof Recordings.Look && s.ifBad() == Severity.STOP_USE)
                .findFirst().orElseThrow();
        book.step(stops.id().written(), true);
        assertThat(Glance.of(survey(), money()).use().get(0).code()).isEqualTo("glance.stop");
        assertThat(Glance.of(survey(), money()).worst().get(0).severity()).isEqualTo(Severity.STOP_USE);
    }

    /** At every corner of the curve no other choice of steps within its minutes takes more off: against every choice of a few. */
    @Test
    void theCurveIsTheBestAtItsCorners() {
        Money money = money();
        List<Money.Untested> steps = money.next(Integer.MAX_VALUE);
        List<double[]> curve = money.overMinutes();
        assertThat(curve).hasSize(steps.size() + 1);
        int few = 12;
        assertThat(steps).hasSizeGreaterThan(few);
        for (int corner = 1; corner <= few; corner++) {
            double minutes = curve.get(corner)[0];
            double taken = money.unknown() - curve.get(corner)[1];
            double best = 0;
            for (int set = 0; set < 1 << few; set++) {
                double worth = 0;
                double time = 0;
                for (int i = 0; i < few; i++) {
                    if ((set >> i & 1) == 1) {
                        worth += steps.get(i).worth();
                        time += steps.get(i).seconds() / 60.0;
                    }
                }
                best = time <= minutes + 1e-9 ? Math.max(best, worth) : best;
            }
            assertThat(taken).as("corner " + corner).isEqualTo(best, within(1e-9));
        }
    }
}
