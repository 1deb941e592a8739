package tallledger.core.cycle;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import tallledger.core.cycle.CycleResult.Verdict;
import tallledger.core.cycle.CycleScript.Whose;
import tallledger.core.cycle.CycleScripts.Setting;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rules;

class CycleTest {

    private static CycleResult run(CycleScript script, String log) {
        return CycleResult.of(script, CycleLog.parse(log.replace(" / ", "\n"), script.events()), Rules.shipped());
    }

    private static List<String> said(CycleResult result) {
        return result.lines().stream().map(l -> l.event() + " " + l.verdict()).toList();
    }

    private static CycleScript house(String code) {
        return CycleScripts.of(code, Map.of(), Rules.shipped());
    }

    @Test
    void aGuardThatStaysStoppedIsRight() {
        CycleResult result = run(house("guard"), "runs 0 / guard-opened 3 / stops 5.5 / guard-closed 9 / stays-stopped 14 / started 16");
        assertThat(result.isRight()).isTrue();
        assertThat(result.lines().get(2).took()).contains(new BigDecimal("2.5"));
    }

    @Test
    void aGuardThatRestartsTheMachineIsAHazard() {
        CycleResult result = run(house("guard"), "runs 0 / guard-opened 3 / stops 5.5 / guard-closed 9 / starts-by-itself 10.2");
        assertThat(result.isHazard()).isTrue();
        assertThat(said(result)).contains("starts-by-itself FORBIDDEN", "stays-stopped MISSING", "started MISSING");
    }

    @ParameterizedTest
    @CsvSource({"12.1, RIGHT", "12.2, RIGHT", "12.3, LATE"})
    void aWindowAllowsTheHandItsReaction(String stops, Verdict verdict) {
        CycleResult result = run(house("emergency-stop"), "runs 0 / stop-pressed 0 / stops " + stops
                + " / stop-released 20 / stays-stopped 24 / started 25");
        assertThat(result.lines().get(2).verdict()).isEqualTo(verdict);
    }

    @Test
    void aDwellIsJudgedAtEachEnd() {
        CycleScript script = CycleScripts.of("table-reversal", Map.of(Setting.DWELL_LEFT, new BigDecimal("4"), Setting.DWELL_RIGHT,
                new BigDecimal("4")), Rules.shipped());
        // 4 s ± a quarter: 3 to 5, and 0.2 s of hand.
        CycleResult result = run(script, "left-dog 0 / leaves-left 4.2 / right-dog 9 / leaves-right 11 / left-dog 16");
        assertThat(said(result)).containsExactly("left-dog RIGHT", "leaves-left RIGHT", "right-dog RIGHT", "leaves-right EARLY",
                "left-dog RIGHT");
    }

    @Test
    void sparkOutCountsItsPassesExactly() {
        CycleScript script = CycleScripts.of("spark-out", Map.of(Setting.PASSES, new BigDecimal("3")), Rules.shipped());
        assertThat(run(script, "at-zero 0 / pass 3 / pass 6 / pass 9 / chuck-stops 10 / wheel-stops 11 / table-parks 13").isRight())
                .isTrue();
        assertThat(said(run(script, "at-zero 0 / pass 3 / pass 6 / chuck-stops 10 / wheel-stops 11 / table-parks 13")))
                .contains("pass MISSING");
        assertThat(said(run(script, "at-zero 0 / pass 3 / pass 6 / pass 9 / pass 12 / chuck-stops 14 / wheel-stops 15 / table-parks 17")))
                .contains("pass EXTRA");
    }

    @Test
    void whatComesInTheWrongPlaceIsOutOfOrder() {
        CycleResult result = run(house("dead-stop"), "infeed-on 0 / sparks-out 4 / at-dead-stop 6 / retreats 9");
        assertThat(result.lines()).extracting(CycleResult.EventLine::verdict).contains(Verdict.OUT_OF_ORDER)
                .doesNotContain(Verdict.MISSING, Verdict.EXTRA);
    }

    @Test
    void huntingIsAFailureAndNoHazard() {
        CycleResult result = run(house("commanded-shift"),
                "set-below 0 / runs 2 / set-above 5 / stops 6 / shifts 7 / hunts 8 / hunts 9 / runs 12");
        assertThat(result.isRight()).isFalse();
        assertThat(result.isHazard()).isFalse();
        assertThat(result.wrong()).extracting(CycleResult.EventLine::verdict).containsExactly(Verdict.FORBIDDEN, Verdict.FORBIDDEN);
    }

