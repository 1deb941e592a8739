package tallledger.web.works;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import tallledger.core.reason.Reason;
import tallledger.web.words.WebReason;

/** A part of a piece of work goes on from where it begins to where it ends, and stops with the whole. */
class ProgressTest {

    private static final Offset<Double> EXACT = Offset.offset(1e-12);
    private static final Reason WRITES = Reason.of(WebReason.WORK_WRITES);

    @Test
    void aPartIsAShareOfTheWhole() {
        Progress whole = new Progress();
        Progress part = whole.part(0.2, 0.9);
        part.at(0, WRITES);
        assertThat(whole.share()).isCloseTo(0.2, EXACT);
        assertThat(whole.doing()).isEqualTo(WRITES);
        part.at(0.5);
        assertThat(whole.share()).isCloseTo(0.55, EXACT);
        part.at(1);
        assertThat(whole.share()).isCloseTo(0.9, EXACT);
        whole.at(7);
        assertThat(whole.share()).as("never more than all").isEqualTo(1);
    }

    @Test
    void stoppedItStopsInItsParts() {
        Progress whole = new Progress();
        Progress part = whole.part(0.2, 0.9);
        whole.stop();
        assertThatThrownBy(() -> part.at(0.1, WRITES)).isInstanceOf(Progress.StoppedException.class);
        assertThatThrownBy(() -> whole.at(0.1)).isInstanceOf(Progress.StoppedException.class);
    }
}
