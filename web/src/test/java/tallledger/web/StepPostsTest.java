package tallledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.time.Clock;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.coverage.ShiftFeel;
import tallledger.core.evidence.InputKind;
import tallledger.core.ledger.Authorship;
import tallledger.core.machine.MachineDescription;
import tallledger.core.safety.Mounted;
import tallledger.core.survey.Basis;
import tallledger.core.survey.Scope;
import tallledger.core.survey.SurveyEntries;
import tallledger.core.unit.LengthUnit;
import tallledger.practice.KestrelVale;
import tallledger.web.library.MachineBooks;
import tallledger.web.library.StoredMachine;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyBooks;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.Books;
import tallledger.web.store.Submission;

/** Posts of steps as they come in real life: pressed twice, stale, forged, with markup, with nothing in them. */
class StepPostsTest {

    private static final String MARKUP = "<img src=x onerror=alert(1)>";

    private final App app = App.demo();
    private final Http http = new Http(app);
    private final SurveyLibrary library = app.bean(SurveyLibrary.class);
    MachineBooks machineBooks = app.bean(MachineBooks.class);
    SurveyBooks surveyBooks = app.bean(SurveyBooks.class);

    private long whole(MachineDescription description) {
        StoredMachine machine = library.machine(machineBooks.add(description, "Q. Tester", Submission.fresh(0)));
        return surveyBooks.open(machine, "Q. Tester", "buyer", Scope.WHOLE, Submission.fresh(0));
    }

    private long mill() {
        return whole(KestrelVale.castervaleU2().description());
    }

    private StoredSurvey survey(long id) {
        return library.survey(id);
    }

    private Map<String, String> form(long survey, String step) {
        Map<String, String> fields = http.form("/surveys/" + survey + "/run?step=" + step, "/surveys/" + survey + "/step");
        fields.put("author", "Q. Tester");
        fields.put("do", "good");
        return fields;
    }

    private HttpResponse<String> step(long survey, Map<String, String> fields, String... more) {
        return http.post("/surveys/" + survey + "/step", fields, more);
    }

    @Test
    void aStepPressedTwiceIsWrittenOnce() {
        long survey = mill();
        Map<String, String> fields = form(survey, "serial");
        String first = step(survey, fields, "text", "U2-771").headers().firstValue("Location").orElse("");
        String second = step(survey, fields, "text", "U2-771").headers().firstValue("Location").orElse("");
        assertThat(first).isEqualTo(second).endsWith("done=2");
        assertThat(survey(survey).entries()).hasSize(2);
    }

    /**
     * 0.10 mm of backlash is no finding at a workable machine, and one at a rebuilt one; the change is an entry and an old record says
     * both.
     */
    @Test
    void asWhichGradeItIsJudgedDecidesWhatIsAFinding() {
        long survey = mill();
        var ledger = survey(survey).steps();
        var backlash = ledger.step("backlash.table").orElseThrow();
        app.bean(Books.class).append(survey, SurveyEntries.step(survey(survey).by(app.bean(Clock.class), "Q. Tester"), ledger, backlash,
                Map.of("minus", "0.10 0.10 0.10", "middle", "0.10 0.10 0.10", "plus", "0.10 0.10 0.10"), survey(survey).basis(), false,
                ledger.asked(backlash).stream().map(a -> a.need().written()).toList(), ""), Submission.fresh(1));
        String verdict = "/surveys/" + survey + "/verdict";
        assertThat(http.verdict(survey)).doesNotContain("outside rebuilt", "outside workable");
        Map<String, String> as = http.form(verdict + "/findings", verdict);
        assertThat(http.post(verdict, as, "author", "Q. Tester", "judgedAs", "MINT").body()).contains("Choose one from the list");
        assertThat(http.post(verdict, as, "author", "Q. Tester", "judgedAs", "REBUILT").statusCode()).isEqualTo(302);
        assertThat(http.post(verdict, as, "author", "Q. Tester", "judgedAs", "REBUILT").statusCode()).as("pressed twice").isEqualTo(302);
        assertThat(http.verdict(survey)).contains("outside rebuilt (0.05 mm)", "It is judged as rebuilt");
        assertThat(survey(survey).entries()).hasSize(3);
        assertThat(http.get("/surveys/" + survey + "/entries").body())
                .contains("Judged as rebuilt from here on", "When it was written this was judged proven");
    }

