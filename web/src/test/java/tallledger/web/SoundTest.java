package tallledger.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.security.MessageDigest;
import java.time.Instant;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import tallledger.core.coverage.Symptom;
import tallledger.core.drive.Route;
import tallledger.core.ledger.Authorship;
import tallledger.core.plan.SurveyPlan;
import tallledger.core.reading.SpeedReading;
import tallledger.core.survey.HeardSound;
import tallledger.core.survey.Recording;
import tallledger.core.survey.RunRecord;
import tallledger.core.survey.Scope;
import tallledger.core.survey.SurveyEntries;
import tallledger.core.unit.LengthUnit;
import tallledger.practice.HiddenFault;
import tallledger.practice.KestrelVale;
import tallledger.practice.SimulatedMachine;
import tallledger.practice.SimulatedSound;
import tallledger.web.library.MachineBooks;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyBooks;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.Books;
import tallledger.web.store.Submission;

/** A recording is kept, played, read and held against another; what is none is refused where it was chosen. */
class SoundTest {

    private static final SimulatedMachine MILL = KestrelVale.shortlist().get(2);
    private static final SimulatedMachine KNOCKING = new SimulatedMachine(MILL.description(), MILL.trueSpeeds(), MILL.motorFactor(),
            MILL.scatter(), List.of(new HiddenFault("left lever", "in", Symptom.KNOCKS_ONCE_A_TURN, 1)), Map.of());
    private final App app = App.demo();
    private final Browser browser = Browser.open();
    private final Page page = browser.page();

    private long survey() {
        long machine = app.bean(MachineBooks.class).add(MILL.description(), "Q. Tester", Submission.fresh(0));
        return app.bean(SurveyBooks.class).open(app.bean(SurveyLibrary.class).machine(machine), "Q. Tester", "buyer", Scope.WHOLE,
                Submission.fresh(0));
    }

    private StoredSurvey now(long survey) {
        return app.bean(SurveyLibrary.class).survey(survey);
    }

    private static Route route(String name) {
        return MILL.description().train().routes().stream().filter(r -> MILL.description().train().name(r).equals(name)).findFirst()
                .orElseThrow();
    }

    private static byte[] sound(String name) {
        return SimulatedSound.usual().of(KNOCKING, route(name), KNOCKING.trueSpeed(route(name)), 4);
    }

    private void bring(byte[] wav, String task, String treated) {
        if (page.locator("#sound").isHidden()) {
            page.click("summary:has-text('Bring a recording')");
        }
        page.setInputFiles("#sound", new FilePayload("a.wav", "audio/wav", wav));
        page.selectOption("#task", task);
        page.selectOption("#treated", treated);
        page.evaluate("document.body.dataset.before = 'yes'");
        page.click("text=Keep the recording");
        page.locator("body:not([data-before])").waitFor();
        page.waitForLoadState();
    }

