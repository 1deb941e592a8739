package tallledger.web.works;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Duration;
import java.util.concurrent.CountDownLatch;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.http.MediaType;
import tallledger.core.reason.Reason;
import tallledger.web.store.BackgroundThreads;
import tallledger.web.store.Unfinished;
import tallledger.web.words.WebReason;

/** Where whoever asked for work goes on: to what was made where it was quick, to how far it is where it was not. */
class WorksAnswerTest {

    private static final Reason TITLE = Reason.of(WebReason.WORK_SHELF);

    @TempDir
    Path data;
    private BackgroundJobs patient;

    @BeforeEach
    void begin() {
        patient = works(Duration.ofMinutes(1));
    }

    private BackgroundJobs works(Duration patience) {
        return new BackgroundJobs(new BackgroundThreads(), new Unfinished(data), patience);
    }

    private BackgroundJobs.Output file() throws IOException {
        return patient.file("x.pdf", MediaType.APPLICATION_PDF, out -> out.write(1));
    }

    @Test
    void whatIsQuickIsThereAtOnce() {
        BackgroundJobs.BackgroundJob work = patient.begin("quick", TITLE, "/", progress -> file());
        assertThat(patient.answer(work)).isEqualTo("redirect:/works/" + work.id() + "/made");
        assertThat(patient.begin("quick", TITLE, "/", progress -> file())).as("asked again, the file is there").isSameAs(work);
        patient.end();
        assertThat(((BackgroundJobs.Output.File) work.made().orElseThrow()).path()).doesNotExist();
    }

    @Test
    void whatTakesLongerSaysHowFarItIs() throws Exception {
        BackgroundJobs hasty = works(Duration.ZERO);
        CountDownLatch going = new CountDownLatch(1);
        BackgroundJobs.BackgroundJob work = hasty.begin("slow", TITLE, "/", progress -> {
            try {
                going.await();
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
            return new BackgroundJobs.Output.Page("/");
        });
        assertThat(hasty.answer(work)).isEqualTo("redirect:/works/" + work.id());
        assertThat(hasty.going()).containsExactly(work);
        going.countDown();
    }

    /** Neither kept waiting for what failed, nor sent to a file that is not there. */
    @Test
    void whatFailsOrLeadsOnIsToldOnItsPage() {
        BackgroundJobs.BackgroundJob failed = patient.begin("fails", TITLE, "/", progress -> {
            throw new IOException("No space left on device");
        });
        assertThat(patient.answer(failed)).isEqualTo("redirect:/works/" + failed.id());
        assertThat(failed.failure()).contains(Reason.of(WebReason.WORK_FAILED));
        BackgroundJobs.BackgroundJob page = patient.begin("page", TITLE, "/", progress -> new BackgroundJobs.Output.Page("/"));
        assertThat(patient.answer(page)).isEqualTo("redirect:/works/" + page.id());
        assertThat(patient.begin("page", TITLE, "/", progress -> new BackgroundJobs.Output.Page("/"))).as("what left no file is done again")
                .isNotSameAs(page);
    }
}
