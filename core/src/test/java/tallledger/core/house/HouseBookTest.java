package tallledger.core.house;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import tallledger.core.blame.Check;
import tallledger.core.ledger.Author;
import tallledger.core.ledger.Authorship;
import tallledger.core.ledger.Draft;
import tallledger.core.ledger.Entry;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.Unit;

class HouseBookTest {

    private static final Check OIL = check("GROWLS", "", "Look at the oil", "0");
    private static final Check GEAR = check("GROWLS", "GEAR", "Cover off", "300");
    private final List<Entry> entries = new ArrayList<>();

    private static Check check(String about, String element, String what, String cost) {
        return Check.of(about, element, what, new BigDecimal(cost), new BigDecimal(cost), new BigDecimal(cost));
    }

    private static List<BigDecimal> figures(String... these) {
        return List.of(these).stream().map(BigDecimal::new).toList();
    }

    private void write(HouseChange change) {
        write(change.draft(Authorship.of(Instant.parse("2026-05-09T08:00:00Z"), "Q")));
    }

    private void write(Draft draft) {
        entries.add(Entry.following(entries.isEmpty() ? Optional.empty() : Optional.of(entries.get(entries.size() - 1)), draft));
    }

    private HouseBook book() {
        return HouseBook.of(entries, List.of(OIL));
    }

    @Test
    void anEmptyBookIsAsItShips() {
        assertThat(book().newest()).isEqualTo(House.shipped(List.of(OIL)));
        assertThat(book().isIssued()).isFalse();
        assertThat(book().at(7).version()).isEqualTo(House.FIRST);
    }

    @Test
    void everyVersionStaysWhatItWas() {
        write(HouseChange.Issued.now(List.of(OIL)));
        write(new HouseChange.Ruled(Rule.SPEED_TOLERANCE, figures("4"), "a stricter buyer"));
        write(new HouseChange.Timed("lock", 90, "ours are stiff"));
        write(new HouseChange.CheckRow(Optional.empty(), Optional.of(GEAR), "seen twice"));
        HouseBook book = book();
        assertThat(book.strays()).isEmpty();
        assertThat(book.isIssued()).isTrue();
        assertThat(book.at(1).rules().number(Rule.SPEED_TOLERANCE)).isEqualByComparingTo("6");
        assertThat(book.at(2).rules().number(Rule.SPEED_TOLERANCE)).isEqualByComparingTo("4");
        assertThat(book.at(2).rules().seconds("lock", 45)).isEqualTo(45);
        assertThat(book.at(3).rules().seconds("lock", 45)).isEqualTo(90);
        assertThat(book.at(3).checks()).containsExactly(OIL);
        assertThat(book.newest().checks()).containsExactly(OIL, GEAR);
        assertThat(book.newest().version()).isEqualTo(4);
        assertThat(book.newest().hash()).isEqualTo(entries.get(3).hash());
        assertThat(book.historyOf(Rule.SPEED_TOLERANCE)).extracting(c -> c.entry().sequence()).containsExactly(2);
        assertThat(book.historyOfStep("lock")).extracting(c -> c.entry().sequence()).containsExactly(3);
        assertThat(book.newest().rules().isChanged(Rule.SPEED_TOLERANCE)).isTrue();
        assertThat(book.newest().rules().isChanged(Rule.COLD_STEP)).isFalse();
    }

    /** What a later release ships does not touch what the house changed, and an older version keeps the older figures. */
    @Test
    void aLaterReleaseIssuesItsOwnFiguresBesideTheHouses() {
        write(new HouseChange.Issued(Map.of("SPEED_TOLERANCE", figures("7"), "COLD_STEP", figures("3"), "NO_SUCH", figures("1")),
                List.of(OIL), List.of()));
        write(new HouseChange.Ruled(Rule.COLD_STEP, figures("2"), "old bearings"));
        assertThat(book().isIssued()).as("not what this release ships").isFalse();
        write(HouseChange.Issued.now(List.of(GEAR)));
        HouseBook book = book();
        assertThat(book.at(1).rules().number(Rule.SPEED_TOLERANCE)).isEqualByComparingTo("7");
        assertThat(book.newest().rules().number(Rule.SPEED_TOLERANCE)).isEqualByComparingTo("6");
        assertThat(book.newest().rules().number(Rule.COLD_STEP)).as("the house's own stays").isEqualByComparingTo("2");
        assertThat(book.newest().checks()).containsExactly(GEAR);
        write(new HouseChange.ChecksListed(List.of(OIL, GEAR), "ours"));
        write(HouseChange.Issued.now(List.of(GEAR)));
        assertThat(book().newest().checks()).as("so does its own table").containsExactly(OIL, GEAR);
    }