    /**
     * A finding is judged by a person at its place on the verdict: what is wrong is said there, what is right is an entry, pressed twice
     * one.
     */
    @Test
    void aFindingIsJudgedWhereItStands() {
        long survey = mill();
        step(survey, form(survey, "lamp"), "do", "bad", "remark", "no bulb");
        String verdict = "/surveys/" + survey + "/verdict";
        Map<String, String> judge = http.form(verdict + "/findings", verdict + "/finding");
        assertThat(http.post(verdict + "/finding", judge, "author", "Q. Tester", "severity", "NOTE", "why", "").body())
                .contains("Write why, in a few words", "open=\"open\"");
        assertThat(http.post(verdict + "/finding", judge, "author", "Q. Tester", "severity", "NOTE", "why", "day work", "cost", "dear")
                .body()).contains("is not a number");
        for (int press = 0; press < 2; press++) {
            assertThat(http.post(verdict + "/finding", judge, "author", "Q. Tester", "severity", "NOTE", "why", "only used by daylight",
                    "whose", "BY_DESIGN", "cost", "15", "minutesEach", "1", "timesADay", "20")
                    .statusCode()).isEqualTo(302);
        }
        assertThat(survey(survey).entries()).hasSize(3);
        assertThat(http.get(verdict + "/findings").body()).contains("Made so: only used by daylight.",
                "It costs 1 min each time, 20 times a day: 20 "
                        + "min a day.",
                "To repair: 15 to 15, likely 15.");
        assertThat(http.get("/surveys/" + survey + "/entries").body()).contains("Finding of entry 2 judged note");
    }

    /** One of the house's repairs, typed or taken from the one list of the page; kit that is bought is none. */
    @Test
    void aFindingLeadsToARepairOfTheHouse() {
        long survey = mill();
        step(survey, form(survey, "lamp"), "do", "bad", "remark", "no bulb");
        String verdict = "/surveys/" + survey + "/verdict";
        Map<String, String> judge = http.form(verdict + "/findings", verdict + "/finding");
        for (String none : List.of("a new machine", "faceplate")) {
            assertThat(http.post(verdict + "/finding", judge, "author", "Q. Tester", "severity", "SOON", "why", "seen", "repair", none)
                    .body()).contains("The house’s table has no repair “" + none + "”", "value=\"" + none + "\"");
        }
        assertThat(http.post(verdict + "/finding", judge, "author", "Q. Tester", "severity", "SOON", "why", "seen", "repair",
                "Lamp renewed ").statusCode()).isEqualTo(302);
        assertThat(survey(survey).entries()).hasSize(3);
        assertThat(http.get(verdict + "/findings").body()).contains("lamp renewed").containsOnlyOnce("<datalist id=\"repairs\"");
    }

    @Test
    void aStaleFormKeepsWhatWasTypedAndMayBePressedAgain() {
        long survey = mill();
        Map<String, String> stale = form(survey, "serial");
        step(survey, form(survey, "desk-power"));
        HttpResponse<String> answer = step(survey, stale, "text", "U2-771", "remark", "plate riveted anew");
        assertThat(answer.statusCode()).isEqualTo(409);
        assertThat(answer.body()).contains("Somebody wrote in this survey after this page was shown: entry 2 came meanwhile.",
                "value=\"U2-771\"", "value=\"plate riveted anew\"");
        stale.put("seen", String.valueOf(survey(survey).head()));
        assertThat(step(survey, stale, "text", "U2-771").statusCode()).isEqualTo(302);
        assertThat(survey(survey).entries()).hasSize(3);
    }

    @ParameterizedTest
    @CsvSource({"serial, '', Type what stands there", "supply, '', Choose one from the ", "level, '', 302",
            "no-such-step, '', This step is not on the machine any more"})
    void anEmptyFormIsAnsweredWhereItWasEmpty(String key, String unused, String expected) {
        long survey = mill();
        Map<String, String> fields = form(survey, "desk-power");
        fields.put("step", key);
        fields.put("confirmed", "ELECTRICIAN|");
        HttpResponse<String> answer = step(survey, fields);
        assertThat(answer.statusCode() == 302 ? "302" : answer.body()).contains(expected);
        assertThat(survey(survey).entries()).hasSize(answer.statusCode() == 302 ? 2 : 1);
    }

