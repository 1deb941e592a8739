package tallledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.io.File;
import java.io.IOException;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tallledger.practice.KestrelVale;
import tallledger.web.library.MachineBooks;
import tallledger.web.store.Submission;

/** Kills the process in mid-survey: nothing recorded is lost, and the page left open can still post. */
class HardStopTest {

    @TempDir
    Path data;

    @Test
    void whatWasRecordedOutlivesAKilledProcess() throws Exception {
        try (App app = App.on(data)) {
            app.bean(MachineBooks.class).add(KestrelVale.aldwark410().description(), "Q. Tester", Submission.fresh(0));
        }
        int port = freePort();
        Browser browser = Browser.open();
        Page page = browser.page();
        Process first = start(port);
        try {
            page.navigate("http://localhost:" + port + "/machines/1");
            page.fill("#author", "Q. Tester");
            page.selectOption("#scope", "SPINDLE_DRIVE");
            page.click("#open-survey button");
            page.waitForSelector("input[name=safe]");
            for (var check : page.locator("input[name=safe]").all()) {
                check.check();
            }
            page.check("input[name=mounted][value=NOTHING]");
            page.click(".start button");
            page.fill("#reading", "32.1");
            page.keyboard().press("Enter");
            page.waitForSelector(".done");
        } finally {
            first.destroyForcibly().waitFor();
        }
        page.fill("#reading", "32.0");
        page.keyboard().press("Enter");
        page.waitForSelector(".connection:not([hidden])");
        assertThat(page.locator(".connection").innerText()).startsWith("No connection: nothing was sent.");
        assertThat(page.inputValue("#reading")).isEqualTo("32.0");
        page.focus("#reading");
        Process second = start(port);
        try {
            page.keyboard().press("Enter");
            Browser.settle(page);
            page.click("text=Entries");
            page.waitForURL("**/entries");
            assertThat(browser.text()).contains("read 32.1 rpm by tachometer", "read 32.0 rpm by tachometer", "the chain holds");
        } finally {
            second.destroyForcibly().waitFor();
        }
    }

    private Process start(int port) throws IOException, InterruptedException {
        Process process = new ProcessBuilder(System.getProperty("java.home") + "/bin/java",
                "-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC", "-cp", System.getProperty("java.class.path"),
                "tallledger.web.TallLedger", "--server.port=" + port, "--tallledger.data=" + data, "--tallledger.demo=false",
                "--tallledger.warm=false")
                .redirectErrorStream(true).redirectOutput(new File(data.toFile(), "log.txt")).start();
        Instant giveUp = Instant.now().plus(Duration.ofSeconds(60));
        while (Instant.now().isBefore(giveUp)) {
            try {
                new Socket("localhost", port).close();
                return process;
            } catch (IOException notYet) {
                Thread.sleep(150);
            }
        }
        throw new AssertionError("the application did not start within 60 s");
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }
}
