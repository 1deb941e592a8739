package tallledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Instant;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tallledger.core.ledger.Attachment;
import tallledger.core.ledger.Authorship;
import tallledger.core.survey.SurveyEntries;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.sealed.Closing;
import tallledger.web.store.AttachmentRow;
import tallledger.web.store.Attachments;
import tallledger.web.store.Books;
import tallledger.web.store.Submission;

/** A backup taken by the command while it is written to, put back by the command: entries, photographs and the key. */
class BackupTest {

    @TempDir
    Path folder;

    private static String run(int expected, String... command) throws Exception {
        Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
        String said = new String(process.getInputStream().readAllBytes());
        assertThat(process.waitFor(60, TimeUnit.SECONDS)).isTrue();
        assertThat(process.exitValue()).as(said).isEqualTo(expected);
        return said;
    }

    private static String bin(String name) {
        return Path.of("../bin/" + name).toAbsolutePath().normalize().toString();
    }

    @Test
    void whatWasBackedUpIsThereAgain() throws Exception {
        Path data = folder.resolve("data");
        Path zip = folder.resolve("kept.zip");
        AttachmentRow photo = AttachmentRow.of("image/png", new byte[] {1, 2, 3});
        long survey;
        int before;
        Files.createDirectories(data);
        Files.writeString(data.resolve("unfinished-backup-7.zip"), "what a hard stop left");
        try (App app = App.on(data)) {
            survey = Scenes.readySurvey(app);
            Authorship by = Authorship.of(Instant.now(), "Q. Tester");
            app.bean(Attachments.class)
                    .keep(survey, List.of(photo),
                            SurveyEntries.photo(by, "", List.of(new Attachment("photograph", photo.sha256(), photo.type())), 1, 1, "plate"),
                            Submission.fresh(2));
            long closed = Scenes.readySurvey(app);
            app.bean(Closing.class).close(app.bean(SurveyLibrary.class).survey(closed), "Q. Tester", Submission.fresh(2));
            before = app.bean(SurveyLibrary.class).survey(survey).head();
            AtomicInteger written = new AtomicInteger(before);
            Thread writer = new Thread(() -> {
                for (int i = 0; i < 60; i++) {
                    app.bean(Books.class).append(survey, SurveyEntries.remark(by, "no. " + i), Submission.fresh(written.get()));
                    written.incrementAndGet();
                }
            });
            writer.start();
            String port = app.url("").replaceAll(".*:", "");
            assertThat(run(0, bin("backup"), zip.toString(), "--port", port)).contains("bytes");
            assertThat(run(1, bin("backup"), zip.toString(), "--port", port)).contains("there already");
            writer.join();
            try (var left = Files.list(data)) {
                assertThat(left.map(p -> p.getFileName().toString())).as("nothing half-written stays")
                        .noneMatch(n -> n.startsWith("unfinished") && !n.matches("unfinished-(server|uploads)"));
            }
        }
        Files.writeString(folder.resolve("no.zip"), "no zip");
        assertThat(run(1, bin("restore"), folder.resolve("no.zip").toString(), "--data", data.toString())).contains("Nothing was changed");
        assertThat(Files.getPosixFilePermissions(zip)).as("the key is in it").hasSize(2);
        try (FileChannel running = FileChannel.open(data.resolve("in-use"), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
                FileLock lock = running.lock()) {
            assertThat(lock.isValid()).isTrue();
            assertThat(run(1, bin("restore"), zip.toString(), "--data", data.toString())).contains("open in a running Tall Ledger");
            assertThat(data.resolve("tall-ledger.mv.db")).exists();
        }
        byte[] damaged = Files.readAllBytes(zip);
        damaged[damaged.length / 2] ^= 1;
        Files.write(folder.resolve("damaged.zip"), damaged);
        assertThat(run(1, bin("restore"), folder.resolve("damaged.zip").toString(), "--data",
                data.toString())).contains("Nothing was changed");
        assertThat(run(0, bin("restore"), zip.toString(), "--data", data + "/")).contains("Restored", "data-before-");
        try (var left = Files.list(folder)) {
            assertThat(left.map(p -> p.getFileName().toString())).as("nothing half-unpacked stays").noneMatch(n -> n.contains(".new-"));
        }
        assertThat(Files.getPosixFilePermissions(data)).hasSize(3);
        try (App app = App.on(data)) {
            assertThat(app.bean(Books.class).heads().missing()).isEmpty();
            assertThat(app.bean(Books.class).heads().more()).as("what was written while it was taken is known").isEmpty();
            assertThat(app.bean(SurveyLibrary.class).survey(survey).head()).isGreaterThanOrEqualTo(before);
            assertThat(app.bean(Attachments.class).attachment(photo.sha256()).orElseThrow().bytes()).isEqualTo(photo.bytes());
            assertThat(Files.getPosixFilePermissions(data.resolve("seal.key"))).hasSize(2);
            assertThat(app.status("/")).isEqualTo(200);
            app.bean(Books.class).append(survey, SurveyEntries.remark(Authorship.of(Instant.now(), "Q. Tester"), "after"),
                    Submission.fresh(app.bean(SurveyLibrary.class).survey(survey).head()));
        }
        assertThat(run(1, bin("backup"), folder.resolve("more.zip").toString(), "--port", "1")).contains("does not answer");
    }
}