    @Test
    void aChoiceStandsWhenItsFormComesBack() {
        long survey = mill();
        Map<String, String> fields = form(survey, "supply");
        assertThat(step(survey, fields, "source", "INVERTER", "l12", "4oo", "confirmed", "ELECTRICIAN|", "measuredBy", "E").body())
                .containsPattern("value=\"INVERTER\"\\s+selected").contains("id=\"wrong-l12\"");
    }

    @Test
    void aFormWithoutANameIsRefusedAndNothingIsWritten() {
        long survey = mill();
        HttpResponse<String> answer = step(survey, form(survey, "desk-power"), "author", " ");
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("Write who is recording this");
        assertThat(survey(survey).entries()).hasSize(1);
    }

    @ParameterizedTest
    @CsvSource({"distance, 100, seconds, 0, wrong-seconds", "distance, 100, seconds, 10800, wrong-seconds",
            "distance, a lot, seconds, 60, wrong-distance", "distance, 100, seconds, '', wrong-seconds"})
    void timesOfNoughtAndOfThreeHoursAreSaidAtTheirField(String one, String typed, String other, String otherTyped, String wrong) {
        long survey = mill();
        Map<String, String> fields = form(survey, "desk-power");
        fields.put("step", "feed.table.minus");
        fields.put(one, typed);
        fields.put(other, otherTyped);
        // Every need of the step, as its ticks would send it: the map holds one, so the others are confirmed by steps before.
        confirmAll(survey);
        fields.put("seen", String.valueOf(survey(survey).head()));
        fields.put("confirmed", "AT_REST|table");
        HttpResponse<String> answer = step(survey, fields);
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("id=\"" + wrong + "\"");
    }

    private void confirmAll(long survey) {
        StoredSurvey now = survey(survey);
        var step = now.steps().step("feed.table.plus").orElseThrow();
        var confirmed = now.steps().asked(step).stream().map(a -> a.need().written()).toList();
        app.bean(Books.class).append(survey, SurveyEntries.startConfirmed(Authorship.of(Instant.now(), "Q"), List.of()),
                Submission.fresh(now.head()));
        StoredSurvey started = survey(survey);
        app.bean(Books.class).append(survey, SurveyEntries.step(Authorship.of(Instant.now(), "Q"), started.steps(), step,
                Map.of("distance", "100", "seconds", "7.5"), Basis.of(LengthUnit.MM, 1, 1), false, confirmed, ""),
                Submission.fresh(started.head()));
    }

    @Test
    void markupIsShownAsItWasTyped() {
        long survey = mill();
        step(survey, form(survey, "serial"), "text", MARKUP, "remark", MARKUP);
        http.post("/surveys/" + survey + "/pass", http.form("/surveys/" + survey + "/run?step=plates", "/surveys/" + survey + "/pass"),
                "author", MARKUP, "reason", MARKUP);
        Map<String, String> kit = http.form("/surveys/" + survey + "/kit", "/surveys/" + survey + "/kit");
        http.post("/surveys/" + survey + "/kit", kit, "author", "Q", "name", MARKUP, "state", "MISSING", "promised", MARKUP, "note",
                MARKUP);
        for (String page : new String[] {"/entries", "/verdict", "/verdict/findings", "/verdict/statement", "/verdict/print", "/kit",
                "/faults", "/run?step=serial"}) {
            assertThat(http.get("/surveys/" + survey + page).body()).as(page).doesNotContain("<img src=x");
        }
        assertThat(http.get("/surveys/" + survey + "/kit").body()).contains("&lt;img src=x onerror=alert(1)&gt;");
    }

    @Test
    void anOwnScriptOfMarkupIsRefusedOrShownAsText() {
        long survey = mill();
        Map<String, String> fields = form(survey, "desk-power");
        fields.put("step", "own-cycle.1");
        fields.put("confirmed", "POWER_ON|");
        HttpResponse<String> answer = step(survey, fields, "title", MARKUP, "script", MARKUP, "log", MARKUP + " 1");
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("is no event. Write its name").doesNotContain("<img src=x");
    }