    @Test
    void aKnockIsFoundOnItsShaftAndEachPeakHasAName() throws Exception {
        long survey = survey();
        page.navigate(app.url("/surveys/" + survey + "/sound"));
        bring(SimulatedSound.usual().ofRoom(9), "", "NOT");
        assertThat(page.locator("main h2").first()).containsText("The room, machine off");
        byte[] wav = sound("3·in·high");
        bring(wav, route("3·in·high").key(), "NOT");
        assertThat(page.locator("main")).containsText("It knocks");
        assertThat(page.locator("main")).containsText("once a turn of the shaft into “left lever”");
        assertThat(page.locator("tr:has-text('the mesh 24:48 of “left lever”')").first()).isVisible();
        assertThat(page.locator("main .wrong:visible")).hasCount(0);
        assertThat(page.locator("main")).containsText("goes by the plate’s 355 rpm");
        String hash = HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(wav));
        Recording kept = now(survey).core().recordings().get(1);
        assertThat(kept.sha256()).isEqualTo(hash);
        assertThat(kept.stood()).isEqualTo(Recording.usualPlace(LengthUnit.INCH));
        assertThat(page.request().get(app.url("/surveys/" + survey + "/sounds/" + kept.entry())).body()).isEqualTo(wav);
        bring(sound("1·in·high"), route("1·in·high").key(), "YES");
        assertThat(page.locator("main .wrong:visible").first()).containsText("changed its level");
        assertThat(page.locator("main")).not().containsText("It knocks");
        assertThat(page.locator("main")).not().containsText("All recorded speeds over orders");
        bring(sound("1·in·high"), route("1·in·high").key(), "NOT");
        assertThat(page.locator("main")).containsText("Nothing recurs at three speeds");
        bring(sound("2·in·high"), route("2·in·high").key(), "NOT");
        assertThat(page.locator("main")).containsText("recurs at 1·in·high, 2·in·high, 3·in·high: it turns with the spindle");
        assertThat(page.locator("main"))
                .containsText("100 Hz recurs at 1·in·high, 2·in·high, 3·in·high whatever the spindle turns at");
        page.selectOption("#with", String.valueOf(kept.entry()));
        page.selectOption("#over", "orders");
        page.click("text=Draw");
        assertThat(page.locator(".drawn svg text:has-text('order 1')").first()).isVisible();
        assertThat(page.locator("main")).containsText("Broken: entry " + kept.entry());
        page.navigate(app.url("/surveys/" + survey + "/entries"));
        assertThat(page.locator("main")).containsText("sound, 12 s, 0.4 MB");
        assertThat(page.locator("tr:has-text('sound, 12 s')").first().locator("td").nth(3)).hasText("2·in·high");
        assertThat(page.locator("main audio")).hasCount(5);
        page.navigate(app.url("/surveys/" + survey + "/verdict/print"));
        assertThat(page.locator("tr:has-text('sounds/" + hash + ".wav') audio")).hasCount(1);
        assertThat(page.locator("tr:has-text('sounds/" + hash + ".wav')")).containsText("It knocks once a turn of the shaft of");
        assertThat(browser.complaints()).isEmpty();
    }

    /** Recorded where the speed is read: it goes while the sheet stays, and a refusal stands beside it. */
    @Test
    void theRunSheetTakesTheSoundOfItsSpeed() {
        long survey = survey();
        String at = route("3·in·high").key();
        page.navigate(app.url("/surveys/" + survey + "/run?step=" + at));
        page.locator("input[name=safe]").all().forEach(Locator::check);
        page.click(".start button.is-ink");
        page.locator("#reading").waitFor();
        page.click("summary:has-text('Photograph, sound')");
        assertThat(page.locator("#task")).hasValue(at);
        page.fill("#reading", "355");
        page.setInputFiles("#sound", new FilePayload("a.wav", "audio/wav", "ID3 no sound of that kind".getBytes(StandardCharsets.UTF_8)));
        page.click("text=Keep the recording");
        assertThat(page.locator("#sound-here .sending")).containsText("WAV file, whatever");
        page.setInputFiles("#sound", new FilePayload("a.wav", "audio/wav", sound("3·in·high")));
        page.selectOption("#treated", "NOT");
        page.click("text=Keep the recording");
        assertThat(page.locator(".recorded-here")).containsText("3·in·high, 12");
        // Another writes meanwhile: a recording cannot be made again, and rests on nothing else.
        app.bean(Books.class).append(survey, SurveyEntries.remark(Authorship.of(Instant.now(), "Q. Tester"), "meanwhile"),
                Submission.fresh(now(survey).head()));
        page.setInputFiles("#sound", new FilePayload("a.wav", "audio/wav", sound("2·in·high")));
        page.selectOption("#task", route("2·in·high").key());
        page.click("text=Keep the recording");
        assertThat(page.locator("#sound-here .sending")).containsText("is recorded");
        assertThat(page.locator("#reading")).hasValue("355");
        assertThat(now(survey).core().recordings()).extracting(Recording::task).containsExactly(at, route("2·in·high").key());
        String reverse = route("3·in·high reverse").key();
        page.navigate(app.url("/surveys/" + survey + "/run?step=" + reverse));
        // Another way to the same speed, and not taken for the room.
        assertThat(page.locator("#task")).hasValue(reverse);
        assertThat(browser.complaints()).isEmpty();
    }

    /** Read 2 % faster than the plate has it, its orders lie elsewhere; looked at for what was read, it counts, knock and all. */
    @Test
    void aRecordingThatWasLookedAtForAnotherSpeedIsLookedAtAgain() {
        long survey = survey();
        page.navigate(app.url("/surveys/" + survey + "/sound"));
        bring(sound("3·in·high"), route("3·in·high").key(), "NOT");
        assertThat(page.locator("main")).containsText("It knocks");
        StoredSurvey before = now(survey);
        assertThat(HeardSound.of(before.folded())).as("by the plate's 355").isNotEmpty();
        RunRecord run = new RunRecord(MILL.description().train().settings(route("3·in·high")),
                Optional.of(SpeedReading.byTachometer("362.8")), Set.of(), Optional.empty(), false, false, false, "");
        app.bean(Books.class).append(survey, SurveyEntries.run(Authorship.of(Instant.now(), "Q. Tester"), before.basis(),
                before.folded(), run), Submission.fresh(before.head()));
        page.reload();
        assertThat(page.locator("main .wrong:visible").first()).containsText("and the speed is 362.8 rpm");
        assertThat(HeardSound.of(now(survey).folded())).isEmpty();
        page.click("button:has-text('Look at it again')");
        assertThat(page.locator("main .wrong:visible")).hasText(new String[0]);
        HeardSound heard = HeardSound.of(now(survey).folded()).get(0);
        assertThat(heard.knocks()).isTrue();
        assertThat(heard.isSilenceKnown()).isTrue();
        assertThat(SurveyPlan.of(now(survey).core(), Instant.now()).blame().orElseThrow().suspects().subList(0, 2))
                .as("belt and lever are on the shaft that knocks").extracting(p -> p.element().stageName())
                .containsExactlyInAnyOrder("belt", "left lever");
        page.navigate(app.url("/surveys/" + survey + "/faults"));
        assertThat(page.locator("main")).containsText("a gear sound swells with that turn");
        assertThat(page.locator("main li:has-text('once a turn of the shaft of')")).containsText("belt 3, left lever in");
        assertThat(browser.complaints()).isEmpty();
    }

    /** The browser's own microphone, fed from a file. */
    @Test
    void theMicrophoneIsRecordedAsItComes() throws Exception {
        long survey = survey();
        Route route = route("3·in·high");
        Files.write(Browser.MICROPHONE, new SimulatedSound(48_000, 20, 0.004).of(KNOCKING, route, KNOCKING.trueSpeed(route), 6));
        page.navigate(app.url("/surveys/" + survey + "/sound"));
        page.click("[data-sound=record]");
        assertThat(page.locator(".sound-says")).containsText("7 s of 5 to 60",
                new LocatorAssertions.ContainsTextOptions().setTimeout(30_000));
        page.click("[data-sound=stop]");
        assertThat(page.locator(".sound-says")).containsText("s recorded");
        page.selectOption("#task", route.key());
        page.click("text=Keep the recording");
        assertThat(page.locator("main")).containsText("once a turn of the shaft into “left lever”");
        Recording kept = now(survey).core().recordings().get(0);
        assertThat(kept.seconds().doubleValue()).isBetween(6.5, 10.0);
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void aMicrophoneThatIsRefusedOrTooShortIsSaid() {
        long survey = survey();
        page.navigate(app.url("/surveys/" + survey + "/sound"));
        page.click("[data-sound=record]");
        page.click("[data-sound=stop]");
        assertThat(page.locator(".sound-says")).containsText("too short");
        page.evaluate("() => { navigator.mediaDevices.getUserMedia = () => Promise.reject(new DOMException('no', 'NotAllowedError')); }");
        page.click("[data-sound=record]");
        assertThat(page.locator(".sound-says")).containsText("The microphone was refused");
        assertThat(page.locator("[data-sound=record]")).isEnabled();
    }

    @Test
    void whatIsNoRecordingIsRefusedAndNothingTypedIsLost() {
        long survey = survey();
        page.navigate(app.url("/surveys/" + survey + "/sound"));
        page.fill("#stood", "on the carriage");
        bring("ID3 an MP3 that is called WAV".getBytes(), route("3·in·high").key(), "NOT");
        assertThat(page.locator("#wrong-sound")).containsText("This is no WAV file");
        assertThat(page.locator("#stood")).hasValue("on the carriage");
        assertThat(page.locator("#task")).hasValue(route("3·in·high").key());
        assertThat(page.locator("#treated")).hasValue("NOT");
        page.click("text=Keep the recording");
        assertThat(page.locator("#wrong-sound")).containsText("Which file?");
        page.fill("#stood", "");
        bring(SimulatedSound.usual().ofRoom(9), "", "NOT_KNOWN");
        assertThat(page.locator("main")).containsText("Where did the microphone stand?");
        assertThat(now(survey).core().recordings()).isEmpty();
    }

    @Test
    void aRecordingThatIsNoLouderThanTheRoomProvesNothing() {
        long survey = survey();
        page.navigate(app.url("/surveys/" + survey + "/sound"));
        bring(new SimulatedSound(16_000, 6, 0.05).ofRoom(9), "", "NOT");
        bring(new SimulatedSound(16_000, 6, 0.05).ofRoom(10), route("3·in·high").key(), "NOT_KNOWN");
        assertThat(page.locator("main .wrong:visible").first()).containsText("over the room with the machine off");
        assertThat(page.locator("main")).containsText("Nobody says whether the recorder changed the level");
    }
}
