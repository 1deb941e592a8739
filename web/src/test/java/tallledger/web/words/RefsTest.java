package tallledger.web.words;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class RefsTest {

    private final Refs refs = new Refs();

    @Test
    void neighboursAreDrawnTogether() {
        assertThat(refs.text(List.of(3, 4, 5, 7, 9, 10))).isEqualTo("3–5, 7, 9–10");
        assertThat(refs.of(List.of(3, 4, 7))).containsExactly(new Refs.EntryRange(3, 4), new Refs.EntryRange(7, 7));
        assertThat(refs.text(List.of())).isEmpty();
    }
}