    @ParameterizedTest
    @CsvSource({"RULE, rule, LATHE_NOSE, figures, 0.01", "RULE, rule, LATHE_NOSE, figures, 0.02 0.01 0.04",
            "RULE, rule, NO_SUCH, figures, 1", "RULE, rule, TWIST, figures, a b c",
            "STEP_TIME, step, lock, seconds, soon", "CHECKS, csv, x, y, z", "CHECK, was, x, y, z", "TUNE, rule, TWIST, figures, 1 1 1"})
    void whatCannotBeReadLeavesTheVersionBeforeInForce(String kind, String one, String text, String other, String values) {
        write(HouseChange.Issued.now(List.of(OIL)));
        Object second = other.equals("figures") ? List.of(values.split(" ")) : values;
        write(Draft.of(Authorship.of(Instant.parse("2026-05-09T08:00:00Z"), "Q"), kind, "",
                Map.of(one, text, other, second, "reason", "why")));
        write(new HouseChange.Ruled(Rule.COLD_STEP, figures("3"), "later"));
        HouseBook book = book();
        assertThat(book.strays()).containsOnlyKeys(2);
        assertThat(book.at(2).version()).isEqualTo(1);
        assertThat(book.newest().checks()).containsExactly(OIL);
    }

    private static Device device(String id, Instant until) {
        return new Device(id, " Phone of R. Ashdown ", Author.parse("R. Ashdown, inspector"), Optional.of(7L), true, until, "a".repeat(64));
    }

    /** Who was let in stands in the book, and changes nothing that is judged by. */
    @Test
    void devicesAreLetInAndPutOut() {
        Instant until = Instant.parse("2026-05-09T20:00:00Z");
        write(HouseChange.Issued.now(List.of(OIL)));
        write(new HouseChange.DevicePaired(device("d1", until)));
        write(new HouseChange.DevicePaired(device("d2", until)));
        write(new HouseChange.PairingRefused("192.168.1.40", HouseChange.PairingRefused.Wrong.OLD, 3));
        write(new HouseChange.DeviceOut("d1", "Phone of R. Ashdown"));
        write(new HouseChange.DeviceOut("d1", "Phone of R. Ashdown"));
        HouseBook book = book();
        assertThat(book.strays()).isEmpty();
        assertThat(book.newest().version()).as("the figures are those of entry 1").isEqualTo(1);
        assertThat(book.devices()).extracting(p -> p.device().id()).as("the newest first").containsExactly("d2", "d1");
        HouseBook.Paired second = book.devices().get(0);
        assertThat(second.device()).isEqualTo(device("d2", until));
        assertThat(second.device().name()).isEqualTo("Phone of R. Ashdown");
        assertThat(second.isIn(until.minusMillis(1))).isTrue();
        assertThat(second.isIn(until)).as("its time is over").isFalse();
        assertThat(book.devices().get(1).isIn(until.minusSeconds(60))).isFalse();
        assertThat(book.devices().get(1).out().orElseThrow().sequence()).as("put out once").isEqualTo(5);
        assertThat(book.refusals()).extracting(HouseBook.Change::what)
                .containsExactly(new HouseChange.PairingRefused("192.168.1.40", HouseChange.PairingRefused.Wrong.OLD, 3));
    }

