package tallledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.web.library.SurveyLibrary;

/** What is looked at before a request is read: where it comes from, how long it is, how long it takes. */
class ArrivingTest {

    private static App app;
    private static long survey;
    private static String page;

    @BeforeAll
    static void start() throws IOException {
        app = App.on(java.nio.file.Files.createTempDirectory("arriving"), "--tallledger.patience-ms=1500");
        survey = Scenes.readySurvey(app);
        page = "/surveys/" + survey + "/entries";
    }

    @AfterAll
    static void stop() {
        app.close();
    }

    private static int entries() {
        return app.bean(SurveyLibrary.class).survey(survey).head();
    }

    /** Everything right but where it was sent from: nothing is recorded, and it is said. */
    @ParameterizedTest
    @CsvSource({"Origin, http://localhost:1", "Origin, http://127.0.0.1:8081", "Origin, https://localhost", "Origin, null",
            "Origin, http://elsewhere.example", "Sec-Fetch-Site, same-site", "Sec-Fetch-Site, cross-site", "Sec-Fetch-Site, nonsense"})
    void whatAnotherPageSendsIsRefused(String header, String value) {
        Http http = new Http(app);
        int before = entries();
        Map<String, String> form = http.form(page, page + "/remark");
        HttpResponse<String> answer = http.postFrom(Map.of(header, value), page + "/remark", form, "text", "forged", "author",
                "Q");
        assertThat(answer.statusCode()).isEqualTo(403);
        assertThat(answer.body()).contains("sent by a page of another address");
        assertThat(answer.headers().firstValue("Content-Security-Policy")).isPresent();
        assertThat(entries()).isEqualTo(before);
        assertThat(http.get(page).body()).doesNotContain("forged");
    }

    @ParameterizedTest
    @CsvSource({"Origin, OWN", "Sec-Fetch-Site, same-origin", "Sec-Fetch-Site, none"})
    void whatItsOwnPageSendsIsTaken(String header, String value) {
        Http http = new Http(app);
        int before = entries();
        Map<String, String> form = http.form(page, page + "/remark");
        http.postFrom(Map.of(header, value.equals("OWN") ? app.url("") : value), page + "/remark", form, "text", "own words",
                "author", "Q");
        assertThat(entries()).isEqualTo(before + 1);
    }

    /** Refused by what its head says, before a byte of the body is there. */
    @ParameterizedTest
    @CsvSource({"/machines, application/x-www-form-urlencoded, 1048577, 413",
            "/machines/bring, multipart/form-data; boundary=x, 16777217, 413",
            "/surveys/1/photos, multipart/form-data; boundary=x, 700000000, 413", "/check, multipart/form-data; boundary=x, 800000000, 413",
            "/check, multipart/form-data; boundary=x, 700000000, 403", "/machines, application/x-www-form-urlencoded, none, 411"})
    void whatIsTooLargeIsRefusedUnread(String path, String type, String length, int status) throws IOException {
        try (Socket socket = new Socket("localhost", port())) {
            socket.setSoTimeout(5_000);
            socket.getOutputStream().write(("POST " + path + " HTTP/1.1\r\nHost: localhost:" + port() + "\r\nContent-Type: " + type + "\r\n"
                    + (length.equals("none") ? "Transfer-Encoding: chunked" : "Content-Length: " + length)
                    + "\r\nConnection: close\r\n\r\n").getBytes(StandardCharsets.US_ASCII));
            byte[] first = socket.getInputStream().readNBytes(12);
            assertThat(new String(first, StandardCharsets.US_ASCII)).isEqualTo("HTTP/1.1 " + status);
        }
    }

    private static int port() {
        return URI.create(app.url("/")).getPort();
    }

    /** A head that never ends holds a connection, and nobody. */
    @Test
    void slowHeadsKeepNobodyWaiting() throws Exception {
        List<Socket> slow = new ArrayList<>();
        try {
            for (int i = 0; i < 230; i++) {
                Socket socket = new Socket("localhost", port());
                socket.getOutputStream().write("GET / HTTP/1.1\r\nHost: local".getBytes(StandardCharsets.US_ASCII));
                slow.add(socket);
            }
            long began = System.nanoTime();
            assertThat(new Http(app).get("/").statusCode()).isEqualTo(200);
            assertThat(System.nanoTime() - began).as("ns").isLessThan(2_000_000_000L);
        } finally {
            for (Socket socket : slow) {
                socket.close();
            }
        }
    }

    /** More of them than there are threads: pages answer meanwhile, and each is cut when its time is over, however it drips. */
    @Test
    void slowBodiesKeepNobodyWaiting() throws Exception {
        List<Socket> slow = new ArrayList<>();
        try {
            for (int i = 0; i < 230; i++) {
                Socket socket = new Socket("localhost", port());
                socket.getOutputStream().write(("POST /machines HTTP/1.1\r\nHost: localhost:" + port()
                        + "\r\nContent-Type: application/x-www-form-urlencoded\r\nContent-Length: 100000\r\n\r\na=")
                        .getBytes(StandardCharsets.US_ASCII));
                slow.add(socket);
            }
            Http http = new Http(app);
            long began = System.nanoTime();
            assertThat(http.get("/").statusCode()).isEqualTo(200);
            assertThat(System.nanoTime() - began).as("ns").isLessThan(2_000_000_000L);
            long ends = System.nanoTime() + 15_000_000_000L;
            int open = slow.size();
            while (open > 0 && System.nanoTime() < ends) {
                Thread.sleep(200);
                open = 0;
                for (Socket socket : slow) {
                    open += drips(socket) ? 1 : 0;
                }
            }
            assertThat(open).as("still open after ten times their patience").isZero();
            Map<String, String> form = http.form(page, page + "/remark");
            int status = 503;
            // A thread notices that its connection is gone when its own wait for the next bytes ends, after 5 s.
            for (int i = 0; i < 40 && status == 503; i++) {
                Thread.sleep(200);
                status = http.post(page + "/remark", form, "text", "after it", "author", "Q").statusCode();
            }
            assertThat(status).isEqualTo(302);
        } finally {
            for (Socket socket : slow) {
                socket.close();
            }
        }
    }

    /** Sends one more byte; false once the other side has ended it. */
    private static boolean drips(Socket socket) {
        try {
            socket.getOutputStream().write('x');
            socket.setSoTimeout(1);
            return socket.getInputStream().read() >= 0;
        } catch (java.net.SocketTimeoutException goesOn) {
            return true;
        } catch (IOException ended) {
            return false;
        }
    }
}