    @ParameterizedTest
    @CsvSource({"infeed-left, left-dog 0 / infeeds-left 1 / right-dog 5 / left-dog 10 / infeeds-left 11 / right-dog 15, true",
            "infeed-right, left-dog 0 / right-dog 5 / infeeds-right 6 / left-dog 10 / right-dog 15 / infeeds-right 16, true",
            "infeed-both, left-dog 0 / infeeds 1 / right-dog 5 / infeeds 6 / left-dog 10 / infeeds 11 / right-dog 15 / infeeds 16, true",
            "infeed-none, left-dog 0 / right-dog 5 / left-dog 10 / right-dog 15, true",
            "infeed-none, left-dog 0 / infeeds 1 / right-dog 5 / left-dog 10 / right-dog 15, false",
            "down-feed-both, inner-reversal 0 / down-feeds 1 / outer-reversal 5 / down-feeds 6 / inner-reversal 10 / down-feeds 11 / "
                    + "outer-reversal 15 / down-feeds 16, true",
            "clamp-arm, clamp-pressed 0 / arm-holds 5.6 / release-pressed 9 / arm-moves 10, false"})
    void theHouseScriptsSayWhatTheMachineShouldDo(String code, String log, boolean right) {
        assertThat(run(house(code), log).isRight()).isEqualTo(right);
    }

    static List<String> codes() {
        return CycleScripts.codes();
    }

    /** A script gone through as it should be, as often as it must, each wait just long enough. */
    private static String right(CycleScript script) {
        List<CycleScript.Expected> row = new ArrayList<>();
        for (int round = 0; round < script.rounds().map(CycleScript.Rounds::least).orElse(1); round++) {
            row.addAll(script.expected());
        }
        if (script.rounds().filter(CycleScript.Rounds::closes).isPresent()) {
            row.add(script.expected().get(0));
        }
        StringBuilder log = new StringBuilder();
        BigDecimal at = BigDecimal.ZERO;
        for (CycleScript.Expected e : row) {
            for (int i = 0; i < e.least(); i++) {
                at = log.isEmpty() ? at : at.add(e.window().map(CycleScript.Window::least).orElse(BigDecimal.ONE));
                log.append(e.event()).append(' ').append(at.toPlainString()).append(" / ");
            }
        }
        return log.toString().replaceAll(" / $", "");
    }

    @ParameterizedTest
    @MethodSource("codes")
    void everyHouseScriptGoesRightWhenDoneRight(String code) {
        assertThat(run(house(code), right(house(code))).isRight()).isTrue();
    }

    /** All that is known is that it was right so far. */
    @ParameterizedTest
    @MethodSource("codes")
    void aLogThatBreaksOffIsUndecidedAndNeverAFailure(String code) {
        String whole = right(house(code));
        CycleResult result = run(house(code), whole.substring(0, whole.lastIndexOf(" / ")));
        assertThat(result.isRight()).isFalse();
        assertThat(result.breaksOff()).isTrue();
    }

    @Test
    void aLogWithAHoleInItDoesNotBreakOff() {
        assertThat(run(house("guard"), "runs 0 / guard-opened 3 / guard-closed 9 / stays-stopped 14 / started 16").breaksOff()).isFalse();
        assertThat(run(house("guard"), "runs 0 / guard-opened 3 / starts-by-itself 4").breaksOff()).isFalse();
    }

    /** Seen from the other dog, or many times over, it is the same cycle. */
    @ParameterizedTest
    @ValueSource(strings = {"right-dog 0 / leaves-right 2 / left-dog 8 / leaves-left 10 / right-dog 16",
            "left-dog 0 / leaves-left 2 / right-dog 8 / leaves-right 10 / left-dog 16 / leaves-left 18 / right-dog 24 / leaves-right 26 / "
                    + "left-dog 32"})
    void aCycleIsJudgedFromWhereItBeganAndEachTimeRound(String log) {
        assertThat(run(house("table-reversal"), log).isRight()).isTrue();
    }

    @Test
    void theSecondTimeRoundIsJudgedLikeTheFirst() {
        CycleResult result = run(house("table-reversal"),
                "left-dog 0 / leaves-left 2 / right-dog 8 / leaves-right 10 / left-dog 16 / leaves-left 21 / right-dog 24"
                        + " / leaves-right 26 / left-dog 32");
        assertThat(said(result)).containsExactly("left-dog RIGHT", "leaves-left RIGHT", "right-dog RIGHT", "leaves-right RIGHT",
                "left-dog RIGHT", "leaves-left LATE", "right-dog RIGHT", "leaves-right RIGHT", "left-dog RIGHT");
        String twice = "clamp-pressed 0 / arm-holds 1 / release-pressed 3 / arm-moves 4 / clamp-pressed 8 / arm-holds 9 / "
                + "release-pressed 12 / arm-moves 13";
        assertThat(run(house("clamp-arm"), twice).isRight()).isTrue();
        assertThat(said(run(house("clamp-arm"), twice.replace("arm-holds 9", "arm-holds 11.5")))).contains("arm-holds LATE");
    }