    @ParameterizedTest
    @CsvSource({"DEVICE_OUT, id, nobody", "DEVICE, until, tomorrow", "DEVICE, author, ''", "DEVICE, proof, 12", "DEVICE, survey, x",
            "DEVICE, name, ' '", "DEVICE_REFUSED, why, BORED"})
    void aDeviceThatCannotBeReadLetsNobodyIn(String kind, String field, String bent) {
        Map<String, Object> payload = new HashMap<>(device("d1", Instant.parse("2026-05-09T20:00:00Z")).toPayload());
        payload.putAll(Map.of("from", "here", "why", "OLD", "tries", 1));
        payload.put(field, bent);
        write(Draft.of(Authorship.of(Instant.parse("2026-05-09T08:00:00Z"), "Q"), kind, "d1", payload));
        assertThat(book().strays()).containsOnlyKeys(1);
        assertThat(book().devices()).isEmpty();
    }

    @Test
    void aRowThatIsGoneIsNotChanged() {
        write(HouseChange.Issued.now(List.of(OIL)));
        HouseChange.CheckRow dearer =
                new HouseChange.CheckRow(Optional.of(GEAR), Optional.of(check("GROWLS", "GEAR", "Cover off", "400")), "prices");
        assertThatThrownBy(() -> book().with(dearer))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.reason().code()).isEqualTo("check.row-gone"));
        write(dearer);
        assertThat(book().strays()).containsOnlyKeys(2);
        write(new HouseChange.CheckRow(Optional.of(OIL), Optional.empty(), "never used"));
        assertThat(book().newest().checks()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"LATHE_NOSE, 0.01 0.02, rule.figures, ''", "LATHE_NOSE, 0.02 0.01 0.03, rule.crossed, sound",
            "LATHE_NOSE, 0.01 0.02 99, rule.range, workable", "FAULTY, 1.1, rule.range, value",
            "WORTH_GEAR, 0.5 -1, rule.range, cost", "SLIP, 8 1, rule.crossed, most", "TACHOMETER, 0.1 300, rule.range, calibration",
            "COLD_STEP, 0.5, rule.range, value"})
    void figuresThatMakeNoSenseAreRefusedAtTheirField(Rule rule, String typed, String code, String field) {
        assertThatThrownBy(() -> new HouseChange.Ruled(rule, figures(typed.split(" ")), "why")).isInstanceOfSatisfying(Refused.class, r -> {
            assertThat(r.reason().code()).isEqualTo(code);
            assertThat(r.field().orElse("")).isEqualTo(field);
        });
    }

    @Test
    void aChangeSaysWhy() {
        assertThatThrownBy(() -> new HouseChange.Ruled(Rule.COLD_STEP, figures("3"), " "))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.field()).contains("reason"));
        assertThatThrownBy(() -> new HouseChange.Timed("lock", 0, "why"))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.field()).contains("seconds"));
    }

    /** The names figures have in each shape, and their units. */
    @ParameterizedTest
    @EnumSource(Rule.class)
    void everyRuleShipsFiguresOfItsShape(Rule rule) {
        assertThat(rule.shipped()).hasSameSizeAs(rule.shape().figures());
        rule.check(rule.shipped());
        assertThat(Rule.named(rule.name())).contains(rule);
        assertThat(Rules.shipped().isChanged(rule)).isFalse();
        assertThat(Rules.shipped().with(rule, rule.shipped()).isChanged(rule)).isFalse();
    }

    @Test
    void figuresAreReadInTheirUnits() {
        Rules rules = Rules.shipped();
        assertThat(rules.share(Rule.SPEED_TOLERANCE)).isEqualByComparingTo("0.06");
        assertThat(rules.share(Rule.SLIP, 1)).isEqualByComparingTo("0.08");
        assertThat(rules.time(Rule.CONFIRMED_FOR)).hasMinutes(30);
        assertThat(rules.time(Rule.REACTION)).hasMillis(200);
        assertThat(rules.gauge(Rule.TACHOMETER).calibration()).isEqualByComparingTo("0.005");
        assertThat(rules.graded(Rule.BEARING_RISE).unit()).isEqualTo(Unit.KELVIN);
        assertThat(rules.worth(Rule.WORTH_GEAR)).isEqualTo(18.0);
        assertThat(Rule.TACHOMETER.unit(1)).isEqualTo(Unit.PERCENT);
        assertThat(Rule.WORTH_GEAR.unit(0)).isEqualTo(Unit.CHANCE);
    }

    /** What a change would make of the house, before it is written. */
    @Test
    void aChangeIsTriedWithoutBeingWritten() {
        write(HouseChange.Issued.now(List.of(OIL)));
        House tried = book().with(new HouseChange.Ruled(Rule.COLD_STEP, figures("3"), "old bearings"));
        assertThat(tried.version()).isEqualTo(2);
        assertThat(tried.rules().number(Rule.COLD_STEP)).isEqualByComparingTo("3");
        assertThat(tried.checks()).containsExactly(OIL);
        assertThat(book().newest().rules().isChanged(Rule.COLD_STEP)).isFalse();
        assertThat(book().with(new HouseChange.ChecksListed(List.of(GEAR), "ours")).checks()).containsExactly(GEAR);
        assertThat(book().with(new HouseChange.Timed("lock", 7, "quick")).rules().seconds("lock", 45)).isEqualTo(7);
    }

    @Test
    void aHistoryIsNewestFirst() {
        write(HouseChange.Issued.now(List.of(OIL)));
        write(new HouseChange.Ruled(Rule.COLD_STEP, figures("3"), "once"));
        write(new HouseChange.Ruled(Rule.SLIP, figures("1", "9"), "another"));
        write(new HouseChange.Ruled(Rule.COLD_STEP, figures("2"), "twice"));
        assertThat(book().historyOf(Rule.COLD_STEP)).extracting(c -> c.entry().sequence()).containsExactly(4, 2);
        assertThat(book().changes()).hasSize(4);
    }

    /** The ends of a range still make sense, and grades may be alike. */
    @ParameterizedTest
    @CsvSource({"FAULTY, 1", "FAULTY, 0", "COLD_STEP, 1", "COLD_STEP, 100", "LATHE_NOSE, 0.02 0.02 0.02", "SLIP, 5 5"})
    void theEndsOfARangeAreAllowed(Rule rule, String typed) {
        assertThat(Rules.shipped().with(rule, figures(typed.split(" "))).figures(rule)).isEqualTo(figures(typed.split(" ")));
    }

    @Test
    void rulesTakeNoFigureThatMakesNoSense() {
        assertThatThrownBy(() -> Rules.shipped().with(Rule.FAULTY, figures("2"))).isInstanceOf(Refused.class);
    }

    /** A release that ships fewer figures, or other checks, is another issue. */
    @Test
    void whatIsIssuedIsComparedWhole() {
        write(new HouseChange.Issued(HouseChange.Issued.now(List.of()).figures(), List.of(GEAR), List.of()));
        assertThat(book().isIssued()).as("other checks").isFalse();
        Map<String, List<BigDecimal>> less = new java.util.HashMap<>(HouseChange.Issued.now(List.of()).figures());
        less.put("SLIP", figures("1"));
        assertThat(HouseBook.of(List.of(Entry.following(Optional.empty(),
                new HouseChange.Issued(less, List.of(OIL), List.of()).draft(Authorship.of(Instant.EPOCH, "Q")))), List.of(OIL))
                .isIssued()).isFalse();
    }

    @Test
    void aReasonHasRoomForThreeHundredLetters() {
        assertThat(new HouseChange.Timed("lock", 7, "x".repeat(HouseChange.LONGEST_REASON)).reason()).hasSize(300);
        assertThatThrownBy(() -> new HouseChange.Timed("lock", 7, "x".repeat(HouseChange.LONGEST_REASON + 1))).isInstanceOf(Refused.class);
    }

    @Test
    void everyRuleStandsInAGroup() {
        for (Rule.Group group : Rule.Group.values()) {
            assertThat(java.util.Arrays.stream(Rule.values()).filter(r -> r.group() == group)).as(group.name()).isNotEmpty();
        }
    }
}