    @Test
    void aRunBeyondTheWheelsMarkIsRefusedOnTheServerToo() {
        long survey = whole(KestrelVale.eskholtC300().description());
        Map<String, String> start = http.form("/surveys/" + survey + "/run?step=0-0", "/surveys/" + survey + "/start");
        HttpResponse<String> unmarked = http.post("/surveys/" + survey + "/start", start, "author", "Q", "mounted", "WHEEL",
                "WHEEL.diameter", "400");
        assertThat(unmarked.statusCode()).isEqualTo(422);
        assertThat(unmarked.body()).contains("A wheel without a mark is not run.");
        app.bean(Books.class).append(survey, SurveyEntries.startConfirmed(Authorship.of(Instant.now(), "Q"), Basis.of(LengthUnit.MM, 1, 1),
                List.of(), Mounted.parse(Mounted.Kind.WHEEL, "400", "", "35", "", LengthUnit.MM)), Submission.fresh(1));
        Map<String, String> run = http.form("/surveys/" + survey + "/run?step=0-0", "/surveys/" + survey + "/run");
        run.put("step", "0-1");
        HttpResponse<String> beyond = http.post("/surveys/" + survey + "/run", run, "author", "Q", "reading", "2010", "do", "record");
        assertThat(beyond.statusCode()).isEqualTo(422);
        assertThat(beyond.body()).contains("runs 41.9 m/s, above the 35 m/s marked on it.");
        assertThat(survey(survey).folded().runs()).isEmpty();
    }

    /** That a lever engages says nothing of what runs behind it: alone it is no run, with a reading it is noted with the run. */
    @Test
    void howALeverShiftsAloneIsNoRun() {
        long survey = whole(KestrelVale.dunmarshP20().description());
        app.bean(Books.class).append(survey, SurveyEntries.startConfirmed(Authorship.of(Instant.now(), "Q"), Basis.of(LengthUnit.MM, 1, 1),
                List.of(), Mounted.parse(Mounted.Kind.NOTHING, "", "", "", "", LengthUnit.MM)), Submission.fresh(1));
        String route = survey(survey).core().drive().steps().get(0).key();
        Map<String, String> run = http.form("/surveys/" + survey + "/run?step=" + route, "/surveys/" + survey + "/run");
        String nominal = survey(survey).core().machine().speeds().nominal(survey(survey).core().drive().steps().get(0)).orElseThrow()
                .toPlainString();
        HttpResponse<String> alone = http.post("/surveys/" + survey + "/run", run, "author", "Q", "shift", "ENGAGES_CLEAN", "reading", "",
                "method", "OPTICAL", "do", "record");
        assertThat(alone.statusCode()).isEqualTo(422);
        assertThat(alone.body()).contains("Type the reading, or press a symptom.");
        assertThat(survey(survey).folded().runs()).isEmpty();
        http.post("/surveys/" + survey + "/run", run, "author", "Q", "shift", "ENGAGES_CLEAN", "reading", nominal, "method", "OPTICAL",
                "do", "record");
        assertThat(survey(survey).folded().runs()).singleElement()
                .satisfies(r -> assertThat(r.record().shift()).contains(ShiftFeel.ENGAGES_CLEAN));
    }

    /** A row of readings is taken up to what an entry keeps; the field takes one sign more, so that what is too long is said. */
    @Test
    void noFieldOfARowIsShorterThanWhatIsKept() {
        long survey = mill();
        int rows = 0;
        for (var step : survey(survey).steps().steps()) {
            var series = step.recording().fields().stream().filter(f -> f.input() == InputKind.SERIES).toList();
            if (!series.isEmpty()) {
                String page = http.get("/surveys/" + survey + "/run?step=" + step.id().written()).body();
                for (var field : series) {
                    Matcher m = Pattern.compile("<input[^>]*id=\"f-" + field.name() + "\"[^>]*>")
                            .matcher(page);
                    if (!m.find()) {
                        continue; // The machine must be started first.
                    }
                    assertThat(m.group()).contains("maxlength=\"" + (SurveyEntries.LONGEST_VALUE + 1) + "\"");
                    rows++;
                }
            }
        }
        assertThat(rows).isGreaterThan(2);
    }