    /** No dwell is a dwell: 0 s, 0.3 s of house and 0.2 s of hand; each end its own. */
    @ParameterizedTest
    @CsvSource({"0.5, RIGHT", "0.6, LATE"})
    void aDwellMayBeNoneAndIsSetForEachEnd(String leaves, Verdict verdict) {
        CycleScript script = CycleScripts.of("table-reversal",
                Map.of(Setting.DWELL_LEFT, BigDecimal.ZERO, Setting.DWELL_RIGHT, new BigDecimal("4")), Rules.shipped());
        CycleResult result = run(script, "left-dog 0 / leaves-left " + leaves + " / right-dog 9 / leaves-right 13 / left-dog 20");
        assertThat(said(result)).containsExactly("left-dog RIGHT", "leaves-left " + verdict, "right-dog RIGHT", "leaves-right RIGHT",
                "left-dog RIGHT");
    }

    /** The machine's own book may want a quarter of an hour of standing still: that is no house rule any more, and it says so. */
    @Test
    void aWaitIsAsLongAsItIsSet() {
        CycleScript script = CycleScripts.of("guard", Map.of(Setting.WAIT, new BigDecimal("900")), Rules.shipped());
        String log = "runs 0 / guard-opened 3 / stops 5 / guard-closed 9 / stays-stopped %s / started 1000";
        assertThat(run(script, log.formatted("909")).isRight()).isTrue();
        assertThat(said(run(script, log.formatted("900")))).contains("stays-stopped EARLY");
        assertThat(script.expected().get(4).window().orElseThrow().whose()).isEqualTo(Whose.SET);
        assertThat(house("guard").expected().get(4).window().orElseThrow().whose()).isEqualTo(Whose.HOUSE);
        assertThat(ScriptText.parse("runs\nstops 0-3 s").expected().get(1).window().orElseThrow().whose()).isEqualTo(Whose.OWN);
    }

    /** What a key is called, however it is written. */
    @ParameterizedTest
    @ValueSource(strings = {"pedal-down 0", "pedal down 0", "Pedal Down  0", " PEDAL-down 0 "})
    void aLogTakesTheWordsOnTheKeys(String line) {
        assertThat(CycleLog.parse(line, CycleScripts.events("pedal")).taps().get(0).event()).isEqualTo("pedal-down");
    }

    @Test
    void aPersonWritesTheirOwnScript() {
        CycleScript script = ScriptText.parse("runs\npass x2-3\nstops 0-3 s\nnever feeds on\nhazard starts by itself");
        assertThat(script.events()).containsExactly("runs", "pass", "stops", "feeds on", "starts by itself");
        assertThat(run(script, "runs 0 / pass 2 / pass 4 / stops 6").isRight()).isTrue();
        assertThat(run(script, "runs 0 / pass 2 / pass 4 / pass 5 / stops 6").isRight()).isTrue();
        assertThat(run(script, "runs 0 / pass 2 / stops 6").isRight()).isFalse();
        assertThat(run(script, "runs 0 / pass 2 / pass 4 / stops 6 / starts by itself 8").isHazard()).isTrue();
    }

    @ParameterizedTest
    @CsvSource({"runs, log.line", "runs 5 / guard-opened 3, log.order", "dances 3, log.event", "runs 20000, log.late", "'', log.empty"})
    void aLogThatCannotBeNamesItsLine(String log, String code) {
        assertThatThrownBy(() -> CycleLog.parse(log.replace(" / ", "\n"), CycleScripts.events("guard")))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.reason().code()).isEqualTo(code));
    }

    @ParameterizedTest
    @CsvSource({"'', script.events", "stops 3-1 s, script.window", "pass x9-2, script.count", "12 monkeys, script.line"})
    void aScriptThatCannotBeSaysWhy(String text, String code) {
        assertThatThrownBy(() -> ScriptText.parse(text))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.reason().code()).isEqualTo(code));
    }

    @Test
    void aScriptThatIsStillBeingWrittenIsReadAsFarAsItGoes() {
        List<ScriptText.WrittenEvent> soFar =
                ScriptText.soFar("opens\nopens x2\ncloses x4-2\nsinks 3-1 s\n\nrises 1.5\nnever drops\nnever \nhazard opens");
        assertThat(soFar).extracting(ScriptText.WrittenEvent::name).containsExactly("opens", "drops", "never");
        assertThat(soFar.get(0).forbidden()).isEmpty();
        assertThat(soFar.get(1).forbidden()).contains(new CycleScript.Never("drops", false));
        assertThat(ScriptText.soFar("hazard drops").get(0).forbidden()).contains(new CycleScript.Never("drops", true));
        assertThat(ScriptText.soFar("")).isEmpty();
    }
}
