package tallledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.net.HttpCookie;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.security.KeyStore;
import java.security.cert.CertificateFactory;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javax.net.ssl.SSLContext;
import javax.net.ssl.TrustManagerFactory;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tallledger.core.house.HouseBook;
import tallledger.core.survey.Scope;
import tallledger.practice.KestrelVale;
import tallledger.web.housebook.Houses;
import tallledger.web.library.MachineBooks;
import tallledger.web.library.SurveyBooks;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.live.Watchers;
import tallledger.web.live.Whose;
import tallledger.web.store.Submission;

/** Others in the network: who was let in gets what it was let in for, everybody else a page that asks for a code. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class SharingTest {

    private static final String HOUSE = "/house/sharing";
    private static final Pattern CODE = Pattern.compile("<p class=\"say-aloud\">([A-Z0-9]{4}-[A-Z0-9]{4})</p>");

    @TempDir
    private static Path data;
    private static App app;
    private static Http here;
    private static long survey;
    private static long other;
    private static String base;
    private static SSLContext believing;

    @BeforeAll
    static void share() throws Exception {
        app = App.on(data, "--tallledger.share-port=0", "--tallledger.share-addresses=192.168.7.7", "--tallledger.patience-ms=60000");
        here = new Http(app);
        survey = survey();
        other = survey();
        assertThat(here.get(HOUSE).body()).contains("Sharing is off").doesNotContain("say-aloud");
        assertThat(here.post(HOUSE + "/begin", here.form(HOUSE, HOUSE + "/begin")).statusCode()).isEqualTo(302);
        Matcher port = Pattern.compile("port (\\d+)").matcher(here.get(HOUSE).body());
        assertThat(port.find()).as("this computer is in no network").isTrue();
        base = "https://localhost:" + port.group(1);
        believing = believing();
    }

    @AfterAll
    static void close() {
        app.close();
    }

    private static long survey() {
        long machine = app.bean(MachineBooks.class).add(KestrelVale.aldwark410().description(), "Q. Tester", Submission.fresh(0));
        return app.bean(SurveyBooks.class).open(app.bean(SurveyLibrary.class).machine(machine), "Q. Tester", "buyer", Scope.WHOLE,
                Submission.fresh(0));
    }

    /** A device with the root installed that the computer hands out, and with no other. */
    private static SSLContext believing() throws Exception {
        KeyStore known = KeyStore.getInstance("PKCS12");
        known.load(null, null);
        byte[] root = HttpClient.newHttpClient().send(HttpRequest.newBuilder(URI.create(app.url("/pair/root.crt"))).build(),
                HttpResponse.BodyHandlers.ofByteArray()).body();
        known.setCertificateEntry("root", CertificateFactory.getInstance("X.509").generateCertificate(new ByteArrayInputStream(root)));
        TrustManagerFactory trust = TrustManagerFactory.getInstance(TrustManagerFactory.getDefaultAlgorithm());
        trust.init(known);
        SSLContext context = SSLContext.getInstance("TLS");
        context.init(null, trust.getTrustManagers(), null);
        return context;
    }

    private static Http stranger() {
        return Http.over(base, believing);
    }

    private static String code(String... fields) {
        HttpResponse<String> shown = here.post(HOUSE + "/codes", here.form(HOUSE + "?survey=" + survey, HOUSE + "/codes"), Stream.concat(
                Stream.of("lasts", "HALF_DAY", "writes", "yes"), Stream.of(fields)).toArray(String[]::new));
        Matcher code = CODE.matcher(here.get(where(shown)).body());
        assertThat(code.find()).as(shown.body()).isTrue();
        return code.group(1);
    }

    private static String where(HttpResponse<String> answer) {
        return answer.headers().firstValue("Location").orElseThrow(() -> new AssertionError(answer.statusCode() + " " + answer.body()))
                .replaceFirst("https?://[^/]*", "");
    }

    private static HttpResponse<String> pair(Http device, String code, String name) {
        return device.post("/pair", device.form("/pair", "/pair"), "code", code, "author", "R. Ashdown, inspector", "name", name);
    }

    private static Http device(String name, String... fields) {
        Http device = stranger();
        assertThat(pair(device, code(fields), name).statusCode()).isEqualTo(302);
        return device;
    }

    private static HouseBook.Paired paired(String name) {
        return app.bean(Houses.class).book().devices().stream().filter(p -> p.device().name().equals(name)).findFirst().orElseThrow();
    }

    private static void putOut(String name) {
        String id = paired(name).device().id();
        assertThat(here.post(HOUSE + "/devices/" + id + "/end", here.form(HOUSE, HOUSE + "/codes"), "author", "Q. Tester").statusCode())
                .isEqualTo(302);
    }

    private static HttpResponse<String> record(Http device, long into) {
        String run = "/surveys/" + into + "/run?step=serial";
        return device.post("/surveys/" + into + "/step", device.form(run, "/surveys/" + into + "/step"), "author", "Somebody Else",
                "do", "good", "text", "A-1");
    }

    /** Neither a page nor a style nor a picture: nothing of what machines there are, or of which build this is. */
    @ParameterizedTest
    @ValueSource(strings = {"/", "/surveys/2/run", "/machines/1", "/house", "/house/sharing", "/css/ledger.css", "/js/ledger.js",
            "/favicon.svg", "/alive", "/sorry/unread", "/error", "/nowhere", "/pair/../house", "/pair/nothing"})
    void whoeverIsNotLetInGetsOnePage(String path) {
        HttpResponse<String> answer = stranger().get(path);
        if (path.equals("/pair/nothing")) {
            assertThat(answer.statusCode()).isEqualTo(404);
        } else {
            assertThat(answer.statusCode()).as(path).isEqualTo(302);
            assertThat(where(answer)).isEqualTo("/pair");
        }
        assertThat(answer.body()).doesNotContain("Aldwark", "/css/", "/js/", "nav");
        HttpResponse<String> page = stranger().get("/pair");
        assertThat(page.body()).contains("This device was not let in yet").doesNotContain("Aldwark", "/css/", "/js/", "nav");
        assertThat(page.headers().firstValue("Content-Security-Policy")).isPresent();
        assertThat(page.headers().firstValue("Strict-Transport-Security")).as("would shut this computer's own port").isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"/house/rules/LATHE_NOSE", "/house/sharing/end", "/start"})
    void whoeverIsNotLetInSendsInVain(String path) {
        Http stranger = stranger();
        HttpResponse<String> answer = stranger.post(path, stranger.form("/pair", "/pair"), "author", "X", "code", "y");
        assertThat(answer.statusCode()).isEqualTo(403);
        assertThat(answer.body()).isEmpty();
    }

    /** What it records is its author's, whatever the form says; what it was not let in for it does not get. */
    @Test
    void aDeviceOfOneSurveyWritesInThatOne() {
        String shown = code("scope", "survey", "writer", "R. Ashdown, inspector");
        Http phone = stranger();
        HttpResponse<String> in = pair(phone, shown, "Phone 1");
        assertThat(where(in)).isEqualTo("/surveys/" + survey + "/run");
        HttpCookie cookie = HttpCookie.parse(in.headers().allValues("Set-Cookie").stream().filter(c -> c.startsWith("device="))
                .findFirst().orElseThrow()).get(0);
        assertThat(cookie.getSecure() && cookie.isHttpOnly()).isTrue();
        assertThat(in.headers().allValues("Set-Cookie").toString()).contains("SameSite=Strict");
        String run = phone.get("/surveys/" + survey + "/run").body();
        assertThat(run.substring(run.indexOf("<nav"), run.indexOf("</nav>"))).contains("This device").doesNotContain("href=\"/house\"",
                "href=\"/check\"", ">Machine</a>", ">Shelf</a>");
        assertThat(record(phone, survey).statusCode()).isEqualTo(302);
        assertThat(app.bean(SurveyLibrary.class).survey(survey).entries()).last()
                .satisfies(e -> assertThat(e.by().author().written()).isEqualTo("R. Ashdown, inspector"));
        for (String elsewhere : List.of("/", "/machines/1", "/surveys/" + other + "/run", "/surveys/" + survey + "0/run", "/house",
                "/house/sharing", "/house/backup", "/check", "/beside?s=" + survey)) {
            HttpResponse<String> refused = phone.get(elsewhere);
            assertThat(refused.statusCode()).as(elsewhere).isEqualTo(403);
            assertThat(refused.body()).contains("That was not done").doesNotContain("Aldwark");
        }
        assertThat(phone.get("/surveys/" + survey + "/../" + other + "/run").statusCode()).isIn(400, 403);
        assertThat(paired("Phone 1").device().writes()).isTrue();
    }

    @Test
    void aDeviceThatReadsRecordsNothing() {
        Http tablet = device("Tablet 1", "scope", "survey", "writes", "no");
        String run = tablet.get("/surveys/" + survey + "/run?step=serial").body();
        assertThat(run).contains("This device may read.", "reads-only");
        int before = app.bean(SurveyLibrary.class).survey(survey).head();
        HttpResponse<String> refused = record(tablet, survey);
        assertThat(refused.statusCode()).isEqualTo(403);
        assertThat(refused.body()).contains("may read, not record");
        assertThat(app.bean(SurveyLibrary.class).survey(survey).head()).isEqualTo(before);
    }

    /** Not to the keys of the house: who is let in, and the backup, which holds the key to seal with. */
    @Test
    void aDeviceOfEverythingDoesNotReachWhatIsThisComputersOwn() {
        Http tablet = device("Tablet 2", "scope", "all");
        assertThat(tablet.get("/").statusCode()).isEqualTo(200);
        assertThat(tablet.get("/house").body()).doesNotContain("href=\"/house/backup\"", "href=\"/house/sharing\"");
        for (String own : List.of("/house/sharing", "/house/sharing/codes", "/house/backup", "/missing")) {
            assertThat(tablet.get(own).statusCode()).as(own).isEqualTo(403);
        }
        Map<String, String> form = tablet.form("/surveys/" + other + "/run?step=serial", "/surveys/" + other + "/step");
        assertThat(tablet.post("/house/backup/begin", form).statusCode()).isEqualTo(403);
        assertThat(tablet.post("/house/sharing/end", form).statusCode()).isEqualTo(403);
    }

    /** The last: after it no code is looked at for a minute. */
    @Test
    @Order(Integer.MAX_VALUE)
    void wrongUsedAndGuessedCodesLetNobodyInAndAreWrittenDown() {
        String shown = code("scope", "all");
        Http phone = stranger();
        Map<String, String> form = phone.form("/pair", "/pair");
        HttpResponse<String> first = phone.post("/pair", form, "code", shown, "author", "R. Ashdown", "name", "Phone 2");
        HttpResponse<String> again = phone.post("/pair", form, "code", shown, "author", "R. Ashdown", "name", "Phone 2");
        assertThat(again.headers().firstValue("Set-Cookie").isPresent()).as("pressed twice").isTrue();
        assertThat(first.statusCode()).isEqualTo(302);
        assertThat(app.bean(Houses.class).book().devices().stream().filter(p -> p.device().name().equals("Phone 2"))).hasSize(1);
        int before = app.bean(Houses.class).book().refusals().size();
        assertThat(pair(stranger(), shown, "Thief").body()).contains("let a device in already", "R. Ashdown, inspector");
        assertThat(app.bean(Houses.class).book().refusals()).hasSize(before + 1);
        HttpResponse<String> guess = null;
        for (int i = 0; i < 5; i++) {
            guess = pair(stranger(), "AAAA-AAA" + i, "Guesser");
        }
        assertThat(guess.statusCode()).as("the sixth wrong one").isEqualTo(429);
        assertThat(guess.headers().firstValue("Retry-After")).isPresent();
        assertThat(app.bean(Houses.class).book().refusals()).hasSize(before + 5);
        assertThat(app.bean(Houses.class).book().devices()).noneMatch(p -> p.device().name().equals("Guesser"));
        assertThat(here.get(HOUSE).body()).contains("a code that was used already from 127.0.0.1", "a code that was never shown from");
        assertThat(app.bean(Houses.class).book().strays()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"'', R. Ashdown, Phone, code", "AAAA-AAAA, '', Phone, author", "AAAA-AAAA, R. Ashdown, '', name"})
    void aFormThatSaysTooLittleSpendsNoCode(String code, String author, String name, String wrong) {
        Http phone = stranger();
        HttpResponse<String> answer = phone.post("/pair", phone.form("/pair", "/pair"), "code", code, "author", author, "name", name);
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("id=\"wrong-" + wrong + "\"");
    }

    /** From that moment on, and in the middle of what it is sending. */
    /** A device that is lost with entries on it: what it held when it was last heard of is said, also once it is shut out. */
    @Test
    void whatADeviceHeldIsSaidAtTheComputer() {
        Http phone = device("Phone that holds", "scope", "survey");
        String stand = "/surveys/" + survey + "/pocket/stand";
        assertThat(phone.getWith(stand, "X-Kept-Left", "7").body()).contains("\"head\":", "\"token\":");
        assertThat(here.get(HOUSE).body()).contains("7 kept there then");
        assertThat(here.get("/surveys/" + survey + "/board").body()).contains("Phone that holds: last heard", "7 kept there then.");
        assertThat(here.get("/surveys/" + other + "/board").body()).as("it is of the first survey alone")
                .doesNotContain("Phone that holds");
        phone.getWith(stand, "X-Kept-Left", "a few");
        assertThat(here.get(HOUSE).body()).contains("7 kept there then");
        putOut("Phone that holds");
        assertThat(here.get(HOUSE).body()).contains("last heard", "7 kept there then");
        Http again = device("Phone that holds no more", "scope", "survey");
        again.getWith(stand, "X-Kept-Left", "2");
        again.getWith(stand, "X-Kept-Left", "0");
        assertThat(here.get("/surveys/" + survey + "/board").body()).doesNotContain("Phone that holds no more");
    }

    /** As many as a yard has: each is listed while it is let in, and shut out from there. */
    @Test
    void aHundredDevicesAreListed() {
        for (int i = 0; i < 100; i++) {
            device("Device number " + i, "scope", "survey");
        }
        String list = here.get(HOUSE).body();
        for (int i = 0; i < 100; i++) {
            assertThat(list).contains("Device number " + i + "<");
        }
        putOut("Device number 7");
        assertThat(here.get(HOUSE).body()).contains("Shut out Device number 8\"").doesNotContain("Shut out Device number 7\"");
    }

    @Test
    void whoeverIsPutOutIsOut() {
        Http phone = device("Phone 3", "scope", "survey");
        assertThat(phone.get("/surveys/" + survey + "/run").statusCode()).isEqualTo(200);
        putOut("Phone 3");
        assertThat(where(phone.get("/surveys/" + survey + "/run"))).isEqualTo("/pair");
        assertThat(paired("Phone 3").out()).isPresent();
        int head = app.bean(Houses.class).head();
        putOut("Phone 3");
        assertThat(app.bean(Houses.class).head()).as("pressed again").isEqualTo(head);
        assertThat(here.get(HOUSE).body()).contains("shut out by Q. Tester");
    }

    @Test
    void whoeverIsPutOutWhileSendingIsCutOff() throws Exception {
        Http phone = stranger();
        HttpResponse<String> in = pair(phone, code("scope", "survey"), "Phone 4");
        String secret = in.headers().allValues("Set-Cookie").stream().filter(c -> c.startsWith("device=")).findFirst().orElseThrow()
                .split(";")[0];
        int before = app.bean(SurveyLibrary.class).survey(survey).head();
        URI at = URI.create(base);
        try (Socket slow = believing.getSocketFactory().createSocket("localhost", at.getPort())) {
            slow.setSoTimeout(10_000);
            OutputStream out = slow.getOutputStream();
            out.write(("POST /surveys/" + survey + "/step HTTP/1.1\r\nHost: localhost:" + at.getPort() + "\r\nCookie: " + secret
                    + "\r\nContent-Type: application/x-www-form-urlencoded\r\nContent-Length: 500000\r\n\r\nauthor=")
                    .getBytes(StandardCharsets.US_ASCII));
            out.flush();
            Thread.sleep(300);
            putOut("Phone 4");
            int answer;
            try {
                answer = slow.getInputStream().read();
            } catch (javax.net.ssl.SSLException | java.net.SocketException cut) {
                answer = -1;
            }
            assertThat(answer).as("cut, without an answer").isEqualTo(-1);
        }
        assertThat(app.bean(SurveyLibrary.class).survey(survey).head()).isEqualTo(before);
    }

    /** What it listens at ends as well. */
    @Test
    void whoeverIsPutOutHearsNoMore() throws Exception {
        Http phone = stranger();
        HttpResponse<String> in = pair(phone, code("scope", "survey"), "Phone 5");
        String secret = in.headers().allValues("Set-Cookie").stream().filter(c -> c.startsWith("device=")).findFirst().orElseThrow()
                .split(";")[0];
        URI at = URI.create(base);
        try (Socket line = believing.getSocketFactory().createSocket("localhost", at.getPort())) {
            line.setSoTimeout(10_000);
            line.getOutputStream().write(("GET /surveys/" + survey + "/live?step=serial HTTP/1.1\r\nHost: localhost:" + at.getPort()
                    + "\r\nCookie: " + secret + "\r\n\r\n").getBytes(StandardCharsets.US_ASCII));
            assertThat(new String(line.getInputStream().readNBytes(15), StandardCharsets.US_ASCII)).isEqualTo("HTTP/1.1 200 \r\n");
            putOut("Phone 5");
            try {
                line.getInputStream().readAllBytes();
            } catch (javax.net.ssl.SSLException | java.net.SocketException cut) {
                assertThat(cut).isNotInstanceOf(java.net.SocketTimeoutException.class);
            }
        }
        String id = paired("Phone 5").device().id();
        for (int i = 0; i < 100 && app.bean(Watchers.class).others(survey, new Whose("nobody", "", true)).stream()
                .anyMatch(w -> w.whose().id().equals(id)); i++) {
            Thread.sleep(100);
        }
        assertThat(app.bean(Watchers.class).others(survey, new Whose("nobody", "", true))).noneMatch(w -> w.whose().id().equals(id));
    }

    /** While the phone is at a step, the plan leads this computer to another, and says why; one person alone is not sent away. */
    @Test
    void twoAreSentToDifferentSteps() throws Exception {
        long shared = survey();
        String first = opened(here, shared);
        Http phone = device("Phone 6", "scope", "all");
        URI at = URI.create(base);
        try (Socket line = believing.getSocketFactory().createSocket("localhost", at.getPort())) {
            line.getOutputStream().write(("GET /surveys/" + shared + "/live?step=" + first + " HTTP/1.1\r\nHost: localhost:" + at.getPort()
                    + "\r\nCookie: " + phone.cookie("device") + "\r\n\r\n").getBytes(StandardCharsets.US_ASCII));
            line.getInputStream().readNBytes(15);
            assertThat(opened(here, shared)).isNotEqualTo(first);
            reads(shared, opened(here, shared));
            assertThat(here.get("/surveys/" + shared + "/run").body()).contains("Others are at what would come next");
            assertThat(opened(phone, shared)).as("it is the one who is there").isEqualTo(first);
            assertThat(opened(device("Tablet 6", "scope", "all"), shared)).as("the same person, with a tablet").isEqualTo(first);
        }
    }

    /** Whoever may only read is at no step: nobody is sent elsewhere because of them. */
    private static void reads(long survey, String step) throws Exception {
        Http reader = device("Reader", "scope", "all", "writes", "no");
        int before = app.bean(Watchers.class).others(survey, new Whose("nobody", "", true)).size();
        try (Socket line = believing.getSocketFactory().createSocket("localhost", URI.create(base).getPort())) {
            line.getOutputStream().write(("GET /surveys/" + survey + "/live?step=" + step + " HTTP/1.1\r\nHost: localhost:"
                    + URI.create(base).getPort() + "\r\nCookie: " + reader.cookie("device") + "\r\n\r\n")
                    .getBytes(StandardCharsets.US_ASCII));
            line.getInputStream().readNBytes(15);
            assertThat(app.bean(Watchers.class).others(survey, new Whose("nobody", "", true))).hasSize(before);
        }
    }

    private static String opened(Http who, long survey) {
        Matcher step = Pattern.compile("data-step=\"([^\"]+)\"").matcher(who.get("/surveys/" + survey + "/run").body());
        assertThat(step.find()).isTrue();
        return step.group(1);
    }

    /** A page elsewhere cannot reach it under a name of its own, nor the unencrypted port under ours. */
    @Test
    void itAnswersToItsOwnNamesOnly() throws IOException {
        URI at = URI.create(base);
        assertThat(asked(at.getPort(), "evil.example")).startsWith("HTTP/1.1 421");
        assertThat(asked(at.getPort(), "8.8.8.8")).startsWith("HTTP/1.1 421");
        assertThat(asked(at.getPort(), "localhost")).startsWith("HTTP/1.1 302");
    }

    private static String asked(int port, String host) throws IOException {
        try (Socket socket = believing.getSocketFactory().createSocket("localhost", port)) {
            socket.getOutputStream().write(("GET / HTTP/1.1\r\nHost: " + host + "\r\nConnection: close\r\n\r\n")
                    .getBytes(StandardCharsets.US_ASCII));
            return new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    /** From the computer to the first entry by phone: what is pressed and typed there. */
    @Test
    void aPhoneJoinsAndRecords() {
        Browser laptop = Browser.open();
        Page page = laptop.page();
        page.navigate(app.url("/surveys/" + survey + "/run?step=serial"));
        page.locator("details:has(a:text('Let one in')) > summary").click();
        page.click("text=Let one in");
        page.fill("[name=writer]", "J. Rowe, buyer");
        page.click("text=Show a code");
        String shown = page.locator(".say-aloud").nth(1).textContent();
        assertThat(page.locator("svg.qr path").getAttribute("d")).hasSizeGreaterThan(1000);
        assertThat(ReachableTest.found(page)).isEmpty();
        Browser phone = Browser.open(390, 844, true);
        Page hand = phone.page();
        hand.navigate(base + "/pair?code=" + shown);
        assertThat(hand.inputValue("#code")).isEqualTo(shown);
        assertThat(hand.inputValue("#name")).endsWith("of J. Rowe");
        assertThat((int) hand.evaluate("() => document.documentElement.scrollWidth")).isLessThanOrEqualTo(390);
        assertThat(ReachableTest.found(hand)).isEmpty();
        hand.click("text=Come in");
        hand.navigate(base + "/pair");
        assertThat(ReachableTest.found(hand)).isEmpty();
        hand.navigate(base + "/surveys/" + survey + "/run?step=serial");
        assertThat(hand.locator(".author input").first().getAttribute("readonly")).isNotNull();
        hand.fill("[name=text]", "A-410");
        hand.locator(".thumb .is-ink").click();
        Browser.settle(hand);
        assertThat(app.bean(SurveyLibrary.class).survey(survey).entries()).last()
                .satisfies(e -> assertThat(e.by().author().written()).isEqualTo("J. Rowe, buyer"));
        // It follows by itself.
        PlaywrightAssertions.assertThat(page.locator(".letting-in")).hasCount(0);
        assertThat(laptop.text()).contains("That code is not good any more", "of J. Rowe").doesNotContain("half typed");
        assertThat(laptop.complaints()).isEmpty();
        // Where its certificate is not trusted the browser refuses the service worker, and says so to whoever looks.
        assertThat(phone.complaints()).allMatch("An SSL certificate error occurred when fetching the script."::equals);
    }
}