    /** What was read off the wheel stands in the next start's form, to be looked at again: nobody reads it off twice. */
    @Test
    void theMarkThatWasReadOffTheWheelStandsInTheNextStart() {
        long survey = whole(KestrelVale.eskholtC300().description());
        String start = "/surveys/" + survey + "/run?step=0-0";
        assertThat(value(start, "WHEEL.markedRpm")).isEmpty();
        app.bean(Books.class).append(survey, SurveyEntries.step(Authorship.of(Instant.now(), "Q"), survey(survey).steps(),
                survey(survey).steps().step("wheel-mark").orElseThrow(), Map.of("across", "400 mm", "markedRpm", "1650"),
                Basis.of(LengthUnit.MM, 1, 1), false, List.of(), ""), Submission.fresh(1));
        assertThat(value(start, "WHEEL.markedRpm")).isEqualTo("1650");
        assertThat(value(start, "WHEEL.diameter")).isEqualTo("400 mm");
        app.bean(Books.class).append(survey, SurveyEntries.startConfirmed(Authorship.of(Instant.now(), "Q"), Basis.of(LengthUnit.MM, 1, 1),
                List.of(), Mounted.parse(Mounted.Kind.NOTHING, "", "", "", "", LengthUnit.MM)), Submission.fresh(2));
        app.bean(Books.class).append(survey, SurveyEntries.stopped(Authorship.of(Instant.now(), "Q")), Submission.fresh(3));
        assertThat(value(start, "WHEEL.markedRpm")).as("nor after a start without it").isEqualTo("1650");
    }

    private String value(String page, String field) {
        Matcher m = Pattern.compile("<input[^>]*name=\"" + field + "\"[^>]*>").matcher(http.get(page).body());
        assertThat(m.find()).as(field).isTrue();
        Matcher value = Pattern.compile("value=\"([^\"]*)\"").matcher(m.group());
        return value.find() ? value.group(1) : "";
    }

    @Test
    void kitIsSafeToRepeatAndForgedStatesAreRefused() {
        long survey = mill();
        Map<String, String> kit = http.form("/surveys/" + survey + "/kit", "/surveys/" + survey + "/kit");
        Map<String, String> forged = new LinkedHashMap<>(kit);
        assertThat(http.post("/surveys/" + survey + "/kit", forged, "author", "Q", "name", "vice", "state", "STOLEN").statusCode())
                .isEqualTo(422);
        http.post("/surveys/" + survey + "/kit", kit, "author", "Q", "name", "vice", "state", "SEEN");
        http.post("/surveys/" + survey + "/kit", kit, "author", "Q", "name", "vice", "state", "SEEN");
        assertThat(survey(survey).entries()).hasSize(2);
        HttpResponse<String> late = http.post("/surveys/" + survey + "/kit",
                Map.of("submission", Submission.fresh(0).key(), "seen", "1", "_csrf", kit.get("_csrf")),
                "author", "Q", "name", "arbors", "state", "SEEN");
        assertThat(late.statusCode()).isEqualTo(409);
        assertThat(late.body()).contains("value=\"arbors\"");
    }

    @Test
    void aRepairOfWhatIsNotThereIsRefused() {
        long survey = mill();
        Map<String, String> repair = http.form("/surveys/" + survey + "/faults", "/surveys/" + survey + "/faults/repair");
        for (String part : new String[] {"system|tea kettle|", "system|lamp|nowhere", "system", "gear|99", ""}) {
            assertThat(http.post("/surveys/" + survey + "/faults/repair", repair, "author", "Q", "part", part, "what", "mended")
                    .statusCode()).as(part).isEqualTo(422);
        }
        assertThat(survey(survey).entries()).hasSize(1);
    }

    @Test
    void aStruckPhotographIsNotShownAnyMore() {
        long survey = mill();
        assertThat(http.get("/surveys/" + survey + "/photos/3").statusCode()).isEqualTo(404);
        assertThat(http.get("/surveys/" + survey + "/photos/../../etc").statusCode()).isIn(400, 404);
    }
}
